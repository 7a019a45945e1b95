import { addDays } from '$core/conditions';
import type { Before } from '$core/model/before';
import type { Practice } from '$core/model/practice';
import { strainOf } from '$core/playing';
import { DEFAULT_LIMITS, heldOn, seasonOn } from '$core/practice';
import { comingTo, sinceAway, withComing } from '$core/season';
import type { Queryable } from '../../database';
import type { TeamRead } from '../../memory';
import { listAttendance } from '../../repositories/attendance';
import { findPractice, listComingBefore, type ComingPractice } from '../../repositories/practices';
import { memoryOf } from '../../memory';
import { playWith } from './play';

/** Days before a practice whose strain counts with its own: a week in all. */
const DAYS_BEFORE = 6;

/** A practice as those who came had it; one to come as it is planned. */
async function asAttended<Of extends ComingPractice>(
	db: Queryable,
	team: TeamRead,
	practices: readonly Of[]
): Promise<Of[]> {
	const { people, team: own } = team.history;
	const adults = new Set(people.flatMap(({ kind, id }) => (kind === 'adult' ? id : [])));
	const held = practices.filter(({ isDone }) => isDone).map(({ id }) => id);
	const rows = await listAttendance(db, own.id, held);
	return practices.map((practice) => {
		const said = new Map(
			rows.filter((row) => row.practice === practice.id).map((row) => [row.person, row])
		);
		if (!practice.isDone || said.size === 0) return practice;
		const coming = comingTo([...said.keys()], { practice, isHeld: true }, said);
		return withComing(practice, coming, adults);
	});
}

/** What a practice has cost those who came; from memory while it and its team are the same. */
async function strainIn(
	db: Queryable,
	team: TeamRead,
	came: ComingPractice
): Promise<Before['week'][number]> {
	const stored = await findPractice(db, team.history.team.id, came.id);
	if (!stored) return { date: came.date, strain: {} };
	const { expected, adults } = came;
	const key = JSON.stringify([came.id, stored.revision, team.version, expected, adults]);
	const { strain } = memoryOf(db);
	const known = strain.get(key);
	if (known) return known;
	const practice = { ...stored.practice, expected, adults };
	const { evaluation } = await playWith(db, team, practice);
	const week = { date: came.date, strain: strainOf(evaluation) };
	strain.set(key, week);
	return week;
}

/** What came before a practice in its season: how often each player came, and what the week has cost. */
export async function loadBefore(
	db: Queryable,
	team: TeamRead,
	practice: Practice
): Promise<Before> {
	const season = seasonOn(team.history.seasons, practice.date);
	const from = season && season.firstDay < practice.date ? season.firstDay : '0001-01-01';
	const earlier = await asAttended(db, team, await listComingBefore(db, practice, { from }));
	const came = new Map<string, string[]>();
	for (const { expected, date } of earlier)
		for (const id of expected) came.set(id, [...(came.get(id) ?? []), date]);
	const { rampAwayDays } = { ...DEFAULT_LIMITS, ...heldOn(team.history.limits, practice.date) };
	const attended = Object.fromEntries(
		[...came].map(([id, dates]) => [id, sinceAway(dates, practice.date, rampAwayDays)])
	);
	const nextGame = (season?.games ?? [])
		.flatMap(({ date, cancelled }) => (cancelled || date < practice.date ? [] : date))
		.sort()
		.at(0);
	const first = addDays(practice.date, -DAYS_BEFORE);
	const week: Before['week'] = [];
	for (const each of earlier.filter(({ date }) => date >= first))
		week.push(await strainIn(db, team, each));
	return { attended, week, ...(nextGame !== undefined && { nextGame }) };
}
