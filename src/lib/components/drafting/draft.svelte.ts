import { untrack } from 'svelte';
import { sameValue } from '$core/base';
import {
	asTheDrill,
	changedFields,
	faultOf,
	movedOnLadder,
	renameSpots,
	resolveDrill,
	simulate,
	standardPlace,
	withChange,
	withStandard,
	type RungField,
	type RungId,
	type SpotNames
} from '$core/drill';
import type { Drill, Rung, RungChange } from '$core/model/drill';
import type { SpotCalling } from './lines';
import { Steps } from '$lib/state/steps.svelte';

const isWhole = (value: unknown): boolean =>
	typeof value === 'number'
		? Number.isFinite(value)
		: typeof value !== 'object' || value === null || Object.values(value).every(isWhole);

/** What a step back restores: the drill by the keys of its spots, their names, and what was being written. */
interface Written {
	drill: Drill;
	names: SpotNames;
	rungId: string | undefined;
}

/**
 * A drill while it is written: itself, or the rung that is chosen. Within, a spot goes by a key that it keeps
 * while it is called otherwise, so that moves, ways, cues and rungs hold on to it.
 */
export class DrillDraft {
	#drill: Drill = $state.raw() as Drill;
	#names: SpotNames = $state.raw({});
	#made = 0;
	#lastThatRan: Drill;
	/** Another number after each step back or forth: what was typed before is no longer so. */
	#version = $state(0);
	readonly #steps: Steps<Written>;
	/** The rung that is written; undefined for the drill itself. */
	rungId: string | undefined = $state();

	constructor(drill: Drill, clock?: () => number) {
		this.#steps = new Steps(clock);
		this.#drill = drill;
		this.#lastThatRan = drill;
	}

	/** Begins anew with another drill, such as one that was kept. */
	restart = (drill: Drill): void => {
		this.#steps.before(this.#now());
		this.#drill = drill;
		this.#names = {};
		this.rungId = undefined;
		this.#version += 1;
	};

