import { expect, test } from 'vitest';
import { demoDb } from '../../../../../tests/support/database';
import { rulesBroken } from '../../../../../tests/support/seasonRules';
import { planned } from '../../../../../tests/support/seasons';
import { seasonComplaints } from '../../../../../tests/support/sternSeason';
import { loadSeason, seasonOf, type SeasonOf } from './loadSeason';
import { loadPlan } from './planSeason';

const today = '2027-04-06';

test.each(['saltmarsh', 'skerryside', 'harbour-minis'])(
	'a plan of %s can be run as it stands',
	async (teamId) => {
		const db = await demoDb([teamId]);
		const season = (await seasonOf(db, teamId, { today })) as SeasonOf;
		const view = await loadSeason(db, teamId, { ...season, whose: null });
		const { input } = await loadPlan(db, teamId, { ...season, today, view });
		const plan = planned(input, 300);
		expect(rulesBroken(input, plan).filter((rule) => !rule.startsWith('daily '))).toEqual([]);
		expect(seasonComplaints(input, plan)).toEqual([]);
	},
	180_000
);
