import type { Drill } from '../model/drill';
import { areaOf } from '../model/skill';
import { applyEdit, evaluate, type Edit, type Evaluation, type PlayedRun } from '../practice';
import type { SizeOption } from '../sizing';
import type { Finding, FindingCode, Rule, Severity } from './finding';
import { recopy, withDrill, withoutBlock } from './fixes';

/** All runs of one block that has a drill, in order of time. */
export interface PlayedBlock {
	drill: Drill;
	runs: readonly PlayedRun[];
	evaluation: Evaluation;
}

/** A rule about one block at a time: what it finds, and which other sizes would mend it. */
export interface BlockRule {
	code: FindingCode;
	severity: Severity;
	/** The fault of a block: its numbers and when it begins; null where there is none. */
	find(played: PlayedBlock): { values: Finding['values']; fromSecond: number } | null;
	accepts(option: SizeOption, evaluation: Evaluation): boolean;
	/** Edits that are tried first, the best first; those that mend it are offered. */
	proposals?(played: PlayedBlock): Edit[];
}

/** Blocks by evaluation: every rule asks for them, and an evaluation never changes. */
const known = new WeakMap<Evaluation, PlayedBlock[]>();

/** Every block with a drill, in order of its first run. */
export function playedBlocks(evaluation: Evaluation): PlayedBlock[] {
	const before = known.get(evaluation);
	if (before) return before;
	const blocks = gatherBlocks(evaluation);
	known.set(evaluation, blocks);
	return blocks;
}

function gatherBlocks(evaluation: Evaluation): PlayedBlock[] {
	const blocks = new Map<string, { drill: Drill; runs: PlayedRun[]; evaluation: Evaluation }>();
	for (const played of evaluation.runs) {
		const { block, drill } = played.run;
		const entry = blocks.get(block.id);
		if (entry) entry.runs.push(played);
		else if (drill) blocks.set(block.id, { drill, runs: [played], evaluation });
	}
	return [...blocks.values()];
}

/** Whether an edit leaves the block without this rule's fault; a block that is gone has none. */
function mends(rule: BlockRule, { evaluation, runs }: PlayedBlock, edit: Edit): boolean {
	const applied = applyEdit(evaluation.practice, edit);
	if (!applied.ok) return false;
	const next = evaluate(applied.value.practice, evaluation.context, evaluation);
	const { id } = runs[0].run.block;
	const after = playedBlocks(next).find((played) => played.runs[0].run.block.id === id);
	return !after || rule.find(after) === null;
}

const isOfKind = ({ family }: Drill, isWarmUp: boolean) =>
	isWarmUp ? family === 'warm-up' : family !== 'warm-up' && family !== 'cool-down';

/** Drills of the shelf that the block's groups can run instead: new ones first, then by shared skills. */
function otherDrills({ drill, runs, evaluation }: PlayedBlock): Drill[] {
	const sizes = runs.map(({ run }) => run.players.length);
	const areas = new Set(drill.skills.map(({ skill }) => areaOf(skill)));
	const used = new Set(evaluation.runs.map(({ run }) => run.drill?.id));
	const rank = (other: Drill) =>
		(used.has(other.id) ? 0 : 10) +
		other.skills.filter(({ skill }) => areas.has(areaOf(skill))).length;
	return evaluation.context.shelf
		.filter(
			(other) =>
				other.id !== drill.id &&
				isOfKind(other, drill.family === 'warm-up') &&
				(!other.restByDesign || drill.restByDesign === true) &&
				sizes.every((size) => size >= other.group.min && size <= other.group.max)
		)
		.sort((a, b) => rank(b) - rank(a));
}

/** How many edits of one rule are offered. */
const PROPOSALS_SHOWN = 2;

/** How many drills are tried before the block itself is taken out. */
const DRILLS_TRIED = 6;

/** Other copies where they mend it, else another drill, else the block taken out. */
function fixesFor(rule: BlockRule, played: PlayedBlock): Edit[] {
	const { evaluation, runs } = played;
	const { period, lane, block } = runs[0].run;
	const proposed: Edit[] = [];
	for (const edit of rule.proposals?.(played) ?? []) {
		if (mends(rule, played, edit)) proposed.push(edit);
		if (proposed.length === PROPOSALS_SHOWN) break;
	}
	if (proposed.length > 0) return proposed;
	const copies = recopy(evaluation, { period, lane, block }, (option) =>
		rule.accepts(option, evaluation)
	);
	if (copies && mends(rule, played, copies)) return [copies];
	const swap = otherDrills(played)
		.slice(0, DRILLS_TRIED)
		.map((drill) => withDrill(block, drill))
		.find((edit) => mends(rule, played, edit));
	return [swap ?? withoutBlock(period, block)];
}

/** The rule over all blocks, with fixes that have been tried. */
export function overBlocks(rule: BlockRule): Rule {
	return (evaluation) =>
		playedBlocks(evaluation).flatMap((played): Finding[] => {
			const fault = rule.find(played);
			if (!fault) return [];
			const { period, block } = played.runs[0].run;
			return [
				{
					code: rule.code,
					severity: rule.severity,
					at: { period: period.id, block: block.id, fromSecond: fault.fromSecond },
					values: fault.values,
					fixes: fixesFor(rule, played)
				}
			];
		});
}
