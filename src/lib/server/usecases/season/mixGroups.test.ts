import { beforeEach, expect, test } from 'vitest';
import { saltmarshSeason, teamId, today } from '../../../../../tests/support/saltmarshSeason';
import { movingGroups } from '$core/building';
import type { PlannedMeeting } from '$core/mixing';
import { findPractice } from '../../repositories/practices';
import { loadMixable, saveMixed } from './mixGroups';

let season: Awaited<ReturnType<typeof saltmarshSeason>>;
beforeEach(async () => {
	season = await saltmarshSeason();
});

const sentOf = ({ practice, revision, periods, groups }: PlannedMeeting) => ({
	...{ practice, revision, periods, was: groups },
	// Two players of different groups change places.
	groups: groups.map((group, k) => {
		const [[a], [b]] = groups;
		if (k === 0) return [b, ...group.slice(1)];
		return k === 1 ? [a, ...group.slice(1)] : group;
	})
});

const stationsOf = async (): Promise<PlannedMeeting[]> => {
	const { choices } = await loadMixable(season.db, teamId, today);
	return choices.find(({ wanted }) => wanted.of === 'stations')?.meetings ?? [];
};
const groupsOf = async ({ practice: id, periods: [period] }: PlannedMeeting) => {
	const { practice } = (await findPractice(season.db, teamId, id)) ?? {};
	const found = practice?.periods.find((each) => each.id === period);
	return found ? movingGroups(found).map(({ players }) => players) : [];
};

test('mixed groups of all practices to come are stored together, those who are away in their place', async () => {
	const meetings = await stationsOf();
	expect(meetings.length).toBeGreaterThan(2);
	expect(meetings.every(({ date }) => date >= today)).toBe(true);
	const sent = meetings.map(sentOf);
	const saved = await saveMixed(season.db, { teamId, sent });
	expect(saved).toMatchObject({ ok: true });
	for (const [k, meeting] of meetings.entries()) {
		const now = await groupsOf(meeting);
		expect(now.map((group) => sent[k].groups.findIndex((own) => group.includes(own[0])))).toEqual(
			now.map((_, index) => index)
		);
	}
});

test('nothing is stored where one practice has changed meanwhile, or somebody is not among them', async () => {
	const [first, second, ...others] = await stationsOf();
	const before = await groupsOf(first);
	const stale = { ...sentOf(second), revision: second.revision + 1 };
	expect(await saveMixed(season.db, { teamId, sent: [sentOf(first), stale] })).toMatchObject({
		failure: { message: expect.stringContaining(second.date) }
	});
	const foreign = { ...sentOf(second), groups: second.groups.map(() => ['p99']) };
	expect(await saveMixed(season.db, { teamId, sent: [sentOf(first), foreign] })).toMatchObject({
		failure: { path: [1, 'groups'] }
	});
	const lying = { ...sentOf(first), was: [['p98'], ['p99']], groups: [['p99'], ['p98']] };
	expect(
		await saveMixed(season.db, { teamId, sent: [lying, ...others.map(sentOf)] })
	).toMatchObject({ ok: false });
	expect(await groupsOf(first)).toEqual(before);
});
