import { copiesByFixtures } from '../sizing';
import { overBlocks } from './blockRule';
import { movedElsewhere, startsWithin, stepsAt } from './shared';

/** A zone has fewer goals, nets or walls than the copies in it need. */
export const fixtureShort = overBlocks({
	code: 'fixture-short',
	severity: 'stop',
	find(played) {
		const { evaluation } = played;
		for (const second of startsWithin(played)) {
			const now = stepsAt(played, second);
			for (const { run, drill } of now) {
				const zone = evaluation.context.zoneById.get(run.copy.zoneId);
				const copies = now.filter((other) => other.run.copy.zoneId === run.copy.zoneId).length;
				const serves = zone ? copiesByFixtures(drill, zone) : Infinity;
				if (!zone || serves >= copies) continue;
				const items = (drill.fixtures ?? []).map(({ item, count }) => `${count} × ${item}`);
				return { values: { zone: zone.id, copies, serves, items }, fromSecond: second };
			}
		}
		return null;
	},
	accepts: ({ blockedBy }) => !blockedBy.includes('fixtures'),
	propose: movedElsewhere
});
