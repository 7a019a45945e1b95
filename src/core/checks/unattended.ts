import { zonesBeside } from '../ground';
import type { Ground } from '../model/team';
import {
	maySupervise,
	stepsOf,
	type Evaluation,
	type PlannedRun,
	type PlayedRun
} from '../playing';
import { overBlocks, type PlayedBlock } from './blockRule';
import { onceFor } from './onceFor';
import { freeAdultsBeside } from './shared';

/** Runs with players that go on at a second. */
const goingOn = ({ runs }: Evaluation, second: number): PlayedRun[] =>
	runs.filter(
		({ run: { players, fromSecond, toSecond } }) =>
			players.length > 0 && fromSecond <= second && second < toSecond
	);

/** Contact from which it wants an adult's eyes. */
const SEEN_CONTACT = 2;

/** Whether a run has contact, or catches under the sky, that want an adult's eyes. */
const canHurt = (played: PlayedRun): boolean =>
	stepsOf(played).some(({ drill }) => drill.contact >= SEEN_CONTACT || drill.hazards?.looksUp);

/** Adults of a run who hold a spot of it. */
const feedersOf = ({ steps }: PlayedRun): number =>
	Math.max(0, ...steps.map(({ system }) => system.adults));

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
 * Who feeds has no eyes for what can hurt.
 */
function unwatched(beside: readonly PlayedRun[], { context }: Evaluation): PlayedRun[] {
	const near = nearZones(context.ground);
	const watchers = beside.flatMap((played) => {
		const { adults, copy } = played.run;
		const may = adults.filter((id) => maySupervise(id, context));
		const feeding = feedersOf(played);
		return may.flatMap((_, place) =>
			Array.from({ length: context.limits.stationsInSight }, () => ({
				zone: copy.zoneId,
				isFeeding: place >= may.length - feeding
			}))
		);
	});
	/** The run that each pair of eyes has. */
	const sees: (PlayedRun | undefined)[] = watchers.map(() => undefined);
	const inSight = (watcher: number, played: PlayedRun) => {
		const { zone, isFeeding } = watchers[watcher];
		if (isFeeding && canHurt(played)) return false;
		return near.get(zone)?.has(played.run.copy.zoneId) ?? false;
	};
	function isSeen(run: PlayedRun, tried: Set<number>): boolean {
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

/** The runs of a block that want an adult's eyes at the age of the team, and have none as they begin. */
function aloneIn({ runs, evaluation }: PlayedBlock): PlannedRun[] {
	const { team, limits } = evaluation.context;
	const wantsEyes = (played: PlayedRun) =>
		team.ages.from < limits.aloneFromAge ||
		(team.ages.from < limits.eyesUnderAge && canHurt(played));
	return runs
		.filter((played) => played.run.players.length > 0 && wantsEyes(played))
		.filter((played) =>
			unwatched(goingOn(evaluation, played.run.fromSecond), evaluation).includes(played)
		)
		.map(({ run }) => run);
}

/**
 * Young players are at a station or in a copy that no adult watches, in its zone or in one beside it; of older
 * ones those who have contact or catch under the sky.
 */
export const unattended = overBlocks({
	code: 'adults-few',
	severity: 'stop',
	find(played) {
		const { team, limits } = played.evaluation.context;
		if (team.ages.from >= Math.max(limits.aloneFromAge, limits.eyesUnderAge)) return null;
		const alone = aloneIn(played);
		if (alone.length === 0) return null;
		const zones = new Set(alone.map(({ copy }) => copy.zoneId));
		const { stationsInSight: sight } = limits;
		const isYoung = team.ages.from < limits.aloneFromAge;
		const under = isYoung ? limits.aloneFromAge : limits.eyesUnderAge;
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
