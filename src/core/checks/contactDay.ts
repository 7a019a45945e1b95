import { setMinutes } from '../building';
import { onRung } from '../playing';
import { overBlocks, playedBlocks, type PlayedBlock } from './blockRule';

/** Minutes of hard contact of the player who has most, up to and with a block; steps below the level are none. */
function minutesUntil(played: PlayedBlock): number {
	const { contactLevel } = played.evaluation.context.limits;
	const minutes = new Map<string, number>();
	for (const block of playedBlocks(played.evaluation)) {
		for (const { run, drill, fromSecond, toSecond } of block.steps)
			if (drill.contact >= contactLevel)
				for (const player of run.players)
					minutes.set(player, (minutes.get(player) ?? 0) + (toSecond - fromSecond) / 60);
		if (block.runs[0].run.block === played.runs[0].run.block) break;
	}
	return Math.max(0, ...minutes.values());
}

/** A player has more hard contact than a day should hold; the block that goes over is at fault. */
export const contactDay = overBlocks({
	code: 'contact-day',
	severity: 'stop',
	find(played) {
		const { contactLevel, contactDayMinutes } = played.evaluation.context.limits;
		const hard = played.steps.find(({ drill }) => drill.contact >= contactLevel);
		if (!hard) return null;
		const minutes = minutesUntil(played);
		if (minutes <= contactDayMinutes + 1e-9) return null;
		const values = { minutes: Math.ceil(minutes), limit: contactDayMinutes };
		return { values, fromSecond: hard.fromSecond };
	},
	cause: () => '',
	weigh: ({ values }) => values.minutes,
	*propose(played) {
		const { period, block } = played.runs[0].run;
		const { practice, context } = played.evaluation;
		const { contactLevel, contactDayMinutes } = context.limits;
		const shorter = period.minutes - Math.ceil(minutesUntil(played) - contactDayMinutes);
		if (shorter >= 1) yield setMinutes(practice, period.id, shorter);
		// The steps of the climb that stay below the level, where there are any.
		const soft = block.climb.filter(
			({ rung }) => onRung(played.drill, rung).contact < contactLevel
		);
		if (soft.length > 0) yield { type: 'set-block', block: block.id, set: { climb: soft } };
	}
});
