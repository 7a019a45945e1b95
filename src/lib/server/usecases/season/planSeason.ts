import { nanoid } from 'nanoid';
import { group, sum } from 'd3-array';
import Type, { type Static } from 'typebox';
import { fail, ok, type Result } from '$core/base';
import { closed, Id } from '$core/model/fields';
import { BriefItem, type Practice } from '$core/model/practice';
import type { Drill } from '$core/model/drill';
import type { Season } from '$core/model/season';
import { addDays } from '$core/conditions';
import { trained, type SkillAreas } from '$core/model/skill';
import { drillsIn, toContext } from '$core/practice';
import { asPlanned, isFree, type PlanView, type SeasonPlanInput } from '$core/seasonPlan';
import { asksFor, skillsOfScenes, targetsOf, unpackSums } from '$core/season';
import { readShape, type Misfit } from '../../../../doors';
import type { Db, Queryable } from '../../database';
import { listNewest } from '../../repositories/drills';
import { listSeasonPractices } from '../../repositories/season';
import { sumSkills } from '../../repositories/seasonSums';
import { listAtHand } from '../../repositories/shelf';
import { listPlanned, lockPractice } from '../../repositories/practices';
import { applyStored } from '../practices/saveEdits';
import { changeTeam } from '../refusable';
import type { Submission } from '../submission';
import { say } from '../../say';
import texts from '$texts/refusals';
import { nextRungs, type SeasonOf, type SeasonView } from './loadSeason';

/** What a minute counts of a skill that is on the fix list, or that the next opponent asks for. */
const PRESSING = 1.5;

/** Skills with a target, for everyone or a unit, and those that come after others. */
function skillsOf(
	season: Season,
	areas: (SkillAreas[number] & { after?: readonly string[] })[],
	today: string
): SeasonPlanInput['skills'] {
	const after = new Map(areas.map((area) => [area.id, area.after ?? []]));
	const { fix, seeded } = skillsOfScenes(season, today);
	const pressing = new Set([...fix, ...seeded]);
	const asked = new Map(
		(season.targets ?? []).map(({ skill, unit }) => [
			`${skill} ${unit ?? ''}`,
			{ skill, ...(unit !== undefined && { unit }) }
		])
	);
	const without = trained(areas).filter(
		({ id, after: own = [] }) => own.length > 0 && !asked.has(`${id} `)
	);
	return [...asked.values(), ...without.map(({ id }) => ({ skill: id, unit: undefined }))].map(
		({ skill, unit }) => {
			const first = after.get(skill) ?? [];
			return {
				id: skill,
				...(unit !== undefined && { unit }),
				...(asksFor(pressing, skill) && { weight: PRESSING }),
				...(first.length > 0 && unit === undefined && { after: [...first] }),
				targets: targetsOf(season, { skill, unit })
			};
		}
	);
}

/** Drills that a plan chooses from, at most. */
const MOST_DRILLS = 120;

/** The drills of a plan: those of the shelf that were used last, and those of the practices and briefs there are. */
async function drillsFor(
	db: Queryable,
	teamId: string,
	practices: readonly Practice[]
): Promise<Drill[]> {
	const named = practices.flatMap((practice) => [
		...drillsIn(practice),
		...(practice.brief ?? []).map(({ drill }) => ({ id: drill }))
	]);
	const atHand = await listAtHand(db, teamId, MOST_DRILLS);
	const others = new Set(named.map(({ id }) => id));
	for (const { id } of atHand) others.delete(id);
	return [...atHand, ...(await listNewest(db, teamId, [...others]))];
}