	/** The drill as it would be saved. */
	readonly kept = $derived.by(() => renameSpots(this.#drill, this.#names));
	/** The drill, or the rung as it is run, with spots by their keys: what is typed in. */
	readonly typed = $derived.by(() => {
		const resolved = resolveDrill(this.#drill, this.rungId);
		return resolved.ok ? resolved.value : this.#drill;
	});
	readonly rung = $derived.by(() => this.#drill.rungs.find(({ id }) => id === this.rungId));
	/** Fields that the chosen rung changes. */
	readonly changed = $derived.by(() => (this.rung ? changedFields(this.rung) : []));

	/** Whether every spot has a name of its own and every number is one. */
	readonly isComplete = $derived.by(() => {
		const { spots, paths } = this.typed;
		const names = spots.map(({ id }) => this.calling.nameOf(id));
		const areOwn = names.every((name, index) => name !== '' && names.indexOf(name) === index);
		return areOwn && isWhole([spots, paths]);
	});
	readonly fault = $derived.by(() => (this.isComplete ? faultOf(this.kept) : null));
	/** What is run beside the form: the last state that could run. */
	readonly running = $derived.by(() => {
		const seen = renameSpots(this.typed, this.#names);
		const asked = { drill: seen, players: seen.group.min, minutes: 5 };
		if (this.isComplete && simulate(asked).ok) this.#lastThatRan = seen;
		return this.#lastThatRan;
	});

	/** Names of spots by their keys, and back. */
	readonly calling: SpotCalling = {
		nameOf: (key) => (Object.hasOwn(this.#names, key) ? this.#names[key] : key),
		keyOf: (name) => this.typed.spots.find(({ id }) => this.calling.nameOf(id) === name)?.id
	};

	#now = (): Written => ({ drill: this.#drill, names: this.#names, rungId: this.rungId });

	/** Writes another drill; `about` says what of it was changed. */
	#write = (drill: Drill, about: string): void => {
		this.#steps.before(this.#now(), about);
		this.#drill = drill;
	};

	/** Takes the last step back, and shows where it was. */
	undo = (): void => this.#restore(this.#steps.back(this.#now()));
	/** Makes the step again that was taken back last. */
	redo = (): void => this.#restore(this.#steps.forth(this.#now()));
	readonly canUndo = $derived.by(() => this.#steps.canGoBack);
	readonly canRedo = $derived.by(() => this.#steps.canGoForth);

	#restore = (state: Written | undefined): void => {
		if (!state) return;
		this.#drill = state.drill;
		this.#names = state.names;
		const isThere = state.drill.rungs.some(({ id }) => id === state.rungId);
		this.rungId = isThere ? state.rungId : undefined;
		this.#version += 1;
	};

	/**
	 * What `read` makes of the drill for a table that is typed in: read anew after a step back or forth alone,
	 * as what is typed stands as it is typed.
	 */
	asTyped = <Rows>(read: (drill: Drill, calling: SpotCalling) => Rows): Rows => {
		void this.#version;
		return untrack(() => read(this.typed, this.calling));
	};

	/** Changes fields of the drill, or of the chosen rung; with them, what spots are called by their keys. */
	set = (change: RungChange, names: SpotNames = {}): void => {
		const called = { ...this.#names, ...names };
		const drill = withChange(this.#drill, change, this.rungId);
		this.#write(drill, `${this.rungId} ${Object.keys(change).join(' ')}`);
		if (!sameValue(called, this.#names)) this.#names = called;
	};

	/** Changes what only the drill itself has. */
	setOwn = (change: Partial<Pick<Drill, 'name' | 'sports'>>): void =>
		this.#write({ ...this.#drill, ...change }, Object.keys(change).join(' '));

	/** A key that no spot and no rung of the draft has. */
	newKey = (stem: string): string => {
		const { spots, rungs } = this.#drill;
		const there = [...spots, ...rungs.flatMap(({ set }) => set?.spots ?? []), ...rungs];
		do this.#made += 1;
		while (there.some(({ id }) => id === `${stem}-${this.#made}`));
		return `${stem}-${this.#made}`;
	};

	/** Adds a rung above the others by a name of its own, and chooses it. */
	addRung = (name: string): void => {
		const id = this.newKey('rung');
		const rung: Rung = {
			id,
			name,
			change: '',
			lever: 'pace'
		};
		const drill = withStandard(this.#drill);
		this.#write({ ...drill, rungs: [...drill.rungs, rung] }, `add ${id}`);
		this.rungId = id;
	};

	/** Changes what the chosen rung is called and what it is about. */
	setRung = (change: Partial<Pick<Rung, 'name' | 'change' | 'lever' | 'needs' | 'on'>>): void => {
		const rungs = this.#drill.rungs.map((rung) => {
			const next = rung.id === this.rungId ? { ...rung, ...change } : rung;
			const { needs = [], on, ...rest } = next;
			return {
				...rest,
				...(needs.length > 0 && { needs }),
				...(on !== undefined && { on })
			};
		});
		this.#write({ ...this.#drill, rungs }, `${this.rungId} ${Object.keys(change).join(' ')}`);
	};

	/** Fields of the chosen rung as the drill has them. */
	giveBack = (fields: readonly RungField[]): void => {
		if (this.rungId === undefined) return;
		this.#write(asTheDrill(this.#drill, this.rungId, fields), `give back ${fields.join(' ')}`);
	};

	/** Moves a rung, or the drill itself (null), to a place of the ladder; nothing where there is no such place. */
	moveStep = (id: RungId, to: number): void => {
		const moved = movedOnLadder(this.#drill, id, to);
		if (moved !== this.#drill) this.#write(moved, `move ${id ?? 'itself'}`);
	};

	/** Takes the chosen rung out, wherever it is named, and goes back to the drill. */
	removeRung = (): void => {
		const gone = this.rungId;
		const { rungs, faults, ...rest } = this.#drill;
		const without = <Named extends { rung?: string }>({ rung, ...other }: Named) =>
			rung === undefined || rung === gone ? other : { ...other, rung };
		const place = standardPlace(this.#drill);
		const isEasier = rungs.findIndex(({ id }) => id === gone) < place;
		const left = {
			...rest,
			standardAt: isEasier ? place - 1 : place,
			...(faults && { faults: faults.map(without) }),
			rungs: rungs
				.filter(({ id }) => id !== gone)
				.map(({ needs = [], on, ...rung }) => {
					const met = needs.filter((id) => id !== gone);
					return {
						...rung,
						...(met.length > 0 && { needs: met }),
						...(on !== undefined && on !== gone && { on })
					};
				})
		};
		this.#write(left, `remove ${gone}`);
		this.rungId = undefined;
	};
}
