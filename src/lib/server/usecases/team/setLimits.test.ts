import { beforeEach, expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { DEFAULT_LIMITS, LIMIT_FACTS } from '$core/practice';
import type { Db } from '../../database';
import { findLimits } from '../../repositories/settings';
import { setLimits } from './setLimits';
import { speaker } from '$words';
import { placeOf } from '../../../../../tests/support/place';

const say = speaker(undefined);

const day = '2027-04-06';
let db: Db;
beforeEach(async () => {
	db = await demoDb();
});

test('every limit is explained and its default lies within what may be set', () => {
	const keys = [
		...LIMIT_FACTS.map(({ key }) => key),
		...['playersAnAdult', 'standSeconds', 'loads', 'rest'],
		...['effortCaps', 'contactCaps', 'drillMinutes']
	];
	expect(keys.sort()).toEqual(Object.keys(DEFAULT_LIMITS).sort());
	for (const { key, unit, least, most, says } of LIMIT_FACTS) {
		const value = DEFAULT_LIMITS[key] * (unit === '%' ? 100 : 1);
		expect(value >= least && value <= most).toBe(true);
		expect(say(says)).toMatch(/^[A-Z].*\.$/);
	}
});

test('only what differs from the defaults is stored, for one team', async () => {
	expect(
		await setLimits(db, 'saltmarsh', { day, wanted: { ...DEFAULT_LIMITS, talkMinutes: 5 } })
	).toMatchObject({
		ok: true
	});
	expect(await findLimits(db, 'saltmarsh', day)).toEqual({ talkMinutes: 5 });
	await setLimits(db, 'saltmarsh', { day, wanted: {} });
	expect(await findLimits(db, 'saltmarsh', day)).toEqual({});
	expect(await setLimits(db, 'nobody', { day, wanted: {} })).toMatchObject({
		failure: { path: [] }
	});
});

test.each([
	['talkMinutes', { talkMinutes: -1 }],
	['talkMinutes', { talkMinutes: NaN }],
	['stopShare', { stopShare: 0.95 }],
	['surprise', { surprise: 1 }],
	[
		'playersAnAdult',
		{
			playersAnAdult: [
				{ under: 9, players: 6 },
				{ under: 7, players: 4 }
			]
		}
	],
	['playersAnAdult[0].players', { playersAnAdult: [{ under: 9, players: 0 }] }],
	['loads[0].day', { loads: [{ kind: 'kicks', day: -1 }] }]
])('what is wrong is refused at %s and changes nothing', async (path, wanted) => {
	expect(placeOf(await setLimits(db, 'saltmarsh', { day, wanted }))).toBe(path);
	expect(await findLimits(db, 'saltmarsh', day)).toEqual({});
});
