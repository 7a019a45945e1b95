import type { Group, Period } from '../model/practice';
import { drillOf, playersOfLane, type Edit } from '../practice';
import type { Finding, Rule } from './finding';
import { restrictionOn } from './restrictedPlayer';

/** A player who is expected has no place in a period that places others. */
export const playerUnplaced: Rule = ({ practice, context }) =>
	practice.periods.flatMap((period): Finding[] => {
		const [lane] = period.lanes;
		if (!lane) return [];
		const grouped = (period.groups ?? []).flatMap(({ players }) => players);
		const placed = new Set([
			...grouped,
			...period.lanes.flatMap((each) => playersOfLane(period, each))
		]);
		const drills = period.lanes.flatMap(({ blocks }) =>
			blocks.flatMap((block) => drillOf(context, block.drill) ?? [])
		);
		// Who is kept out of all that runs has no place to be put into.
		const day = { date: practice.date, limits: context.limits };
		const isKeptOut = (id: string) =>
			drills.length > 0 &&
			drills.every((drill) => restrictionOn(context.playerById.get(id), drill, day));
		const missing = practice.expected.filter((id) => !placed.has(id) && !isKeptOut(id));
		if (missing.length === 0) return [];
		return [
			{
				code: 'player-unplaced',
				severity: 'stop',
				at: { period: period.id, player: missing[0] },
				values: { players: missing },
				fixes: [placeMissing(period, missing, new Set(practice.expected))]
			}
		];
	});

/** Puts players into the groups of which fewest come, or, where there are none, into the first copy. */
function placeMissing(
	period: Period,
	missing: readonly string[],
	expected: ReadonlySet<string>
): Edit {
	const coming = ({ players }: Group) => players.filter((id) => expected.has(id)).length;
	const groups = period.groups?.map((group) => ({ ...group, players: [...group.players] }));
	const rest = [...missing];
	while (groups && groups.length > 0 && rest.length > 0) {
		const smallest = groups.reduce((a, b) => (coming(b) < coming(a) ? b : a));
		smallest.players.push(...rest.splice(0, 1));
	}
	let place = rest;
	const lanes = period.lanes.map((lane) => ({
		...lane,
		blocks: lane.blocks.map((block) => ({
			...block,
			copies: block.copies.map((copy) => {
				const own = place;
				place = [];
				return own.length > 0 ? { ...copy, players: [...copy.players, ...own] } : copy;
			})
		}))
	}));
	return {
		type: 'arrange-period',
		period: period.id,
		kind: period.kind,
		lanes,
		groups: groups ?? null,
		slots: period.slots ?? null,
		moveSeconds: period.moveSeconds ?? null
	};
}
