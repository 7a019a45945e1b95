import { mean } from 'd3-array';
import { ok, type Outcome } from '../base';
import { playerSystem, resolveDrill, simulate, startingLines, type SimulateOutput } from '../drill';
import type { Drill } from '../model/drill';
import { runningShare } from './sizeHere';

/** What one player of one copy gets with a number of players, in a stretch of minutes. */
export interface Given {
	players: number;
	/** Turns each: least, mean and most. */
	turns: { min: number; mean: number; max: number };
	/** Share of the time spent waiting. */
	waitShare: number;
	longestWaitSeconds: number;
	/** Turns each on each side, where the drill has sides. */
	sides: { name: string; turns: { min: number; mean: number; max: number } }[];
}

/** How one copy of a drill is to be asked about. */
export interface Asked {
	rung?: string;
	minutes: number;
	/** Adults who may hold spots. */
	adults: number;
	/** Players at each spot and its line at the start, by spot; as they are dealt where it is not said. */
	start?: Readonly<Record<string, number>>;
}

function sidesOf(perPlayer: SimulateOutput['perPlayer']): Given['sides'] {
	return Object.keys(perPlayer[0]?.sides ?? {}).map((name) => {
		const turns = perPlayer.map(({ sides }) => sides?.[name] ?? 0);
		return {
			name,
			turns: { min: Math.min(...turns), mean: mean(turns) ?? 0, max: Math.max(...turns) }
		};
	});
}

/** What a drill gives with so many players; why not where it does not run so. */
export function givenOrNot(drill: Drill, players: number, asked: Asked): Outcome<Given> {
	const { rung, minutes, adults, start } = asked;
	// As a block of so many minutes gives it, what explaining and stops take off it left out.
	const running = runningShare(drill, { minutes });
	const run = simulate({
		...{ drill, players, adults, ...(rung && { rung }), ...(start && { start: { ...start } }) },
		minutes: minutes * running
	});
	if (!run.ok) return run;
	const { reps, share, perPlayer } = run.value;
	return ok({
		players,
		turns: reps,
		waitShare: share.wait * running,
		longestWaitSeconds: Math.max(0, ...perPlayer.map((each) => each.longestWaitSeconds)),
		sides: sidesOf(perPlayer)
	});
}

/** What a drill gives with so many players; null where it does not run with them. */
export function givenWith(drill: Drill, players: number, asked: Asked): Given | null {
	const given = givenOrNot(drill, players, asked);
	return given.ok ? given.value : null;
}

/** How players stand at the start of a drill on a rung: how many at each spot; none where it does not run. */
export function linesOf(
	drill: Drill,
	players: number,
	{ rung, adults }: Pick<Asked, 'rung' | 'adults'>
): [string, number][] {
	const run = resolveDrill(drill, rung);
	const system = run.ok ? playerSystem(run.value, adults) : run;
	if (!system.ok || system.value.needed > players) return [];
	return startingLines(
		system.value,
		Array.from({ length: players }, (_, index) => ({ id: String(index) }))
	);
}

/** What a drill gives with every number of players that one copy takes. */
export function givenByPlayers(drill: Drill, asked: Asked): Given[] {
	const resolved = resolveDrill(drill, asked.rung);
	const { min, max } = resolved.ok ? resolved.value.group : drill.group;
	const counts = Array.from({ length: max - min + 1 }, (_, index) => min + index);
	return counts.flatMap((players) => givenWith(drill, players, asked) ?? []);
}

/** A rung beside the drill itself: what its numbers are, and by how much they differ. */
export interface RungNumbers {
	id: string | undefined;
	name: string;
	change: string;
	given: Given | null;
}

/** The drill and each of its rungs with the same number of players, or the nearest that a rung takes. */
export function ladderNumbers(
	drill: Drill,
	players: number,
	asked: Omit<Asked, 'rung'>
): RungNumbers[] {
	const steps = [{ id: undefined, name: drill.name, change: '' }, ...drill.rungs];
	return steps.map(({ id, name, change }) => {
		const resolved = resolveDrill(drill, id);
		const { min, max } = resolved.ok ? resolved.value.group : drill.group;
		const count = Math.min(max, Math.max(min, players));
		return { id, name, change, given: givenWith(drill, count, { ...asked, rung: id }) };
	});
}
