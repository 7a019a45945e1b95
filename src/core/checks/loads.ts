import { setMinutes } from '../building';
import { addDays } from '../conditions';
import type { Limits } from '../model/limits';
import { loadsOf } from '../playing';
import type { Context } from '../practice';
import { overBlocks, playedBlocks, type BlockRule, type PlayedBlock } from './blockRule';
import { withoutPlayers } from './fixes';

type Cap = Limits['loads'][number];

/** The age of a player: a year of birth tells the youngest that they can have; without one, the team's youngest. */
function ageOf({ playerById, team }: Context, id: string, date: string): number {
	const born = playerById.get(id)?.birthYear;
	return born === undefined ? team.ages.from : Number(date.slice(0, 4)) - born - 1;
}

/** Entries of a table that are meant for a kind and an age. */
const meantFor = <Entry extends { kind: string; under?: number }>(
	table: readonly Entry[],
	kind: string,
	age: number
): Entry[] =>
	table.filter((each) => each.kind === kind && (each.under === undefined || age < each.under));

/** How much of a kind a player may have; Infinity where nothing is set. */
function capOf(
	context: Context,
	id: string,
	{ kind, date, of }: { kind: string; date: string; of: (cap: Cap) => number | undefined }
): number {
	const caps = meantFor(context.limits.loads, kind, ageOf(context, id, date));
	return Math.min(Infinity, ...caps.map((cap) => of(cap) ?? Infinity));
}

/** A player who has more of a kind than they may, by the end of a block. */
interface Over {
	player: string;
	kind: string;
	/** Before the block, and with it. */
	before: number;
	count: number;
	limit: number;
}

/** A rule on what turns cost a body: of the day alone, or with what the week before has cost. */
function loadRule<Code extends 'load-day' | 'load-week'>(
	code: Code,
	{
		of,
		earlier
	}: {
		of: (cap: Cap) => number | undefined;
		earlier: (context: Context, player: string, kind: string) => number;
	}
) {
	/** Those who go over their cap within a block, the furthest first. */
	function overIn(played: PlayedBlock): Over[] {
		const { practice, context } = played.evaluation;
		if (!context.limits.loads.some((cap) => of(cap) !== undefined)) return [];
		const blocks = playedBlocks(played.evaluation);
		const at = blocks.findIndex(({ runs }) => runs[0].run.block === played.runs[0].run.block);
		const earlierToday = loadsOf(blocks.slice(0, at).flatMap(({ runs }) => [...runs]));
		return [...loadsOf(played.runs)]
			.flatMap(([player, own]) =>
				[...own].map(([kind, count]): Over => {
					const today = earlierToday.get(player)?.get(kind) ?? 0;
					const before = today + earlier(context, player, kind);
					const limit = capOf(context, player, { kind, date: practice.date, of });
					return { player, kind, before, count: before + count, limit };
				})
			)
			.filter(({ before, count, limit }) => count > limit + 1e-9 && count > before)
			.sort((a, b) => b.count - b.limit - (a.count - a.limit));
	}
	return overBlocks({
		code,
		severity: 'stop',
		find(played) {
			const over = overIn(played);
			const [most] = over;
			if (!most) return null;
			const { kind, count, limit, player } = most;
			const many = new Set(over.map((each) => each.player)).size;
			const values = { kind, count: Math.ceil(count), limit, player, players: many };
			return { values, fromSecond: played.runs[0].run.fromSecond };
		},
		cause: ({ values }: { values: { kind: string } }) => values.kind,
		weigh: ({ values }: { values: { count: number; limit: number } }) =>
			values.count - values.limit,
		/** As long as all stay under their caps, else without those who would not. */
		*propose(played) {
			const over = overIn(played);
			const { period, block } = played.runs[0].run;
			const left = Math.min(
				...over.map(({ before, count, limit }) => Math.max(0, limit - before) / (count - before))
			);
			const minutes = Math.floor(period.minutes * left);
			if (minutes >= 1) yield setMinutes(played.evaluation.practice, period.id, minutes);
			yield withoutPlayers(period, block, [...new Set(over.map(({ player }) => player))]);
		}
	} as BlockRule<Code>);
}

/**
 * A player throws, kicks, jumps or sprints more than the team lets them in a day; the block that goes over
 * is at fault. The league's cap or that of a licensed practitioner may be lower: it is set in the limits.
 */
export const loadDay = loadRule('load-day', { of: ({ day }) => day, earlier: () => 0 });

/** The same for seven days, where what came before is known. */
export const loadWeek = loadRule('load-week', {
	of: ({ week }) => week,
	earlier: ({ before }, player, kind) =>
		(before?.week ?? []).reduce((sum, { strain }) => sum + (strain[player]?.loads?.[kind] ?? 0), 0)
});

/** Somebody who has some of a kind while they should still rest from it. */
interface Unrested {
	player: string;
	kind: string;
	/** How many of it they had, and when. */
	count: number;
	date: string;
	/** The day from which they may again. */
	until: string;
}

/** Those of a block who had much of what it costs too few days ago, the longest to rest first. */
function unrestedIn(played: PlayedBlock): Unrested[] {
	const { practice, context } = played.evaluation;
	const earlier = (context.before?.week ?? []).filter(({ date }) => date < practice.date);
	if (earlier.length === 0 || context.limits.rest.length === 0) return [];
	return [...loadsOf(played.runs)]
		.flatMap(([player, own]) =>
			[...own.keys()].flatMap((kind) => {
				const rests = meantFor(context.limits.rest, kind, ageOf(context, player, practice.date));
				return earlier.flatMap(({ date, strain }): Unrested[] => {
					const count = strain[player]?.loads?.[kind] ?? 0;
					const days = Math.max(0, ...rests.map((each) => (count >= each.from ? each.days : 0)));
					const until = addDays(date, days + 1);
					return days > 0 && practice.date < until ? [{ player, kind, count, date, until }] : [];
				});
			})
		)
		.sort((a, b) => (a.until < b.until ? 1 : -1));
}

/** A player has some of a kind too few days after much of it. */
export const loadRest = overBlocks({
	code: 'load-rest',
	severity: 'stop',
	find(played) {
		const all = unrestedIn(played);
		const [first] = all;
		if (!first) return null;
		const { kind, count, date, until, player } = first;
		const players = new Set(all.map((each) => each.player)).size;
		const values = { kind, count: Math.ceil(count), date, until, player, players };
		return { values, fromSecond: played.runs[0].run.fromSecond };
	},
	cause: ({ values }) => values.kind,
	*propose(played) {
		const { period, block } = played.runs[0].run;
		const players = new Set(unrestedIn(played).map(({ player }) => player));
		yield withoutPlayers(period, block, [...players]);
	}
});
