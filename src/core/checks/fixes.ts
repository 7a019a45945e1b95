import type { Block, Lane, Period, Practice } from '../model/practice';
import { periodFromDrill, plainPeriod, sizeLane, splitIntoCopies, splitPeriod } from '../building';
import type { Evaluation } from '../playing';
import { arranging, type Edit, type EditOf, idMaker, idsIn } from '../practice';
import type { SizeOption } from '../sizing';

type Plan = Pick<Evaluation, 'practice' | 'context'>;

/** Groups that run a block: those of its copies, and those that come to it as a station. */
function groupsOf(period: Period, block: Block): Set<string | undefined> {
	const lane = period.lanes.find(({ blocks }) => blocks.some(({ id }) => id === block.id));
	const coming = (period.slots ?? []).flatMap((slot) => (lane && slot[lane.id]) ?? []);
	return new Set([...block.copies.map(({ group }) => group), ...coming]);
}

/**
 * Takes players out of a block: out of the group that brought them there, and out of the copy. Who goes
 * through stations with a group leaves all of them.
 */
export function withoutPlayers(
	period: Period,
	block: Block,
	players: readonly string[]
): EditOf<'arrange-period'> {
	const groupIds = groupsOf(period, block);
	const drop = (ids: readonly string[]) => ids.filter((id) => !players.includes(id));
	return arranging(period, {
		groups:
			period.groups?.map((group) =>
				groupIds.has(group.id) ? { ...group, players: drop(group.players) } : group
			) ?? null,
		lanes: mapBlock(period, block, (each) => ({
			...each,
			copies: each.copies.map((copy) => ({ ...copy, players: drop(copy.players) }))
		}))
	});
}

/** The lanes of a period with one block changed, or taken out (null). */
export function mapBlock(
	period: Period,
	block: Block,
	change: (block: Block) => Block | null
): Lane[] {
	return period.lanes.map((lane) => ({
		...lane,
		blocks: lane.blocks.flatMap((each) => (each.id === block.id ? (change(each) ?? []) : each))
	}));
}

/** Takes a block out; with it its lane where it was alone, and the period where nothing is left. */
export function withoutBlock(period: Period, block: Block): Edit {
	const lanes = mapBlock(period, block, () => null).filter(({ blocks }) => blocks.length > 0);
	if (lanes.length === 0) return { type: 'remove-period', period: period.id };
	const kept = new Set(lanes.map(({ id }) => id));
	const slots = period.slots?.map((slot) =>
		Object.fromEntries(Object.entries(slot).filter(([lane]) => kept.has(lane)))
	);
	return arranging(period, { lanes, slots: slots ?? null });
}

/** Runs a block of a plain lane in the copies of the best free size that `accepts` takes; null if none. */
export function recopy(
	plan: Plan,
	{ period, lane, block }: { period: Period; lane: Lane; block: Block },
	accepts: (option: SizeOption) => boolean
): Edit | null {
	const sized = sizeLane(plan, { period, lane, block });
	if (!sized) return null;
	const { sizing, players } = sized;
	const { output, room } = sizing;
	const free = output.options.filter((option) => option.blockedBy.length === 0 && accepts(option));
	const [option] = free.sort(
		(a, b) => b.reps.min - a.reps.min || a.share.wait - b.share.wait || a.copies - b.copies
	);
	return option ? splitIntoCopies(plan, { period, lane, block, option, room, players }) : null;
}

/** The warm-ups of the shelf that the ground holds, each as a new period: those for every day first. */
export function* warmUpPeriods(plan: Plan, minutes: number): Generator<Period> {
	const { practice, context } = plan;
	const warmUps = context.shelf
		.filter(({ family }) => family === 'warm-up')
		.toSorted((a, b) => Number(b.frequency === 'daily') - Number(a.frequency === 'daily'));
	for (const drill of warmUps) {
		const id = idMaker(practice.periods.flatMap(idsIn))('warm-up');
		const period = periodFromDrill(plan, { drill, id, minutes });
		if (period) yield period;
	}
}

/** A period cut in two with water between, or null where it is too short. */
export function withWaterBetween(
	practice: Practice,
	id: string,
	minutes: number
): EditOf<'all'> | null {
	const halves = splitPeriod(practice, id, idMaker(practice.periods.flatMap(idsIn)));
	return halves && { type: 'all', edits: [...halves.edits, waterBehind(practice, id, minutes)] };
}

/** Water behind a period. */
export function waterBehind(
	practice: Practice,
	after: string,
	minutes: number
): EditOf<'add-period'> {
	const id = idMaker(practice.periods.flatMap(idsIn))(`${after}.water`);
	return {
		type: 'add-period',
		after,
		// A drink is no shorter where time is, and no longer where there is time to spare.
		period: { ...plainPeriod('water', { id, name: 'Water', minutes }), min: minutes, max: minutes }
	};
}
