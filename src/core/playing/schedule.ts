import { splitEvenly } from '../base';
import type { Drill } from '../model/drill';
import type { Block, Copy, Group, Lane, Period, Practice } from '../model/practice';
import { slotSeconds } from '../sizing';
import { type Context, drillOf } from '../practice';

/** A stretch of the practice, in seconds from its start. */
export interface Window {
	fromSecond: number;
	toSecond: number;
}

/** A period with its place in time; the windows of its slots where it has stations. */
export interface PeriodWindow extends Window {
	period: Period;
	slots: Window[];
}

/** One group on one copy of a block for one stretch: the smallest thing that is simulated. */
export interface PlannedRun extends Window {
	period: Period;
	lane: Lane;
	block: Block;
	copy: Copy;
	/** Undefined for a block without a drill, or with one that the context does not hold. */
	drill: Drill | undefined;
	/** Index of the slot, or null outside station periods. */
	slot: number | null;
	groups: readonly Group[];
	/** Those expected today, in given order. */
	players: readonly string[];
	adults: readonly string[];
}

/** Periods one after another from second 0. */
export function periodWindows(practice: Practice): PeriodWindow[] {
	let second = 0;
	return practice.periods.map((period) => {
		const fromSecond = second;
		second += period.minutes * 60;
		return { period, fromSecond, toSecond: second, slots: slotWindows(period, fromSecond) };
	});
}

/** Windows of the slots of a station period; none where it has no slots. */
function slotWindows({ slots, minutes, moveSeconds = 0 }: Period, start: number): Window[] {
	if (!slots || slots.length === 0) return [];
	const seconds = slotSeconds(minutes, { slots: slots.length, moveSeconds });
	return slots.map((_, index) => {
		// Moves that take longer than the period leave its last slots no time, and none after it.
		const fromSecond = Math.min(start + minutes * 60, start + index * (seconds + moveSeconds));
		return { fromSecond, toSecond: fromSecond + seconds };
	});
}

/** Whether a lane is a station: the slots of its period name it. */
export function isStation(period: Period, lane: Lane): boolean {
	return (period.slots ?? []).some((slot) => Object.hasOwn(slot, lane.id));
}

const unique = (ids: readonly string[]) => [...new Set(ids)];

/** Players of a plain copy: its group's, then its own. */
export function playersOfCopy(period: Period, copy: Copy): string[] {
	const group = period.groups?.find(({ id }) => id === copy.group);
	return unique([...(group?.players ?? []), ...copy.players]);
}

/** Players of a lane: those of its copies. */
export function playersOfLane(period: Period, lane: Lane): string[] {
	const copies = lane.blocks.flatMap((block) => block.copies);
	return [...new Set(copies.flatMap((copy) => playersOfCopy(period, copy)))];
}

/** Groups of a station in a slot. */
function groupsAt(period: Period, lane: Lane, slot: number): Group[] {
	const at = period.slots?.[slot];
	const ids = at && Object.hasOwn(at, lane.id) ? at[lane.id] : [];
	return (period.groups ?? []).filter(({ id }) => ids.includes(id));
}

/** The lane whose adults are with `lane` in a slot: its own, or that where the group began. */
function adultsLane(period: Period, lane: Lane, groups: readonly Group[]): Lane {
	if (period.adultsMove !== 'travel' || groups.length === 0) return lane;
	return (
		period.lanes.find((start) =>
			groupsAt(period, start, 0).some(({ id }) => id === groups[0].id)
		) ?? lane
	);
}

function adultsOf({ lead, eyes }: Block, copy: Copy, isFirst: boolean): string[] {
	const own = isFirst ? [lead, eyes].filter((id) => id !== undefined) : [];
	return unique([...copy.adults, ...own]);
}

/** Who of some people takes part in what begins at a second: those who come, and have come by then. */
type Present = (ids: readonly string[], second: number) => string[];

/** The groups of a slot are dealt to the copies of their station: those who are there, evenly. */
function* stationRuns(
	{ period, slots }: PeriodWindow,
	lane: Lane,
	{ context, present }: { context: Context; present: Present }
): Generator<PlannedRun> {
	const [block] = lane.blocks;
	if (!block) return;
	for (const [slot, window] of slots.entries()) {
		if (window.toSecond <= window.fromSecond) continue;
		const groups = groupsAt(period, lane, slot);
		const players = present(unique(groups.flatMap((group) => group.players)), window.fromSecond);
		const [staffed = block] = adultsLane(period, lane, groups).blocks;
		let next = 0;
		for (const [index, size] of splitEvenly(players.length, block.copies.length).entries()) {
			const copy = block.copies[index];
			const own = players.slice(next, next + size);
			next += size;
			if (own.length === 0) continue;
			const adults = adultsOf(staffed, staffed.copies[index] ?? copy, index === 0);
			yield {
				...window,
				period,
				lane,
				block,
				copy,
				drill: drillOf(context, block.drill),
				slot,
				groups,
				players: own,
				adults
			};
		}
	}
}

function* plainRuns(
	{ period, fromSecond, toSecond }: PeriodWindow,
	lane: Lane,
	{ context, present }: { context: Context; present: Present }
): Generator<PlannedRun> {
	let second = fromSecond;
	for (const block of lane.blocks) {
		const end = Math.min(toSecond, second + block.minutes * 60);
		for (const [index, copy] of block.copies.entries())
			yield {
				fromSecond: second,
				toSecond: end,
				period,
				lane,
				block,
				copy,
				drill: drillOf(context, block.drill),
				slot: null,
				groups: (period.groups ?? []).filter(({ id }) => id === copy.group),
				players: present(playersOfCopy(period, copy), second),
				adults: adultsOf(block, copy, index === 0)
			};
		second = end;
	}
}

/** The second at which a player or an adult comes. */
export const arrivesAt = ({ late }: Pick<Practice, 'late'>, person: string): number =>
	(late?.[person] ?? 0) * 60;

/**
 * Every run of a practice in order of its start, who is not expected left out. Who comes late
 * joins the first run that begins after.
 */
export function planRuns(
	practice: Practice,
	windows: readonly PeriodWindow[],
	context: Context
): PlannedRun[] {
	const hasCome = (id: string, second: number) => second >= arrivesAt(practice, id);
	const [expected, expectedAdults] = [new Set(practice.expected), new Set(practice.adults)];
	const present: Present = (ids, second) =>
		ids.filter((id) => expected.has(id) && hasCome(id, second));
	const runs: PlannedRun[] = [];
	for (const window of windows)
		for (const lane of window.period.lanes) {
			const station = isStation(window.period, lane);
			const planned = (station ? stationRuns : plainRuns)(window, lane, { context, present });
			for (const run of planned)
				runs.push({
					...run,
					adults: run.adults.filter((id) => expectedAdults.has(id) && hasCome(id, run.fromSecond))
				});
		}
	return runs.sort((a, b) => a.fromSecond - b.fromSecond);
}
