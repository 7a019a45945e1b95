import { inMinutes } from '$core/building';
import { startingLines } from '$core/drill';
import {
	type Evaluation,
	isStation,
	type PeriodWindow,
	type PlayedRun,
	rungsRun
} from '$core/playing';
import { climbOf, drillOf } from '$core/practice';
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
	/** How many stand at which spot when it starts, by the size of the group; empty where there is one line. */
	lines: string;
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
	{ say, isBrief }: { say: Say; isBrief: boolean }
): Pick<SheetBlock, 'rungs' | 'sides' | 'cues' | 'cautions'> {
	if (!drill) return { rungs: '', sides: '', cues: [], cautions: [] };
	const run = rungsRun(block, drill);
	const stepsOf = (climb: Block['climb']) => {
		const isSeveral = climb.length > 1;
		return inMinutes(climb, block.minutes)
			.map(({ rung, turns, minutes = 0, side }) => {
				const found = drill.rungs.find(({ id }) => id === rung);
				const named = found && (isBrief ? found.name : `${found.name} (${found.change})`);
				const what = named ?? say(texts.asItIs);
				const lasts =
					turns !== undefined
						? say(texts.forTurns, { what, turnCount: turns })
						: isSeveral
							? say(texts.forMinutes, { what, minutes })
							: what;
				return side === undefined ? lasts : say(texts.onSide, { what: lasts, side });
			})
			.reduce((first, then) => say(texts.firstThen, { first, then }));
	};
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

/** How the lines of a block stand at the start, once for each size of its groups. */
function linesAtStart(
	runs: readonly PlayedRun[],
	context: Evaluation['context'],
	say: Say
): string {
	const bySize = new Map<number, string>();
	for (const { run, steps, fault } of runs) {
		const [first] = steps;
		if (fault || !first || bySize.has(run.players.length)) continue;
		const players = run.players.map((id) => ({ id, unit: context.playerById.get(id)?.unit }));
		const [{ turns }] = climbOf(run.block, run.copy);
		const lines = startingLines(first.system, players, turns !== undefined);
		const isLong = ([id, count]: [string, number]) =>
			count > (first.system.spots.find((spot) => spot.id === id)?.count ?? 0);
		// Spots that one player each holds are in the drawing.
		if (lines.length < 2 || !lines.some(isLong)) continue;
		bySize.set(run.players.length, lines.map(([id, count]) => `${count} ${id}`).join(', '));
	}
	const sizes = [...bySize].sort(([a], [b]) => b - a);
	if (sizes.length === 0) return '';
	const each = sizes.map(([size, lines]) =>
		sizes.length > 1 ? say(texts.linesOfSize, { size, lines }) : lines
	);
	return say(texts.linesStart, { lines: each.join('; ') });
}

/** What the other pair of eyes looks at: the cues of those who work against the workers. */
function watchersCues(run: readonly Drill[]): string {
	const cues = run.flatMap(({ spots, cues: own }) => {
		const against = new Set(spots.flatMap(({ id, role }) => (role === 'opponent' ? id : [])));
		return own.filter(({ spot }) => spot !== undefined && against.has(spot));
	});
	return [...new Set(cues.map((cue) => cue.say))].join(', ');
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
				? [
						say(texts.watches, {
							person: first(context.adultById.get(eyes)?.name, eyes),
							hasCues: watchersCues(run) !== '',
							watched: watchersCues(run)
						})
					]
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

/** Players who are named by who is not there, where a sheet is brief: so many at most. */
const FEW = 4;
/** Zones of a block that are all named where a sheet is brief. */
const MANY_ZONES = 3;

/**
 * The blocks of a period with all that a helper needs on paper; a brief sheet leaves out what a rung changes
 * and names of many zones.
 */
export function sheetBlocks(
	{ context, figures, runs, practice }: Evaluation,
	{ period }: PeriodWindow,
	{ say, isBrief = false }: { say: Say; isBrief?: boolean }
): SheetBlock[] {
	const adult = (id: string) => context.adultById.get(id)?.name.split(' ')[0];
	const comes = new Set(practice.expected);
	const number = (id: string) =>
		String(context.playerById.get(id)?.number ?? context.playerById.get(id)?.name ?? id);
	const bibOf = (id: string | undefined) => period.groups?.find((group) => group.id === id)?.bib;
	const zonesOf = (copies: readonly Copy[]) => {
		const ids = [...new Set(copies.map(({ zoneId }) => zoneId))];
		const name = (id: string) => context.zoneById.get(id)?.name ?? id;
		const [first, last] = [ids[0], ids.at(-1)];
		return isBrief && ids.length > MANY_ZONES && last !== undefined
			? say(texts.zonesTo, { first: name(first), last: name(last), zoneCount: ids.length })
			: namesOf(ids, name);
	};
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
			const numbersOf = (ids: readonly string[]) => {
				const others = practice.expected.filter((id) => !ids.includes(id));
				return isBrief && others.length > 0 && others.length <= FEW
					? say(texts.everyoneBut, { numbers: others.map(number).join(' ') })
					: ids.map(number).join(' ');
			};
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
				numbers: all ? say(texts.everyone) : numbersOf(loose),
				turns: turns ? turnsWords(turns, say) : '',
				lines: linesAtStart(own, context, say),
				...whatIsRun(block, drillOf(context, block.drill), { say, isBrief }),
				...toldOf(block, drillOf(context, block.drill), { context, say })
			};
		})
	);
}
