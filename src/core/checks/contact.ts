import { setMinutes } from '../building';
import { addDays } from '../conditions';
import type { Limits } from '../model/limits';
import { contactOf, contactWeight, onRung } from '../playing';
import type { Context } from '../practice';
import { onceFor } from './onceFor';
import { overBlocks, playedBlocks, type BlockRule, type PlayedBlock } from './blockRule';

/** Minutes by level as minutes of hard contact: those of the level below count by their weight. */
const weighed = (minutes: Iterable<readonly [number, number]>, limits: Limits) =>
	[...minutes].reduce((sum, [level, some]) => sum + contactWeight(level, limits) * some, 0);

/** Minutes of hard contact of each player up to and with a block. */
const minutesUntil = onceFor((played: PlayedBlock): Map<string, number> => {
	const { limits } = played.evaluation.context;
	const blocks = playedBlocks(played.evaluation);
	const last = blocks.findIndex(({ runs }) => runs[0].run.block === played.runs[0].run.block);
	const contact = contactOf(blocks.slice(0, last + 1).flatMap(({ runs }) => [...runs]));
	return new Map([...contact].map(([player, own]) => [player, weighed(own, limits)]));
});

/** Minutes of hard contact that a player had on the days before that are meant. */
function hadBefore(
	{ before, limits }: Context,
	player: string,
	isMeant: (date: string) => boolean
): number {
	return (before?.week ?? [])
		.filter(({ date }) => isMeant(date))
		.reduce((sum, { strain }) => {
			const own = Object.entries(strain[player]?.contact ?? {});
			return (
				sum +
				weighed(
					own.map(([level, some]) => [Number(level), some] as const),
					limits
				)
			);
		}, 0);
}

/** The same for the six days before, and earlier on the day. */
const weekBefore = (context: Context, player: string): number =>
	hadBefore(context, player, () => true);

/** The player who has most, what that is, and what is over the limit of that. */
interface Most {
	minutes: number;
	over: number;
}

/** A rule on minutes of hard contact: of the day alone, or with those of the week before. */
function contactRule<Code extends 'contact-day' | 'contact-week'>(
	code: Code,
	{
		limitOf,
		earlier
	}: {
		limitOf: (context: Context) => number;
		earlier: (context: Context, player: string) => number;
	}
) {
	function mostIn(played: PlayedBlock): Most {
		const { context } = played.evaluation;
		const here = new Set(played.runs.flatMap(({ run }) => run.players));
		const sums = [...minutesUntil(played)]
			.filter(([player]) => here.has(player))
			.map(([player, minutes]) => minutes + earlier(context, player));
		const minutes = Math.max(0, ...sums);
		return { minutes, over: minutes - limitOf(context) };
	}
	return overBlocks({
		code,
		severity: 'stop',
		find(played) {
			const { context } = played.evaluation;
			const hard = played.steps.find(
				({ drill }) => contactWeight(drill.contact, context.limits) > 0
			);
			if (!hard) return null;
			const { minutes, over } = mostIn(played);
			if (over <= 1e-9) return null;
			const values = { minutes: Math.ceil(minutes), limit: limitOf(context) };
			return { values, fromSecond: hard.fromSecond };
		},
		cause: () => '',
		weigh: ({ values }: { values: { minutes: number } }) => values.minutes,
		*propose(played) {
			const { period } = played.runs[0].run;
			const weights = played.steps.map(({ drill }) =>
				contactWeight(drill.contact, played.evaluation.context.limits)
			);
			const shorter = period.minutes - Math.ceil(mostIn(played).over / Math.max(...weights));
			if (shorter >= 1) yield setMinutes(played.evaluation.practice, period.id, shorter);
			yield* softer(played, hardestOf(played));
		}
	} as BlockRule<Code>);
}

/** The hardest contact of a block. */
const hardestOf = ({ steps }: PlayedBlock): number =>
	Math.max(...steps.map(({ drill }) => drill.contact));

/** The steps of the climb that stay below a level, where there are any. */
function* softer({ runs, drill }: PlayedBlock, level: number) {
	const { block } = runs[0].run;
	const climb = block.climb.filter(({ rung }) => onRung(drill, rung).contact < level);
	if (climb.length > 0 && climb.length < block.climb.length)
		yield { type: 'set-block' as const, block: block.id, set: { climb } };
}

