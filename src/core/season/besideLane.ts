import type { Lane } from '../model/practice';
import { areaOf } from '../model/skill';
import type { Evaluation } from '../playing';
import { ledgerRows } from './ledger';

/** Minutes of a skill area that the players of a lane get in a practice: in the lane, and in all else. */
export interface AreaBeside {
	area: string;
	here: number;
	elsewhere: number;
}

/**
 * What the players of a lane get of each skill area of the team, means over them: what is covered nowhere
 * comes first, then what is covered least; of equals in the team's order.
 */
export function besideLane(evaluation: Evaluation, lane: Lane): AreaBeside[] {
	const blocks = new Set(lane.blocks.map(({ id }) => id));
	const players = new Set(
		evaluation.runs.flatMap(({ run }) => (blocks.has(run.block.id) ? run.players : []))
	);
	const sums = new Map<string, AreaBeside>(
		evaluation.context.team.skillAreas.map(({ id }) => [id, { area: id, here: 0, elsewhere: 0 }])
	);
	for (const { player, block, skill, seconds } of ledgerRows(evaluation)) {
		const sum = players.has(player) && sums.get(areaOf(skill));
		if (sum) sum[blocks.has(block) ? 'here' : 'elsewhere'] += seconds / 60 / players.size;
	}
	return [...sums.values()].sort((a, b) => a.here + a.elsewhere - (b.here + b.elsewhere));
}
