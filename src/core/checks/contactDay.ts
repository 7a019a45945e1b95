import { setMinutes } from '../practice';
import { overBlocks, playedBlocks, type PlayedBlock } from './blockRule';
import { onLastRung } from './shared';

const isContact = ({ drill, runs, evaluation }: PlayedBlock) =>
	onLastRung(drill, runs[0].run.block.climb.at(-1)?.rung).contact >=
	evaluation.context.limits.contactLevel;

/** Minutes of hard contact of the player who has most, up to and with a block. */
function minutesUntil(played: PlayedBlock): number {
	const minutes = new Map<string, number>();
	for (const block of playedBlocks(played.evaluation)) {
		if (isContact(block))
			for (const { run } of block.runs)
				for (const player of run.players)
					minutes.set(player, (minutes.get(player) ?? 0) + (run.toSecond - run.fromSecond) / 60);
		if (block.runs[0].run.block === played.runs[0].run.block) break;
	}
	return Math.max(0, ...minutes.values());
}

/** A player has more hard contact than a day should hold; the block that goes over is at fault. */
export const contactDay = overBlocks({
	code: 'contact-day',
	severity: 'stop',
	find(played) {
		if (!isContact(played)) return null;
		const { contactDayMinutes } = played.evaluation.context.limits;
		const minutes = minutesUntil(played);
		if (minutes <= contactDayMinutes + 1e-9) return null;
		const values = { minutes: Math.round(minutes), limit: contactDayMinutes };
		return { values, fromSecond: played.runs[0].run.fromSecond };
	},
	accepts: () => false,
	proposals(played) {
		const { period } = played.runs[0].run;
		const over = Math.ceil(
			minutesUntil(played) - played.evaluation.context.limits.contactDayMinutes
		);
		const shorter = period.minutes - over;
		return shorter >= 1 ? [setMinutes(played.evaluation.practice, period.id, shorter)] : [];
	}
});