/** A player has more hard contact than a day should hold; the block that goes over is at fault. */
export const contactDay = contactRule('contact-day', {
	limitOf: ({ limits }) => limits.contactDayMinutes,
	earlier: () => 0
});

/** A player has more hard contact in seven days than they should; known where what came before is known. */
export const contactWeek = contactRule('contact-week', {
	limitOf: ({ limits }) => limits.contactWeekMinutes,
	earlier: weekBefore
});

/** Players of a block who have much contact today and had much the day before, by their minutes of both. */
function inARow(played: PlayedBlock) {
	const { context, practice } = played.evaluation;
	const { contactDayMinutes, contactRowShare } = context.limits;
	const limit = contactDayMinutes * contactRowShare;
	const here = new Set(played.runs.flatMap(({ run }) => run.players));
	const yesterday = addDays(practice.date, -1);
	return [...minutesUntil(played)]
		.filter(([player, minutes]) => here.has(player) && minutes > limit + 1e-9)
		.map(([player, minutes]) => ({
			...{ player, minutes, limit },
			before: hadBefore(context, player, (date) => date === yesterday)
		}))
		.filter(({ before }) => before > limit + 1e-9);
}

/** A player has much contact on two days in a row; the block that goes over the share today is at fault. */
export const contactRow = overBlocks({
	code: 'contact-row',
	severity: 'stop',
	find(played) {
		const { context } = played.evaluation;
		const hard = played.steps.find(({ drill }) => contactWeight(drill.contact, context.limits) > 0);
		const [most] = hard ? inARow(played).sort((a, b) => b.minutes - a.minutes) : [];
		if (!hard || !most) return null;
		const { minutes, before, limit } = most;
		const values = { minutes: Math.ceil(minutes), before: Math.ceil(before), limit };
		return { values, fromSecond: hard.fromSecond };
	},
	cause: () => '',
	weigh: ({ values }) => values.minutes,
	*propose(played) {
		const over = inARow(played).map(({ minutes, limit }) => minutes - limit);
		const { period } = played.runs[0].run;
		const weights = played.steps.map(({ drill }) =>
			contactWeight(drill.contact, played.evaluation.context.limits)
		);
		const shorter = period.minutes - Math.ceil(Math.max(0, ...over) / Math.max(...weights));
		if (shorter >= 1) yield setMinutes(played.evaluation.practice, period.id, shorter);
		yield* softer(played, hardestOf(played));
	}
});

/** Practices that a player must have come to before contact of a level; 0 where none are needed. */
function practicesBefore({ limits }: Context, level: number): number {
	if (level >= FULL) return limits.fullContactAfter;
	return level >= limits.contactLevel ? limits.contactAfter : 0;
}
const FULL = 4;

/** Players who have not come often enough for the hardest contact of a block, with how often they have. */
function tooNew({ steps, evaluation }: PlayedBlock) {
	const { context } = evaluation;
	const { before } = context;
	if (!before) return [];
	return steps.flatMap(({ run, drill, fromSecond }) => {
		const needed = practicesBefore(context, drill.contact);
		return run.players
			.map((player) => ({ player, attended: before.attended[player] ?? 0 }))
			.filter(({ attended }) => attended < needed)
			.map((own) => ({ ...own, needed, level: drill.contact, fromSecond }));
	});
}

/** Players have hard contact before they have come to enough practices of the season. */
export const contactRamp = overBlocks({
	code: 'contact-ramp',
	severity: 'stop',
	find(played) {
		const early = tooNew(played);
		if (early.length === 0) return null;
		const [first] = early.toSorted((a, b) => a.attended - a.needed - (b.attended - b.needed));
		const { player, attended, needed, level } = first;
		const players = new Set(early.map((each) => each.player)).size;
		return {
			values: { level, attended, needed, player, players },
			fromSecond: Math.min(...early.map(({ fromSecond }) => fromSecond))
		};
	},
	cause: ({ values }) => String(values.needed),
	weigh: ({ values }) => values.needed - values.attended,
	*propose(played) {
		const levels = tooNew(played).map(({ level }) => level);
		yield* softer(played, Math.min(...levels));
	}
});
