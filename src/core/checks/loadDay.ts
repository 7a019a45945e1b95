import { setMinutes } from '../building';
import { addLoads } from '../drill';
import type { Context } from '../practice';
import { overBlocks, playedBlocks, type PlayedBlock } from './blockRule';
import { withoutPlayers } from './fixes';

/** How much of a kind a player may have in a day; Infinity where nothing is set. A year of birth tells the youngest age that they can have. */
function capOf({ limits, playerById, team }: Context, id: string, kind: string, date: string) {
	const born = playerById.get(id)?.birthYear;
	const age = born === undefined ? team.ages.from : Number(date.slice(0, 4)) - born - 1;
	const caps = limits.loads.filter(
		(cap) => cap.kind === kind && (cap.under === undefined || age < cap.under)
	);
	return Math.min(Infinity, ...caps.map(({ day }) => day));
}

/** What a block costs each of its players, by kind. */
function loadsOf({ runs }: PlayedBlock): Map<string, Map<string, number>> {
	const loads = new Map<string, Map<string, number>>();
	for (const { run, steps, tallies } of runs)
		for (const [index, player] of run.players.entries()) {
			const own = loads.get(player) ?? new Map<string, number>();
			for (const [k, { drill, system }] of steps.entries())
				addLoads(own, { drill, system, tally: tallies[k] }, index);
			loads.set(player, own);
		}
	return loads;
}

/** A player who has more of a kind than a day may hold, by the end of a block. */
interface Over {
	player: string;
	kind: string;
	/** Before the block, and with it. */
	before: number;
	count: number;
	limit: number;
}

/** Those who go over their cap within a block, the furthest first. */
function overIn(played: PlayedBlock): Over[] {
	const { practice, context } = played.evaluation;
	if (context.limits.loads.length === 0) return [];
	const before = new Map<string, number>();
	const key = (player: string, kind: string) => JSON.stringify([player, kind]);
	for (const block of playedBlocks(played.evaluation)) {
		const loads = loadsOf(block);
		if (block.runs[0].run.block === played.runs[0].run.block)
			return [...loads]
				.flatMap(([player, own]) =>
					[...own].map(([kind, count]): Over => {
						const so = before.get(key(player, kind)) ?? 0;
						const limit = capOf(context, player, kind, practice.date);
						return { player, kind, before: so, count: so + count, limit };
					})
				)
				.filter(({ before: so, count, limit }) => count > limit + 1e-9 && count > so)
				.sort((a, b) => b.count - b.limit - (a.count - a.limit));
		for (const [player, own] of loads)
			for (const [kind, count] of own)
				before.set(key(player, kind), (before.get(key(player, kind)) ?? 0) + count);
	}
	return [];
}

/**
 * A player throws, kicks, jumps or sprints more than the team lets them in a day; the block that goes over
 * is at fault. The league's cap or that of a licensed practitioner may be lower: it is set in the limits.
 */
export const loadDay = overBlocks({
	code: 'load-day',
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
	cause: ({ values }) => values.kind,
	weigh: ({ values }) => values.count - values.limit,
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
});
