import { copiesInZone } from '../sizing';
import { overBlocks, type PlayedBlock } from './blockRule';
import type { Values } from './finding';
import { movedElsewhere } from './shared';

/** The first zone that does not hold the copies that a block has in it at once, on the rung and with the players that they have. */
function tooSmall({
	steps,
	evaluation
}: PlayedBlock): { values: Values['zone-small']; fromSecond: number } | null {
	const { zoneById } = evaluation.context;
	for (const { run, drill, fromSecond } of steps) {
		const zone = zoneById.get(run.copy.zoneId);
		if (!zone || run.players.length === 0) continue;
		const inIt = run.block.copies.filter(({ zoneId }) => zoneId === zone.id).length;
		const holds = copiesInZone({ ground: drill.ground }, zone, run.players.length);
		if (holds < inIt) return { values: { zone: zone.id, copies: inIt, holds }, fromSecond };
	}
	return null;
}

/** A zone is too small for what is to run in it. */
export const zoneSmall = overBlocks({
	code: 'zone-small',
	severity: 'warn',
	find: tooSmall,
	accepts: () => true,
	cause: ({ at }) => at.block ?? '',
	weigh: ({ values }) => values.copies - values.holds,
	propose: movedElsewhere
});
