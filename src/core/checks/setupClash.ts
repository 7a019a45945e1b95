import { laidOutMeanwhile, overlap } from '../playing';
import type { Edit } from '../practice';
import { overBlocks, type PlayedBlock } from './blockRule';
import { waterBehind } from './fixes';
import { firstOf, movedElsewhere } from './shared';

/** Nobody drinks in less. */
const DRINK_MINUTES = 2;

/** Water before the block's period, long enough to lay it out. */
function timeBefore({ steps, drill, runs, evaluation }: PlayedBlock): Edit[] {
	const { periods } = evaluation.practice;
	const at = periods.indexOf(runs[0].run.period);
	const seconds = firstOf({ steps, drill }).setup?.seconds ?? 0;
	const minutes = Math.max(DRINK_MINUTES, Math.ceil(seconds / 60));
	const before = periods[at - 1];
	return before ? [waterBehind(evaluation.practice, before.id, minutes)] : [];
}

/** A block must be laid out while somebody still plays on its ground, and explaining it leaves no time for that. */
export const setupClash = overBlocks({
	code: 'setup-clash',
	severity: 'warn',
	find({ steps, drill, runs, evaluation }) {
		const { block, fromSecond } = runs[0].run;
		const first = firstOf({ steps, drill });
		const seconds = first.setup?.seconds ?? 0;
		const meanwhile = laidOutMeanwhile(first, evaluation.practice.adults.length);
		const { zoneById } = evaluation.context;
		const own = block.copies.flatMap(({ zoneId }) => zoneById.get(zoneId) ?? []);
		// The first block of a practice is laid out before it.
		if (seconds === 0 || fromSecond === 0) return null;
		for (const { run: other } of evaluation.runs) {
			const zone = zoneById.get(other.copy.zoneId);
			if (!zone || other.block === block || other.drill === undefined) continue;
			if (other.fromSecond >= fromSecond) continue;
			if (other.toSecond <= fromSecond + meanwhile - seconds + 1e-6) continue;
			if (!own.some((each) => overlap(each, zone))) continue;
			const free = Math.max(0, Math.round(fromSecond - other.toSecond));
			return { values: { seconds, free, first: other.block.id, zone: zone.id }, fromSecond };
		}
		return null;
	},
	accepts: () => true,
	cause: ({ at }) => at.period ?? '',
	propose: (played) => [...timeBefore(played), ...movedElsewhere(played)]
});
