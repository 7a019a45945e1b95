import { sum } from 'd3-array';
import { ok, type Outcome } from '../base';
import { resolveDrill } from '../drill';
import type { Drill } from '../model/drill';
import type { Lane, Period } from '../model/practice';
import { bestOf, size, type SizeOption, type SizeOutput } from '../sizing';
import { isStation, limitsOf, playersOfLane, type Room, roomFor } from '../playing';
import { drillOf, type Found, type Plan } from '../practice';
import { stepMinutes } from './climbs';

/** The sizes of a drill in a period, and the room that they were found in. */
export interface Sizing {
	output: SizeOutput;
	room: Room;
}

/** The number of players a group of the drill has at best, of those there. */
export const groupAbout = (drill: Drill, players: number) => Math.min(players, drill.group.ideal);

/** The share of a new block for which the coach stops it to talk. */
export const NEW_STOP_SHARE = 0.1;

/** The share of a block that its drill runs: what explaining and the coach's stops leave of it. */
export function runningShare(
	{ explainSeconds = 0 }: Pick<Drill, 'explainSeconds'>,
	{ minutes, stopShare = NEW_STOP_SHARE }: { minutes: number; stopShare?: number }
): number {
	const explained = Math.min(0.9, explainSeconds / (minutes * 60));
	return (1 - explained) * (1 - stopShare);
}

/** Sizes with shares of the whole time of a block, as the board says them, not of the running time alone. */
function ofWholeTime({ options, best }: SizeOutput, running: number): SizeOutput {
	const whole = ({ active, help, wait }: SizeOption['share']) => ({
		active: active * running,
		help: help * running,
		wait: wait * running
	});
	return { options: options.map((option) => ({ ...option, share: whole(option.share) })), best };
}

/**
 * How many copies of a drill a period can hold for `players`, what each gives, and what blocks it,
 * from the zones, adults and kit that `beside` leaves; turns and shares are those of a block of so many
 * minutes, explanation and stops taken off. Fails as `size` does.
 */
export function sizeHere(
	{ practice, context }: Plan,
	{
		period,
		drill,
		rung,
		players,
		minutes,
		blockMinutes = minutes,
		beside,
		stopShare = NEW_STOP_SHARE,
		mostZones = Infinity
	}: {
		period: Period;
		drill: Drill;
		rung?: string;
		players: number;
		minutes: number;
		/** Minutes of the whole block, where it is one step of several: it is explained once. */
		blockMinutes?: number;
		beside: readonly Lane[];
		/** Share of the block for which the coach stops it; that of a new block where it is not said. */
		stopShare?: number;
		/** The most zones that it may take: others want theirs. */
		mostZones?: number;
	}
): Outcome<Sizing> {
	const resolved = resolveDrill(drill, rung);
	if (!resolved.ok) return resolved;
	const about = groupAbout(resolved.value, players);
	const free = roomFor(resolved.value, { practice, period, beside, context, players: about });
	const { roomier: _roomier, ...tight } = free;
	const isCut = mostZones < Infinity;
	const room: Room = isCut ? { ...tight, zones: free.zones.slice(0, mostZones) } : free;
	const running = runningShare(drill, { minutes: blockMinutes, stopShare });
	const output = size({
		...{ drill, rung, players, limits: limitsOf(room) },
		minutes: minutes * running
	});
	return output.ok ? ok({ output: ofWholeTime(output.value, running), room }) : output;
}

const TOGETHER = new Set(['warm-up', 'cool-down', 'scrimmage']);

/** Whether a squad does a drill as one: more copies would give more turns and take its company away. */
export const isDoneTogether = ({ family }: Pick<Drill, 'family'>): boolean =>
	family !== undefined && TOGETHER.has(family);

/**
 * The size that a drill is put on the tape with: the best free one, for what a squad does together the
 * fewest copies that are free. Null where nothing is free.
 */
export function chosenSize(drill: Drill, { options, best }: SizeOutput): SizeOption | null {
	if (best === null) return null;
	const fewest = options.find(
		({ blockedBy, adultsAt }) => blockedBy.length === 0 && adultsAt === 0
	);
	return isDoneTogether(drill) && fewest ? fewest : options[best];
}

/**
 * The sizes of a lane's only block as it stands, for those who run it today, beside the other lanes.
 * Null for stations, lanes of several blocks, and drills that no size suits.
 */
export function sizeLane(
	plan: Plan,
	{ period, lane, block }: Found
): { drill: Drill; sizing: Sizing; players: string[] } | null {
	const drill = drillOf(plan.context, block.drill);
	if (!drill || isStation(period, lane) || lane.blocks.length > 1) return null;
	const players = playersOfLane(period, lane).filter((id) => plan.practice.expected.includes(id));
	const beside = period.lanes.filter((other) => other !== lane);
	const ofStep = (rung: string | undefined, minutes: number) =>
		sizeHere(plan, {
			...{ period, drill, players: players.length, minutes, beside },
			...(rung !== undefined && { rung }),
			...{ stopShare: block.stopShare, blockMinutes: block.minutes }
		});
	const lengths = stepMinutes(block.climb, block.minutes);
	const steps = lengths.map((minutes, k) => ofStep(block.climb[k].rung, minutes));
	// Of a climb by turns nobody knows how long a step lasts before it is played.
	if (steps.length === 0) steps.push(ofStep(block.climb[0].rung, block.minutes));
	const made = steps.flatMap((step) => (step.ok ? step.value : []));
	if (made.length < steps.length) return null;
	const [{ room }] = made;
	const output = overSteps(
		drill,
		made.map(({ output: each }) => each),
		lengths
	);
	return { drill, sizing: { room, output }, players };
}

/** What sizes give over the steps of a climb: turns add up, time is shared as the steps share it, what blocks one blocks all. */
function overSteps(
	drill: Drill,
	steps: readonly SizeOutput[],
	minutes: readonly number[]
): SizeOutput {
	const [first, ...others] = steps;
	if (others.length === 0) return first;
	const all = sum(minutes);
	const options = first.options.flatMap((option): SizeOption[] => {
		const same = steps.flatMap(({ options: own }) =>
			own.filter((each) => each.copies === option.copies && each.adultsAt === option.adultsAt)
		);
		if (same.length < steps.length) return [];
		const turns = (of: 'min' | 'mean' | 'max') => sum(same, ({ reps }) => reps[of]);
		const share = (of: 'active' | 'help' | 'wait') =>
			sum(same, (each, k) => each.share[of] * minutes[k]) / all;
		return [
			{
				...option,
				reps: { min: turns('min'), mean: turns('mean'), max: turns('max') },
				share: { active: share('active'), help: share('help'), wait: share('wait') },
				blockedBy: [...new Set(same.flatMap(({ blockedBy }) => blockedBy))]
			}
		];
	});
	return { options, best: bestOf(drill, options, true) };
}
