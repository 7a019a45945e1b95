import type { Block, Period } from '../model/practice';
import { type Evaluation, keptOutOf, playersOfCopy, rungsRun } from '../playing';
import { arranging, drillOf, type EditOf } from '../practice';

/** A group or a copy of its own that players can be put into. */
interface Target {
	id: string;
	/** How many of those who come are in it. */
	size: number;
	/** The most that everything it runs takes. */
	most: number;
	blocks: readonly Block[];
}

/** The most players that a block takes on every rung of its climb. */
function mostOf(block: Block, { context }: Evaluation): number {
	const drill = drillOf(context, block.drill);
	return drill ? Math.min(...rungsRun(block, drill).map(({ group }) => group.max)) : Infinity;
}

/** The groups of a period with what they run, and its copies that have no group. */
function targetsIn(period: Period, evaluation: Evaluation): Target[] {
	const expected = new Set(evaluation.practice.expected);
	const coming = (ids: readonly string[]) => ids.filter((id) => expected.has(id)).length;
	const target = (id: string, players: readonly string[], blocks: readonly Block[]): Target => ({
		id,
		size: coming(players),
		most: Math.min(...blocks.map((block) => mostOf(block, evaluation))),
		blocks
	});
	const blocks = period.lanes.flatMap((lane) => lane.blocks.map((block) => ({ lane, block })));
	const groups = (period.groups ?? []).map((group) => {
		const visits = blocks.filter(
			({ lane, block }) =>
				block.copies.some((copy) => copy.group === group.id) ||
				period.slots?.some((slot) => slot[lane.id]?.includes(group.id))
		);
		return target(
			group.id,
			group.players,
			visits.map(({ block }) => block)
		);
	});
	const isStation = (id: string) => period.slots?.some((slot) => Object.hasOwn(slot, id)) === true;
	const copies = blocks
		.filter(({ lane }) => !isStation(lane.id))
		.flatMap(({ block }) =>
			block.copies
				.filter(({ group }) => group === undefined)
				.map((copy) => target(copy.id, playersOfCopy(period, copy), [block]))
		);
	return [...groups, ...copies].filter((each) => each.blocks.length > 0);
}

/**
 * The edit that gives players of whom some have no place in a period one each: where they may be, in the
 * group or copy of the fewest that takes one more. Null where there is no place for any of them.
 */
export function placing(
	evaluation: Evaluation,
	period: Period,
	players: readonly string[]
): EditOf<'arrange-period'> | null {
	const targets = targetsIn(period, evaluation);
	const placed = new Map<string, string[]>();
	for (const id of players) {
		const player = evaluation.context.playerById.get(id);
		const open = targets.filter(
			({ blocks }) => !blocks.some((block) => keptOutOf(player, block, evaluation))
		);
		const roomy = open.filter(({ size, most }) => size < most);
		const choice = (roomy.length > 0 ? roomy : open).toSorted((a, b) => a.size - b.size)[0];
		if (!choice) continue;
		choice.size += 1;
		placed.set(choice.id, [...(placed.get(choice.id) ?? []), id]);
	}
	if (placed.size === 0) return null;
	const withOwn = <Place extends { id: string; players: string[] }>(place: Place): Place => ({
		...place,
		players: [...place.players, ...(placed.get(place.id) ?? [])]
	});
	return arranging(period, {
		lanes: period.lanes.map((lane) => ({
			...lane,
			blocks: lane.blocks.map((block) => ({ ...block, copies: block.copies.map(withOwn) }))
		})),
		groups: period.groups?.map(withOwn) ?? null
	});
}
