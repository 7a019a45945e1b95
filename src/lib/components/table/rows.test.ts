import { describe, expect, test } from 'vitest';
import { demoContext, demoTeams } from '../../../../tests/support/demo';
import { adultColumns, adultEntryOf, adultRowOf, emptyAdult } from '../adults/rows';
import { kitColumns, kitRowOf, kitSent } from '../kit/rows';
import { squadColumns } from '../squad/columns';
import { entriesFrom, entryOf, rowOf } from '../squad/entries';
import { TypedRows } from './typedRows.svelte';
import { speaker } from '$words';

const say = speaker(undefined);

describe('rows that are typed in', () => {
	test('say of every player and adult of the demo what was stored', () => {
		for (const { team, players, adults } of demoTeams().map((id) => demoContext(id))) {
			for (const player of players) {
				const { note: _note, restrictions: _kept, ...shown } = player;
				expect(rowOf(entryOf(player, team), team)).toEqual({
					positions: [],
					ratings: {},
					leads: false,
					usuallyLate: false,
					...shown
				});
			}
			for (const adult of adults)
				expect(adultRowOf(adultEntryOf(adult, team), team)).toEqual({
					units: [],
					skills: [],
					days: [],
					...adult
				});
		}
	});

	test('take names for ids in any case, and leave what they do not know for the server to refuse', () => {
		const { team } = demoContext();
		const typed = { ...emptyAdult('x'), name: 'N', units: 'BACKS, wizards', days: 'tuesday, Thu' };
		expect(adultRowOf({ ...typed, from: '8' }, team)).toMatchObject({
			role: 'helper',
			units: ['backs', 'wizards'],
			days: [2, 4],
			ages: { from: 8, to: 120 }
		});
	});

	test('are changed a cell at a time by their columns', () => {
		const { team, players } = demoContext();
		const [entry] = players.map((player) => entryOf(player, team));
		for (const column of squadColumns(team, say)) {
			const typed = column.kind === 'tick' ? 'yes' : '3';
			expect(column.value(column.set(entry, typed))).toBe(typed);
			expect(column.set(entry, column.value(entry))).toEqual(entry);
			expect(column.label(entry)).not.toBe('');
		}
		const { adults } = demoContext();
		const adult = adultEntryOf(adults[1], team);
		for (const column of adultColumns(team, say))
			expect(column.set(adult, column.value(adult))).toEqual(adult);
		const kit = kitRowOf({ item: 'ball', count: 12, broken: 1, kept: 'shed' });
		for (const column of kitColumns({ ball: ['a', 'b'] }, say))
			expect(column.set(kit, column.value(kit))).toEqual(kit);
		expect(kitSent(kit)).toEqual({ item: 'ball', count: 12, broken: 1, kept: 'shed' });
		expect(kitSent({ ...kit, count: '', broken: ' ', kept: '' })).toEqual({
			item: 'ball',
			count: 0
		});
	});

	test('are sent where they say something, and a refusal finds its row', () => {
		const stored = [{ key: 'a', name: 'Ada' }];
		const table = new TypedRows<{ key: string; name: string }>({
			stored: () => stored,
			empty: (key) => ({ key, name: '' }),
			isNamed: ({ name }) => name !== '',
			sent: ({ name }) => ({ name }),
			first: 'name'
		});
		expect(table.isChanged).toBe(false);
		table.append([
			{ key: table.newKey(), name: '' },
			{ key: table.newKey(), name: 'Bo' }
		]);
		expect(JSON.parse(table.json)).toEqual([{ name: 'Ada' }, { name: 'Bo' }]);
		expect(table.isChanged).toBe(true);
		expect(table.faultAt([1, 'name'])).toEqual({ key: 'new-2', field: 'name' });
		expect(table.faultAt(['elsewhere'])).toBeNull();
		table.remove(table.rows[2]);
		expect(table.isChanged).toBe(false);
	});
});

test('pasted lines become entries, a number in front where there is one', () => {
	const made = entriesFrom('7 Ada Lind\n\n  Bo \n12) Cy', (index) => `k${index}`);
	expect(made.map(({ key, number, name }) => [key, number, name])).toEqual([
		['k0', '7', 'Ada Lind'],
		['k1', '', 'Bo'],
		['k2', '12', 'Cy']
	]);
});
