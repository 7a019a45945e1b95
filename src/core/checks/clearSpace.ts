import { laidCopies, type LaidCopy } from '../practice';
import type { Limits } from '../model/team';
import { overBlocks } from './blockRule';
import { movedElsewhere, startsWithin } from './shared';

/** Metres that a copy wants clear around it: how far the drill says that sticks and balls go. */
function clearOf({ drill: { hazards } }: LaidCopy, { swingMetres }: Limits): number {
	const swing = hazards?.swing === undefined ? 0 : Math.max(hazards.swing, swingMetres);
	return Math.max(swing, hazards?.flight ?? 0);
}

/** Metres between two copies, 0 where they touch. */
function gapBetween(a: LaidCopy, b: LaidCopy): number {
	const along = Math.max(
		a.corner.x - b.corner.x - b.size.length,
		b.corner.x - a.corner.x - a.size.length,
		0
	);
	const across = Math.max(
		a.corner.y - b.corner.y - b.size.width,
		b.corner.y - a.corner.y - a.size.width,
		0
	);
	return Math.hypot(along, across);
}

/** A swing or a flight of one copy reaches into another that runs beside it. */
export const clearSpace = overBlocks({
	code: 'clear-space',
	severity: 'stop',
	find(played) {
		const { evaluation, runs } = played;
		const { block } = runs[0].run;
		for (const second of startsWithin(played)) {
			const laid = laidCopies(evaluation, second);
			for (const own of laid.filter((copy) => copy.played.run.block === block)) {
				const clear = clearOf(own, evaluation.context.limits);
				for (const other of clear > 0 ? laid : []) {
					if (other === own || other.played.run.players.length === 0) continue;
					const gap = gapBetween(own, other);
					if (gap >= clear - 1e-6) continue;
					const values = { other: other.played.run.block.id, gap, clear };
					return { values, fromSecond: second };
				}
			}
		}
		return null;
	},
	accepts: () => true,
	cause: ({ at }) => at.period ?? '',
	weigh: ({ values }) => Number(values.clear) - Number(values.gap),
	propose: movedElsewhere
});
