import { setMinutes } from '../building';
import { contactOf, onRung } from '../playing';
import type { Context } from '../practice';
import { onceFor } from './onceFor';
import { overBlocks, playedBlocks, type BlockRule, type PlayedBlock } from './blockRule';

/** Minutes at a level or over it. */
const atLevel = (minutes: Iterable<readonly [number, number]>, level: number) =>
	[...minutes].reduce((sum, [own, some]) => sum + (own >= level ? some : 0), 0);

/** Minutes of hard contact of each player up to and with a block; steps below the level are none. */
const minutesUntil = onceFor((played: PlayedBlock): Map<string, number> => {
	const { contactLevel } = played.evaluation.context.limits;
	const blocks = playedBlocks(played.evaluation);
	const last = blocks.findIndex(({ runs }) => runs[0].run.block === played.runs[0].run.block);
	const contact = contactOf(blocks.slice(0, last + 1).flatMap(({ runs }) => [...runs]));
	return new Map([...contact].map(([player, own]) => [player, atLevel(own, contactLevel)]));
});

/** Minutes of hard contact that a player had in the six days before, and earlier on the day. */
function weekBefore({ before, limits }: Context, player: string): number {
	return (before?.week ?? []).reduce((sum, { strain }) => {
		const own = Object.entries(strain[player]?.contact ?? {});
		return (
			sum +
			atLevel(
				own.map(([level, some]) => [Number(level), some] as const),
				limits.contactLevel
			)
		);
	}, 0);
}

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
			const hard = played.steps.find(({ drill }) => drill.contact >= context.limits.contactLevel);
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
			const shorter = period.minutes - Math.ceil(mostIn(played).over);
			if (shorter >= 1) yield setMinutes(played.evaluation.practice, period.id, shorter);
			yield* softer(played, played.evaluation.context.limits.contactLevel);
		}
	} as BlockRule<Code>);
}

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
