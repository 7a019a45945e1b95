import { SAME_INSTANT } from '../base';
import type { Drill } from '../model/drill';
import { playClimb } from './climb';
import { deal, type Runner } from './deal';
import { ladderOf } from './ladder';
import { placeOf, type Place } from './places';
import { resolveDrill } from './resolve';
import { isWork } from './tally';
import { checkPlayers, playerSystem, type System } from './system';

/** What is likely wrong with a drill that runs, on itself or on one of its rungs. */
export type DrillHint = { rung?: string } & (
	| {
			/** A player at a spot would have to run faster than their age can. */
			code: 'too-fast';
			spot: string;
			/** Metres a second that are asked for, and that suit the age. */
			asked: number;
			most: number;
	  }
	| {
			/** No turn begins when it is meant to: there are too few players, or the turn is too long for it. */
			code: 'headway-unmet';
	  }
	| {
			/** Whoever begins at a spot stays there while others take turns. */
			code: 'role-held';
			spot: string;
	  }
	| {
			/** It stands above what asks for more effort, or for as much with more contact: the ladder's order is the coach's, but this is worth a look. */
			code: 'easier-than-below';
	  }
);

/** Metres a second that players run with and for a ball: younger ones, and others. */
const PACE = { young: 2.5, others: 4 } as const;
const YOUNG_UNDER = 10;
const HINT_MINUTES = 10;

/** Metres of the runs and carries of a turn that begin at a spot. */
function metresFrom(drill: Drill, spot: string): number {
	const at = (end: string | number[]): Place | null => {
		if (typeof end !== 'string') return { x: end[0], y: end[1] };
		const index = drill.spots.findIndex(({ id }) => id === end);
		return index < 0 ? null : placeOf(drill, index);
	};
	return (drill.paths ?? [])
		.filter(({ from, kind }) => from === spot && kind !== 'flight')
		.reduce((sum, { from, to }) => {
			const [start, stop] = [at(from), at(to)];
			return start && stop ? sum + Math.hypot(start.x - stop.x, start.y - stop.y) : sum;
		}, 0);
}

function* tooFast(drill: Drill, age: number): Generator<DrillHint> {
	const most = age < YOUNG_UNDER ? PACE.young : PACE.others;
	for (const { id, by, joinsAtSeconds = 0 } of drill.spots) {
		if (by === 'adult' || by === 'marker') continue;
		const asked = metresFrom(drill, id) / (drill.turn.workSeconds - joinsAtSeconds);
		if (asked > most + 1e-9) yield { code: 'too-fast', spot: id, asked, most };
	}
}

/** Seconds at which turns start with so many players in so many minutes. */
function startsOf(drill: Drill, system: System, runners: readonly Runner[]): number[] {
	const starts: number[] = [];
	const step = { drill, system, side: null, turns: null };
	playClimb([{ steps: [step], runSeconds: HINT_MINUTES * 60 }], { runners }, () => ({
		turn: ({ startSecond }) => void starts.push(startSecond),
		over: () => {}
	}));
	return starts.sort((a, b) => a - b);
}

/** The spots at work that are never left while others turn. */
function* heldRoles({ spots, leadsTo, result }: System, lines: readonly number[][]) {
	const isHeld = (index: number) =>
		leadsTo[index] === index &&
		(result === null || (result.leadsTo[index] ?? index) === index) &&
		lines[index].length <= (spots[index].upTo ?? spots[index].count);
	const held = spots.filter((_, index) => isHeld(index));
	if (held.length === spots.length) return;
	for (const spot of held) if (isWork(spot)) yield { code: 'role-held' as const, spot: spot.id };
}

/** What a drill is likely to get wrong on one of its rungs with its best number of players and no adult. */
function* hintsOn(drill: Drill, age: number): Generator<DrillHint> {
	yield* tooFast(drill, age);
	const system = playerSystem(drill, 0);
	if (!system.ok || checkPlayers(system.value, drill.group.ideal)) return;
	const runners = Array.from({ length: drill.group.ideal }, (_, k) => ({ id: String(k + 1) }));
	const starts = startsOf(drill, system.value, runners);
	const isLate = (at: number, index: number) =>
		at > starts[index] + drill.turn.headwaySeconds + SAME_INSTANT;
	if (starts.length > 1 && starts.slice(1).every(isLate)) yield { code: 'headway-unmet' };
	yield* heldRoles(system.value, deal(system.value, runners));
}

/** Rungs that ask for less than what stands right below them on the ladder. */
function easierThanBelow(drill: Drill): DrillHint[] {
	const costs = ladderOf(drill).map((rung) => {
		const run = resolveDrill(drill, rung ?? undefined);
		const { effort, contact } = run.ok ? run.value : drill;
		return { rung, effort, contact };
	});
	return costs.flatMap(({ rung, effort, contact }, k): DrillHint[] => {
		const below = costs[k - 1];
		const isLess =
			below !== undefined &&
			(effort < below.effort || (effort === below.effort && contact < below.contact));
		return isLess ? [{ code: 'easier-than-below', ...(rung !== null && { rung }) }] : [];
	});
}

/**
 * What is likely wrong with a drill that runs, for players of an age in years: the youngest that it is for.
 * Each once, with the rung that it is found on first; nothing on a rung that has it from the drill itself.
 */
export function drillHints(drill: Drill, age: number): DrillHint[] {
	const hints: DrillHint[] = [];
	for (const rung of [undefined, ...drill.rungs.map(({ id }) => id)]) {
		const resolved = resolveDrill(drill, rung);
		if (!resolved.ok) continue;
		for (const hint of hintsOn(resolved.value, age)) {
			const isSame = (other: DrillHint) =>
				other.code === hint.code &&
				('spot' in other ? other.spot : '') === ('spot' in hint ? hint.spot : '');
			if (!hints.some(isSame)) hints.push({ ...hint, ...(rung !== undefined && { rung }) });
		}
	}
	return [...hints, ...easierThanBelow(drill)];
}
