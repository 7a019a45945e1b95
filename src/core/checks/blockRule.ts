import { suitsAges } from '../model/ages';
import type { Drill } from '../model/drill';
import { areaOf } from '../model/skill';
import { type Evaluation, type PlayedRun, type RunStep, stepsOf } from '../playing';
import type { Edit } from '../practice';
import type { SizeOption } from '../sizing';
import { onceFor } from './onceFor';
import type { FindingCode, Rule, Severity, Trouble, Values } from './finding';
import { anotherInside, drillInPlace, isDoneTogether } from '../building';
import { recopy, withoutBlock } from './fixes';

/** All runs of one block that has a drill, in order of time. */
export interface PlayedBlock {
	/** The drill itself: what runs, on its rungs, is in the steps. */
	drill: Drill;
	runs: readonly PlayedRun[];
	/** The steps of all runs, in order of time. */
	steps: readonly RunStep[];
	evaluation: Evaluation;
}

/** A rule about one block at a time: what it finds, and which other sizes would mend it. */
export interface BlockRule<Code extends FindingCode = FindingCode> {
	code: Code;
	severity: Severity;
	/** The trouble of a block: its numbers and when it begins; null where there is none. */
	find(played: PlayedBlock): { values: Values[Code]; fromSecond: number } | null;
	/** Sizes in which the block is tried; none where another size changes nothing. */
	accepts?(option: SizeOption, evaluation: Evaluation): boolean;
	/** Edits that are tried first, the best first. */
	propose?(played: PlayedBlock): Iterable<Edit>;
	cause?(trouble: Trouble<Code>, all: readonly Trouble<Code>[]): string;
	weigh?(trouble: Trouble<Code>): number;
}

/** Every block with a drill, in order of its first run. */
export const playedBlocks = onceFor((evaluation: Evaluation): PlayedBlock[] => {
	const runs = new Map<string, PlayedRun[]>();
	for (const played of evaluation.runs) {
		const { block, drill } = played.run;
		const own = runs.get(block.id);
		if (own) own.push(played);
		else if (drill) runs.set(block.id, [played]);
	}
	return [...runs.values()].map((own) => ({
		drill: own[0].run.drill as Drill,
		runs: own,
		steps: own.flatMap(stepsOf).sort((a, b) => a.fromSecond - b.fromSecond),
		evaluation
	}));
});

const isOfKind = ({ family }: Drill, isWarmUp: boolean) =>
	isWarmUp ? family === 'warm-up' : family !== 'warm-up' && family !== 'cool-down';

/** How many drills are tried before the block itself is taken out. */
const DRILLS_TRIED = 6;

/** How many drills of the same family are tried in copies of their own. */
const FAMILY_TRIED = 3;

/** Drills of the shelf that train some of the same as a block's and suit it: new ones first. */
function drillsLike({ drill, evaluation }: PlayedBlock): Drill[] {
	const areas = new Set(drill.skills.map(({ skill }) => areaOf(skill)));
	const used = new Set(evaluation.runs.map(({ run }) => run.drill?.id));
	const shared = (other: Drill) =>
		other.skills.filter(({ skill }) => areas.has(areaOf(skill))).length;
	const rank = (other: Drill) => (used.has(other.id) ? 0 : 10) + shared(other);
	const { shelf, team } = evaluation.context;
	return shelf
		.filter(
			(other) =>
				other.id !== drill.id &&
				isOfKind(other, drill.family === 'warm-up') &&
				suitsAges(other, team.ages) &&
				(shared(other) > 0 || areas.size === 0) &&
				(!other.restByDesign || drill.restByDesign === true)
		)
		.sort((a, b) => rank(b) - rank(a));
}

/** Those of some drills that the groups of a block can run as they are. */
function inSameCopies({ runs }: PlayedBlock, drills: readonly Drill[]): Drill[] {
	const sizes = runs.map(({ run }) => run.players.length);
	return drills.filter(({ group }) =>
		sizes.every((size) => size >= group.min && size <= group.max)
	);
}

/**
 * Other drills of the same family in copies of their own, where the block is all that its period runs: another
 * game for so many, another warm-up.
 */
function* inOtherCopies(
	{ runs, drill, evaluation }: PlayedBlock,
	drills: readonly Drill[]
): Generator<Edit> {
	const { period } = runs[0].run;
	if (period.lanes.length > 1 || period.lanes[0].blocks.length > 1) return;
	const sameFamily = drills.filter(({ family }) => family === drill.family);
	for (const other of sameFamily.slice(0, FAMILY_TRIED)) {
		const edit = anotherInside(evaluation, period, other);
		if (edit) yield edit;
	}
}

/** Other copies, then another drill; what would stop the practice is taken out last of all. A hint is left at that. */
function* otherwise({ accepts, severity }: BlockRule, played: PlayedBlock): Generator<Edit> {
	if (severity === 'hint') return;
	const { evaluation, runs } = played;
	const { period, lane, block } = runs[0].run;
	const copies =
		accepts && recopy(evaluation, { period, lane, block }, (option) => accepts(option, evaluation));
	if (copies) yield copies;
	const drills = drillsLike(played);
	for (const drill of inSameCopies(played, drills).slice(0, DRILLS_TRIED))
		yield drillInPlace({ period, block }, { before: played.drill, drill });
	if (severity === 'stop' && isDoneTogether(played.drill)) yield* inOtherCopies(played, drills);
	if (severity === 'stop') yield withoutBlock(period, block);
}

/** The rule over all blocks. */
export function overBlocks<Code extends FindingCode>(rule: BlockRule<Code>): Rule<Code> {
	const { code, severity } = rule;
	const blockOf = (evaluation: Evaluation, { at }: Pick<Trouble, 'at'>) =>
		playedBlocks(evaluation).find(({ runs }) => runs[0].run.block.id === at.block);
	return {
		cause: rule.cause,
		weigh: rule.weigh,
		find: (evaluation) =>
			playedBlocks(evaluation).flatMap((played): Trouble<Code>[] => {
				const trouble = rule.find(played);
				if (!trouble) return [];
				const { period, block } = played.runs[0].run;
				const { values, fromSecond } = trouble;
				const at = { period: period.id, block: block.id, fromSecond };
				return [{ code, severity, at, values } as Trouble<Code>];
			}),
		*propose(evaluation, trouble) {
			const played = blockOf(evaluation, trouble);
			if (played && rule.propose) yield* rule.propose(played);
		},
		*otherwise(evaluation, trouble) {
			const played = blockOf(evaluation, trouble);
			if (played) yield* otherwise(rule, played);
		}
	};
}
