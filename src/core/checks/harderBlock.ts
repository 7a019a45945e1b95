import { type Evaluation, rungsRun } from '../playing';
import { blocksOf, drillOf } from '../practice';
import type { Block } from '../model/practice';

interface Hardness {
	contact: number;
	effort: number;
}

/** The hardest that a block comes to on its rungs. */
function hardnessOf(block: Block, { context }: Evaluation): Hardness {
	const drill = drillOf(context, block.drill);
	const rungs = drill ? rungsRun(block, drill) : [];
	return {
		contact: Math.max(0, ...rungs.map(({ contact }) => contact)),
		effort: Math.max(0, ...rungs.map(({ effort }) => effort))
	};
}

const blocksById = (evaluation: Evaluation) =>
	new Map(
		[...blocksOf(evaluation.practice)].map(({ block }) => [block.id, hardnessOf(block, evaluation)])
	);

/**
 * The id of a block that is harder, or has more contact, than it was before; a new block than the
 * hardest one before. Undefined where there is none.
 */
export function harderBlock(after: Evaluation, before: Evaluation): string | undefined {
	const old = blocksById(before);
	const most = {
		contact: Math.max(0, ...[...old.values()].map(({ contact }) => contact)),
		effort: Math.max(0, ...[...old.values()].map(({ effort }) => effort))
	};
	for (const [id, { contact, effort }] of blocksById(after)) {
		const was = old.get(id) ?? most;
		if (contact > was.contact || effort > was.effort) return id;
	}
	return undefined;
}
