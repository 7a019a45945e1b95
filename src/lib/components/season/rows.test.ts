import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { demoTeams } from '../../../../tests/support/demo';
import type { Tally } from '$core/model/ladders';
import type { Season } from '$core/model/season';
import { weekdayOf } from '$core/conditions';
import { speaker } from '$words';
import { weekdayNames } from '../page/dates';
import { readMessage } from '../../../words/read';
import { floorRows } from './floorRows';
import { LISTS, planColumns, planTables, type PlanRow } from './planRows';
import { tallyRows, whatOf } from './tallyRows';

const say = speaker(undefined, readMessage);
const seasonOf = (team: string): Season =>
	JSON.parse(readFileSync(`demo/${team}/team.json`, 'utf8')).season;

describe.each(demoTeams())('the season of %s in tables', (team) => {
	const season = seasonOf(team);

	test('is sent as it is stored where nothing is typed', () => {
		const tables = planTables(() => season);
		for (const list of LISTS) {
			expect(JSON.parse(tables[list].json)).toEqual(season[list] ?? []);
			expect(tables[list].isChanged).toBe(false);
		}
		expect(JSON.parse(floorRows(() => season).json)).toEqual(season.floors ?? []);
	});

	test('sends nothing of an empty row, and what is no number for the server to name', () => {
		const tables = planTables(() => season);
		for (const list of LISTS) {
			const { json } = tables[list];
			void tables[list].add().catch(() => undefined);
			expect(tables[list].json).toBe(json);
		}
		const { rows } = tables.patterns;
		tables.patterns.change(rows.length - 1, { ...rows[rows.length - 1], wed: 'yes', minutes: ' ' });
		expect(JSON.parse(tables.patterns.json).at(-1)).toMatchObject({ weekdays: [3], minutes: null });
	});
});

test('a day off of one day ends on that day; its columns are named by their days', () => {
	const tables = planTables(() => seasonOf('saltmarsh'));
	const row: PlanRow = {
		key: 'new-daysOff-1',
		name: ' Fair ',
		firstDay: '2027-05-01',
		lastDay: ''
	};
	tables.daysOff.append([row]);
	expect(JSON.parse(tables.daysOff.json).at(-1)).toEqual({
		...{ name: 'Fair', firstDay: '2027-05-01', lastDay: '2027-05-01' }
	});
	const { patterns } = planColumns({ grounds: [], targets: new Map() }, say);
	expect(patterns.slice(0, 7).map(({ label }) => label(row))).toEqual(weekdayNames('long'));
	expect(weekdayNames('long')[weekdayOf('2027-04-06') - 1]).toBe('Tuesday');
});

describe('what was counted, in a table', () => {
	const tally: Tally = {
		...{ practice: 'p', drill: 'd', rung: 'far', judge: 'outcome' },
		...{ whom: 'unit', whomId: 'backs', clean: 7, tries: 10 }
	};
	const planned = [
		{ drill: 'd', rung: 'far', judge: 'outcome' },
		{ drill: 'd', rung: null, judge: 'form' }
	];

	test('offers what was planned and not counted, and sends only what was counted', () => {
		const table = tallyRows(() => ({ tallies: [tally], planned }));
		expect(table.rows.map(({ what }) => what)).toEqual([whatOf('d', 'far'), whatOf('d', null)]);
		const { practice: _practice, ...sent } = tally;
		expect(JSON.parse(table.json)).toEqual([sent]);
		table.change(1, { ...table.rows[1], clean: '3', tries: 'x' });
		expect(JSON.parse(table.json)[1]).toEqual({
			...{ drill: 'd', rung: null, judge: 'form', whom: 'squad', clean: 3, tries: null }
		});
	});
});
