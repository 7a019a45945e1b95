import { sameValue } from '$core/base';
import {
	dividedZones,
	freeName,
	guidesOf,
	LEAST_SIDE,
	movedZone,
	resizedZone,
	snapped,
	tidyZone,
	withZone,
	type By,
	type Corner
} from '$core/ground';
import type { Ground, Zone } from '$core/model/team';
import { Steps } from './steps.svelte';

/** What is pulled: a whole zone, or one of its corners. */
export interface Pull {
	id: string;
	corner?: Corner;
}

/** A ground while it is edited: steps that can be taken back, and what a drag would do. */
export class GroundEditor {
	readonly #stored: () => Ground;
	readonly #makeId: () => string;
	/** The ground as it was dropped last. */
	ground: Ground = $derived.by(() => this.#stored());
	/** The zone that is looked at. */
	selected: string | null = $state(null);
	#pulled: Zone | null = $state.raw(null);
	#drawn: Zone | null = $state.raw(null);
	/** Whether the next drag on the ground draws a zone. */
	isDrawing = $state(false);
	readonly #steps = new Steps<Ground>();

	/** The ground with what a drag would do. */
	readonly shown = $derived.by(() => {
		if (this.#drawn) return { ...this.ground, zones: [...this.ground.zones, this.#drawn] };
		return this.#pulled ? withZone(this.ground, this.#pulled) : this.ground;
	});
	readonly zone = $derived.by(
		() => this.shown.zones.find(({ id }) => id === this.selected) ?? null
	);
	readonly isPulling = $derived.by(() => this.#pulled !== null);
	readonly isChanged = $derived.by(() => !sameValue(this.ground, this.#stored()));
	readonly canUndo = $derived.by(() => this.#steps.canGoBack);
	readonly canRedo = $derived.by(() => this.#steps.canGoForth);

	constructor({ stored, makeId }: { stored: () => Ground; makeId: () => string }) {
		this.#stored = stored;
		this.#makeId = makeId;
	}

	/** Takes another state of the ground as the next step. */
	set(next: Ground): void {
		if (sameValue(next, this.ground)) return;
		this.#steps.before(this.ground);
		this.ground = next;
	}

	undo(): void {
		this.ground = this.#steps.back(this.ground) ?? this.ground;
	}

	redo(): void {
		this.ground = this.#steps.forth(this.ground) ?? this.ground;
	}

	setZone(zone: Zone): void {
		this.set(withZone(this.ground, zone));
	}

	/** Shows what letting go would do; `by` in metres from where it was taken. */
	pull({ id, corner }: Pull, by: By): void {
		const zone = this.ground.zones.find((each) => each.id === id);
		if (!zone) return;
		this.selected = id;
		this.#pulled = corner
			? resizedZone(this.ground, zone, corner, by)
			: movedZone(this.ground, zone, by);
	}

	/** Takes what was pulled or drawn as the next step. */
	drop(): void {
		const [pulled, drawn] = [this.#pulled, this.#drawn];
		this.cancel();
		if (pulled) this.setZone(pulled);
		if (drawn) this.#put(drawn);
	}

	cancel(): void {
		this.#pulled = null;
		this.#drawn = null;
	}

	/** Shows the zone that is drawn from one point to another, in metres. */
	draw(from: By, to: By): void {
		const id = this.#drawn?.id ?? this.#makeId();
		const name = this.#drawn?.name ?? freeName(this.ground);
		const guides = guidesOf(this.ground);
		const [x, y] = [snapped(from.x, guides.x), snapped(from.y, guides.y)];
		const [right, bottom] = [snapped(to.x, guides.x), snapped(to.y, guides.y)];
		this.#drawn = tidyZone({
			id,
			name,
			x: Math.min(x, right),
			y: Math.min(y, bottom),
			length: Math.max(LEAST_SIDE, Math.abs(right - x)),
			width: Math.max(LEAST_SIDE, Math.abs(bottom - y))
		});
		this.selected = id;
	}

	/** Adds a zone in the middle of the ground and looks at it. */
	add(): void {
		const { length, width } = this.ground;
		const [long, wide] = [Math.min(15, Math.floor(length)), Math.min(10, Math.floor(width))];
		this.#put({
			id: this.#makeId(),
			name: freeName(this.ground),
			x: Math.round((length - long) / 2),
			y: Math.round((width - wide) / 2),
			length: Math.max(1, long),
			width: Math.max(1, wide)
		});
	}

	/** Adds the same zone beside itself. */
	copy(zone: Zone): void {
		this.#put({
			...zone,
			id: this.#makeId(),
			name: freeName(this.ground),
			x: zone.x + zone.length <= this.ground.length - zone.length ? zone.x + zone.length : zone.x,
			y: zone.x + zone.length <= this.ground.length - zone.length ? zone.y : zone.y + 2
		});
	}

	/** Puts even parts of a zone into its place. */
	divide(zone: Zone, { along, across }: { along: number; across: number }): void {
		const rest = { ...this.ground, zones: this.ground.zones.filter(({ id }) => id !== zone.id) };
		const parts = dividedZones(rest, zone, { along, across, makeId: this.#makeId });
		this.set({ ...rest, zones: [...rest.zones, ...parts] });
		this.selected = parts[0]?.id ?? null;
	}

	remove(zone: Zone): void {
		this.set({ ...this.ground, zones: this.ground.zones.filter(({ id }) => id !== zone.id) });
		this.selected = null;
	}

	#put(zone: Zone): void {
		this.set({ ...this.ground, zones: [...this.ground.zones, zone] });
		this.selected = zone.id;
	}
}
