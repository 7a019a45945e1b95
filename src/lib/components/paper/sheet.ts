import { type Evaluation, isStation, type PeriodWindow, rungsRun } from '$core/playing';
import { drillOf } from '$core/practice';
import type { Drill } from '$core/model/drill';
import type { Block, Copy, Lane } from '$core/model/practice';
import { turnsWords } from '../tape/words';
import texts from '$texts/paper';
import type { Say } from '$words';

/** A block as the sheet lists it. */
export interface SheetBlock {
	lane: Lane;
	block: Block;
	drill: Drill | undefined;
	zones: string;
	adults: string;
	/** Bibs by slot at a station, or of the copies. */
	bibs: number[][];
	/** Numbers of players that no bib stands for. */
	numbers: string;
	turns: string;
	/** What is run: the rungs one after the other, with what each changes; empty for the drill itself. */
	rungs: string;
	/** The sides on which it is run, where it has any. */
	sides: string;
	/** Cues and cautions of what is run, each once. */
	cues: string[];
	cautions: string[];
	/** What the coach set for this block: who shows and watches it, what is counted, the scenario, the note. */
	set: string[];
	/** What counts as clean, and what players call, as the drill has it. */
	counts: string[];
}

const namesOf = (ids: readonly string[], name: (id: string) => string | undefined) =>
	[...new Set(ids)].map((id) => name(id) ?? id).join(', ');

/** What a block runs, in words: its rungs, sides, cues and cautions. */
function whatIsRun(
	block: Block,
	drill: Drill | undefined,
	say: Say
): Pick<SheetBlock, 'rungs' | 'sides' | 'cues' | 'cautions'> {
	if (!drill) return { rungs: '', sides: '', cues: [], cautions: [] };
	const run = rungsRun(block, drill);
	const stepsOf = (climb: Block['climb']) =>
		climb
			.map(({ rung, turns, side }) => {
				const found = drill.rungs.find(({ id }) => id === rung);
				const what = found ? `${found.name} (${found.change})` : say(texts.asItIs);
				const lasts = turns === undefined ? what : say(texts.forTurns, { what, turnCount: turns });
				return side === undefined ? lasts : say(texts.onSide, { what: lasts, side });
			})
			.reduce((first, then) => say(texts.firstThen, { first, then }));
	const isPlain = (climb: Block['climb']) =>
		climb.length === 1 && climb[0].rung === undefined && climb[0].side === undefined;
	const own = block.copies.flatMap(({ climb }, index) =>
		climb ? [say(texts.copySteps, { copy: index + 1, steps: stepsOf(climb) })] : []
	);
	const ofBlock =
		own.length === block.copies.length || isPlain(block.climb) ? [] : [stepsOf(block.climb)];
	const all = <Each>(of: (each: Drill) => readonly Each[]) => [...new Set(run.flatMap(of))];
	return {
		rungs: [...ofBlock, ...own].join('; '),
		sides: block.side ?? all(({ sides }) => sides?.names ?? []).join(' / '),
		cues: all(({ cues }) => cues.map((cue) => cue.say)),
		cautions: all(({ cautions }) => cautions)
	};
}

/** The game that a block starts from, in words. */
function scenarioWords({ scenario }: Block, say: Say): string[] {
	if (!scenario) return [];
	const { score, secondsLeft, possession, restart } = scenario;
	const parts = [
		score && say(texts.atScore, { score }),
		secondsLeft !== undefined && say(texts.withSecondsLeft, { secondsLeft }),
		possession && say(texts.withTheBall, { possession }),
		restart
	];
	return [say(texts.startsFrom, { parts: parts.filter(Boolean).join(', ') })];
}

/** What the coach set for a block, and what the drill says of it, each in a few words. */
function toldOf(
	block: Block,
	drill: Drill | undefined,
	{ context, say }: { context: Evaluation['context']; say: Say }
): Pick<SheetBlock, 'set' | 'counts'> {
	const first = (name: string | undefined, id: string) => (name ?? id).split(' ')[0];
	const { shows, eyes, counting, voice, note } = block;
	const run = drill ? rungsRun(block, drill) : [];
	const each = (of: (rung: Drill) => readonly string[]) => [...new Set(run.flatMap(of))];
	const calls = each(({ calls: own = [] }) => own);
	return {
		set: [
			...(shows
				? [say(texts.shows, { person: first(context.playerById.get(shows)?.name, shows) })]
				: []),
			...(eyes
				? [say(texts.watches, { person: first(context.adultById.get(eyes)?.name, eyes) })]
				: []),
			...(voice === 'players' ? [say(texts.playersTalk)] : []),
			...scenarioWords(block, say),
			...(counting ? [say(texts.countsHere, { counting })] : []),
			...(note ? [note] : [])
		],
		counts: [
			...(counting ? [] : each(({ success }) => (success ? [success.counts] : []))).map((counted) =>
				say(texts.countsHere, { counting: counted })
			),
			...(calls.length > 0 ? [say(texts.callsOf, { calls: calls.join(', ') })] : [])
		]
	};
}

/** The blocks of a period with all that a helper needs on paper. */
export function sheetBlocks(
	{ context, figures, runs, practice }: Evaluation,
	{ period }: PeriodWindow,
	say: Say
): SheetBlock[] {
	const adult = (id: string) => context.adultById.get(id)?.name.split(' ')[0];
	const comes = new Set(practice.expected);
	const number = (id: string) =>
		String(context.playerById.get(id)?.number ?? context.playerById.get(id)?.name ?? id);
	const bibOf = (id: string | undefined) => period.groups?.find((group) => group.id === id)?.bib;
	const zonesOf = (copies: readonly Copy[]) =>
		namesOf(
			copies.map(({ zoneId }) => zoneId),
			(id) => context.zoneById.get(id)?.name
		);
	return period.lanes.flatMap((lane) =>
		lane.blocks.map((block): SheetBlock => {
			const own = runs.filter(({ run }) => run.block === block);
			const station = isStation(period, lane);
			const bibs = station
				? own.map(({ run }) => run.groups.map(({ bib }) => bib))
				: block.copies.map(({ group }) => [bibOf(group)].filter((bib) => bib !== undefined));
			const loose = station
				? []
				: block.copies.flatMap(({ players }) => players.filter((id) => comes.has(id)));
			const all = loose.length > 0 && loose.length === practice.expected.length;
			const turns = figures.blocks.get(block.id)?.turns;
			return {
				lane,
				block,
				drill: drillOf(context, block.drill),
				zones: zonesOf(block.copies),
				adults: namesOf(
					own.flatMap(({ run }) => run.adults),
					adult
				),
				bibs: bibs.filter((list) => list.length > 0),
				numbers: all ? say(texts.everyone) : loose.map(number).join(' '),
				turns: turns ? turnsWords(turns, say) : '',
				...whatIsRun(block, drillOf(context, block.drill), say),
				...toldOf(block, drillOf(context, block.drill), { context, say })
			};
		})
	);
}
