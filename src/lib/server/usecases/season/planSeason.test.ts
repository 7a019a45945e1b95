import { beforeEach, expect, test } from 'vitest';
import { saltmarshSeason, teamId, today } from '../../../../../tests/support/saltmarshSeason';
import { rulesBroken } from '../../../../../tests/support/seasonRules';
import { planned } from '../../../../../tests/support/seasons';
import { type PlanView, type SeasonPlanOutput } from '$core/seasonPlan';
import type { Db } from '../../database';
import { findPractice } from '../../repositories/practices';
import { loadSeason, seasonOf, type SeasonOf } from './loadSeason';
import { loadPlan, savePlan } from './planSeason';

/** The plan of a season as its page loads it. */
const loaded = async (db: Db, season: SeasonOf): Promise<PlanView> =>
	loadPlan(db, teamId, {
		...season,
		...{ today, view: await loadSeason(db, teamId, { ...season, whose: null }) }
	});

let season: Awaited<ReturnType<typeof saltmarshSeason>>;
let of: SeasonOf;
let view: PlanView;
beforeEach(async () => {
	season = await saltmarshSeason();
	of = (await seasonOf(season.db, teamId, { today })) as SeasonOf;
	view = await loaded(season.db, of);
});

const sentOf = ({ practices }: PlanView, plan: SeasonPlanOutput) =>
	practices
		.filter(({ isBuilt }) => !isBuilt)
		.map(({ id, revision }) => ({
			...{ practice: id, revision },
			brief: (plan.practices.find((each) => each.id === id)?.brief ?? []).map(
				({ why: _why, ...item }) => item
			)
		}));

test('what was done counts as the season shows it, and built practices stay as they are', async () => {
	const { input, practices } = view;
	expect(input.practices.map(({ id }) => id)).toEqual(practices.map(({ id }) => id));
	expect(practices.every(({ date }) => date >= today)).toBe(true);
	// Of the ledger's rows, one by one.
	const rows = (await season.allRows()).filter(
		(row) => row.of === 'held' && row.state === 'done' && !row.archived && row.on < today
	);
	const isOf = (skill: string, of: string) => skill === of || skill.startsWith(`${of}/`);
	const seconds = (list: readonly { skill: string; seconds: number }[], of: string) =>
		list.filter(({ skill }) => isOf(skill, of)).reduce((sum, row) => sum + row.seconds, 0);
	for (const { id } of of.around.team.skillAreas) {
		expect(seconds(rows, id)).toBeGreaterThan(0);
		expect(seconds(input.done ?? [], id), id).toBeCloseTo(seconds(rows, id), 3);
	}
	for (const { id } of practices.filter(({ isBuilt }) => isBuilt)) {
		const own = input.practices.find((each) => each.id === id);
		const minutes = own?.locked?.reduce((sum, item) => sum + item.minutes, 0);
		expect(own?.minutes).toBe(minutes);
		expect(own?.locked?.length).toBeGreaterThan(0);
	}
});

test('minutes of what is on the fix list, or asked for by the next opponent, count more', async () => {
	const weightOf = ({ input }: PlanView, skill: string) =>
		input.skills.find(({ id, unit }) => id === skill && unit === undefined)?.weight;
	expect(weightOf(view, 'defending')).toBe(1.5);
	expect(weightOf(view, 'carrying')).toBeUndefined();
	await season.change({ seeds: [], fixes: [] });
	const bare = (await seasonOf(season.db, teamId, { today })) as SeasonOf;
	expect(weightOf(await loaded(season.db, bare), 'defending')).toBeUndefined();
});

test('a plan of the demo season keeps all rules, is stored together, and is the plan before the next time', async () => {
	const plan = planned(view.input);
	expect(rulesBroken(view.input, plan).filter((rule) => !rule.startsWith('daily '))).toEqual([]);
	const sent = sentOf(view, plan);
	expect(sent.length).toBeGreaterThan(3);
	sent[0].brief[0] = { ...sent[0].brief[0], locked: true } as (typeof sent)[0]['brief'][0];
	expect(await savePlan(season.db, { teamId, sent })).toEqual({ ok: true, value: sent.length });
	const stored = await findPractice(season.db, teamId, sent[0].practice);
	expect(stored?.practice.brief).toEqual(sent[0].brief);
	const again = await loaded(season.db, of);
	const first = again.input.practices.find(({ id }) => id === sent[0].practice);
	expect(first?.locked?.map(({ drill }) => drill)).toEqual([sent[0].brief[0].drill]);
	expect(again.input.plan?.map(({ id }) => id)).toEqual(sent.map(({ practice }) => practice));
	expect(planned(again.input).measures.changes).toBeLessThan(sent.length * 2);
});

test('nothing is stored where a practice has changed meanwhile, or what is sent is no plan', async () => {
	const [one, two] = sentOf(view, planned(view.input));
	const stale = { ...two, revision: two.revision + 1 };
	expect(await savePlan(season.db, { teamId, sent: [one, stale] })).toMatchObject({
		ok: false,
		failure: { message: expect.stringContaining('plan anew') }
	});
	expect((await findPractice(season.db, teamId, one.practice))?.practice.brief).toBeUndefined();
	expect(await savePlan(season.db, { teamId, sent: [{ practice: 'x' }] })).toMatchObject({
		ok: false
	});
});

test('a practice that is cancelled is not planned, and a game that is added stands in the way of hard days', async () => {
	const [{ id, date }] = view.practices.filter(({ isBuilt }) => !isBuilt);
	await season.turn(id, 'cancelled');
	const games = [...(of.season.games ?? []), { id: 'extra', date, opponent: 'Tern Island' }];
	await season.change({ games });
	const now = (await seasonOf(season.db, teamId, { today })) as SeasonOf;
	const { input } = await loaded(season.db, now);
	expect(input.practices.map((each) => each.id)).not.toContain(id);
	expect(input.games).toContainEqual({ date });
});