/** What was done and what is to come of a season, as its plan is asked for. */
export async function loadPlan(
	db: Queryable,
	teamId: string,
	{
		season,
		around,
		days,
		ladderDays,
		today,
		view
	}: SeasonOf & {
		today: string;
		/** The season as it is shown: what was done in it is read once. */
		view: SeasonView;
	}
): Promise<PlanView> {
	const { team, players } = around;
	const { sums, ladders } = view;
	const planned = (await listPlanned(db, teamId, today)).filter(
		({ practice }) => practice.date <= days.last && practice.seasonId === season.id
	);
	const drills = await drillsFor(
		db,
		teamId,
		planned.map(({ practice }) => practice)
	);
	const context = toContext({ ...around, drills });
	const { shelf, limits } = context;
	const held = view.practices.filter(({ state, date }) => state === 'held' && date < today);
	// What the seasons before gave: which skills may come after others, and how often they were there.
	const earlier =
		ladderDays.first < days.first
			? { first: ladderDays.first, last: addDays(days.first, -1) }
			: null;
	const heldEarlier = (earlier ? await listSeasonPractices(db, teamId, earlier) : []).filter(
		({ state }) => state === 'held'
	);
	const dateOf = new Map([...heldEarlier, ...held].map(({ id, date }) => [id, date]));
	const had = [
		...(earlier ? unpackSums(await sumSkills(db, teamId, earlier)) : []),
		...unpackSums(sums)
	];
	// What all of a unit had counts for one of them, which gives the same means.
	const first = new Map(
		[...group(players, ({ unit }) => unit ?? null)].map(([unit, [one]]) => [unit, one.id])
	);
	const costs = group(view.costs, ({ practice }) => practice);
	const free = shelf.filter(isFree);
	const asked = planned.map(({ practice }) => asPlanned(practice, context));
	return {
		practices: planned.map(({ practice, revision }, k) => ({
			...{ id: practice.id, revision, date: practice.date, start: practice.start },
			...{ minutes: practice.minutes, isBuilt: asked[k].isBuilt, brief: practice.brief ?? [] }
		})),
		input: {
			today,
			practices: asked.map(({ practice }) => practice),
			players: players.map(({ id }) => id),
			ages: team.ages,
			units: Object.fromEntries(players.flatMap(({ id, unit }) => (unit ? [[id, unit]] : []))),
			skills: skillsOf(season, team.skillAreas, today),
			drills: free,
			done: had.flatMap(({ practice, unit, skill, seconds, focus }) => {
				const [date, player] = [dateOf.get(practice), first.get(unit)];
				return date && player ? [{ date, skill, player, seconds, focus }] : [];
			}),
			held: held.map(({ id, date }) => {
				const own = costs.get(id) ?? [];
				const count = Math.max(1, players.length);
				return {
					date,
					contactMinutes: sum(own, ({ contact }) => contact) / count,
					load: sum(own, ({ load }) => load) / count
				};
			}),
			ladders: nextRungs(ladders, free),
			limits,
			games: (season.games ?? []).flatMap(({ date, cancelled }) => (cancelled ? [] : { date })),
			tapers: (season.phases ?? []).flatMap(({ tapers, firstDay, lastDay }) =>
				tapers ? { firstDay, lastDay } : []
			),
			daysOff: (season.daysOff ?? []).map(({ firstDay, lastDay }) => ({ firstDay, lastDay })),
			plan: asked.flatMap(({ practice, before, isBuilt }) =>
				isBuilt || before.length === 0
					? []
					: [
							{
								id: practice.id,
								brief: before.map(({ locked: _locked, why: _why, ...item }) => item)
							}
						]
			)
		},
		drills: drills.map(({ id, name, rungs }) => ({
			...{ id, name },
			rungs: rungs.map((rung) => ({ id: rung.id, name: rung.name }))
		}))
	};
}

const Sent = Type.Array(
	Type.Object(
		{
			practice: Id,
			revision: Type.Integer({ minimum: 1 }),
			brief: Type.Array(BriefItem, { maxItems: 30 })
		},
		closed
	),
	{ minItems: 1, maxItems: 400 }
);
type Sent = Static<typeof Sent>;

/**
 * Stores the briefs of practices to come, all of them or none: one edit a practice, as if it had been made on
 * its board. Refused where a practice has changed since the plan was made.
 */
export async function savePlan(
	db: Db,
	{ teamId, sent, submission }: { teamId: string; sent: unknown } & Submission
): Promise<Result<number, Misfit>> {
	const shape = readShape(Sent, sent);
	if (!shape.ok) return shape;
	return changeTeam(db, { teamId, submission }, async (tx): Promise<Result<number, Misfit>> => {
		for (const { practice: id, revision, brief } of shape.value) {
			const stored = await lockPractice(tx, teamId, id);
			if (!stored) return fail({ path: [], message: say(texts.noPractice) });
			if (stored.revision !== revision)
				return fail({ path: [], message: say(texts.planChanged, { day: stored.practice.date }) });
			await applyStored(tx, stored, {
				id: nanoid(),
				edit: { type: 'set-practice', set: { brief: brief.length > 0 ? brief : null } }
			});
		}
		return ok(shape.value.length);
	});
}
