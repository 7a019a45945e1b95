import { zonesBeside } from '../ground';
import type { Ground } from '../model/team';
import { maySupervise, type Evaluation, type PlannedRun } from '../playing';
import { overBlocks, type PlayedBlock } from './blockRule';
import { onceFor } from './onceFor';
import { freeAdultsBeside } from './shared';

/** Runs with players that go on at a second. */
const goingOn = ({ runs }: Evaluation, second: number): PlannedRun[] =>
	runs
		.map(({ run }) => run)
		.filter(
			({ players, fromSecond, toSecond }) =>
				players.length > 0 && fromSecond <= second && second < toSecond
		);

/** Metres to a zone that is as good as beside. */
const BESIDE = 1;

/** By zone: itself and those beside it. */
const nearZones = onceFor(
	(ground: Ground) =>
		new Map(
			ground.zones.map((zone) => {
				const beside = zonesBeside(ground, zone, BESIDE).map((each) => each.zone.id);
				return [zone.id, new Set([zone.id, ...beside])];
			})
		)
);

/**
 * Those of some runs beside each other that nobody watches: an adult who may watches runs in their own zone
 * and those beside it, as many as they may have in sight; who is with a run of their own watches it first.
 */
function unwatched(beside: readonly PlannedRun[], { context }: Evaluation): PlannedRun[] {
	const near = nearZones(context.ground);
	const watchers = beside.flatMap((own) =>
		own.adults
			.filter((id) => maySupervise(id, context))
			.flatMap(() => Array.from({ length: context.limits.stationsInSight }, () => own))
	);
	/** The run that each pair of eyes has. */
	const sees: (PlannedRun | undefined)[] = watchers.map(() => undefined);
	const inSight = (watcher: number, run: PlannedRun) =>
		near.get(watchers[watcher].copy.zoneId)?.has(run.copy.zoneId) ?? false;
	function isSeen(run: PlannedRun, tried: Set<number>): boolean {
		for (const watcher of watchers.keys()) {
			if (tried.has(watcher) || !inSight(watcher, run)) continue;
			tried.add(watcher);
			const other = sees[watcher];
			if (other && !isSeen(other, tried)) continue;
			sees[watcher] = run;
			return true;
		}
		return false;
	}
	return beside.filter((run) => !isSeen(run, new Set()));
}

/** The runs of a block that no adult watches who may, as they begin. */
function aloneIn({ runs, evaluation }: PlayedBlock): PlannedRun[] {
	return runs
		.map(({ run }) => run)
		.filter(
			(run) =>
				run.players.length > 0 &&
				unwatched(goingOn(evaluation, run.fromSecond), evaluation).includes(run)
		);
}
/** Young players are at a station or in a copy that no adult watches, in its zone or in one beside it. */
export const unattended = overBlocks({
	code: 'adults-few',
	severity: 'stop',
	find(played) {
		const { team, limits } = played.evaluation.context;
		if (team.ages.from >= limits.aloneFromAge) return null;
		const alone = aloneIn(played);
		if (alone.length === 0) return null;
		const zones = new Set(alone.map(({ copy }) => copy.zoneId));
		const { aloneFromAge: under, stationsInSight: sight } = limits;
		const values = { zones: [...zones], under, sight };
		return { values, fromSecond: alone[0].fromSecond };
	},
	cause: () => 'zones',
	weigh: ({ values }) => ('zones' in values ? values.zones.length : 0),
	accepts: () => true,
	/** An adult who is free, one for each zone. */
	*propose(played) {
		const { block } = played.runs[0].run;
		const alone = aloneIn(played);
		const free = freeAdultsBeside(alone, played.evaluation);
		const zones = new Set(alone.map(({ copy }) => copy.zoneId));
		const copies = block.copies.map((copy) =>
			free.length > 0 && zones.delete(copy.zoneId)
				? { ...copy, adults: [...copy.adults, ...free.splice(0, 1)] }
				: copy
		);
		yield { type: 'set-block', block: block.id, set: { copies } };
	}
});
