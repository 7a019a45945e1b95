import { expect, test } from 'vitest';
import { simulate } from '../drill';
import type { Drill } from '../model/drill';
import type { Practice } from '../model/practice';
import { areaOf } from '../model/skill';
import { drillAlone, evaluate } from '../playing';
import { demoContext, demoPractice, demoPractices, demoTeams } from '../../../tests/support/demo';
import { heldRows, ledgerRows } from '.';

test('a player has one row a block, step and skill, added up over the slots', () => {
	const evaluation = evaluate(demoPractice(), demoContext());
	const rows = ledgerRows(evaluation);
	const own = rows.filter(({ player, block }) => player === 'p06' && block === 'duel');
	expect(own.map(({ skill }) => skill)).toEqual(['decisions/2', 'receiving/2', 'defending/3']);
	const played = evaluation.runs.find(
		({ run }) => run.block.id === 'duel' && run.players.includes('p06')
	);
	const [overload] = own;
	expect(overload.seconds).toBeCloseTo(0.5 * 427, 6);
	expect(overload.turns).toBe(played?.sums.find(({ player }) => player === 'p06')?.reps);
	expect(overload).toMatchObject({
		unit: 'midfield',
		focus: 'main',
		revision: 1,
		rung: null,
		date: '2027-04-06'
	});
});

test('a row a step: its rung, its side, and what was had on it', () => {
	const rows = ledgerRows(evaluate(demoPractice(), demoContext()));
	const rungs = rows.filter(({ block }) => block === 'sq').map(({ rung }) => rung);
	expect(new Set(rungs)).toEqual(new Set([null, 'one-touch']));
	const sides = rows.filter(({ drill }) => drill === 'shooting-arc').map(({ side }) => side);
	expect(new Set(sides)).toEqual(new Set(['from the left', 'from the right']));
	expect(rows.find(({ drill }) => drill === 'channel-duel')?.opposed).toBe(true);
	expect(rows.find(({ drill }) => drill === 'reverse-gates')?.opposed).toBe(false);
});

test('rows of a block add up to its time and its turns, whatever their rungs and sides', () => {
	for (const team of demoTeams())
		for (const practice of demoPractices(team)) {
			const evaluation = evaluate(practice, demoContext(team));
			const rows = ledgerRows(evaluation);
			for (const { run, sums, fault, steps } of evaluation.runs) {
				if (!run.drill || fault || run.slot !== null) continue;
				for (const { skill, share, spots, focus } of steps[0].drill.skills) {
					if (spots || steps.some(({ drill }) => drill.skills !== steps[0].drill.skills)) continue;
					for (const { player, reps, activeSeconds } of sums) {
						const own = rows.filter(
							(row) =>
								row.block === run.block.id &&
								row.player === player &&
								row.skill === skill &&
								row.focus === focus
						);
						const sum = (key: 'seconds' | 'activeSeconds' | 'turns') =>
							own.reduce((all, row) => all + row[key], 0);
						expect(sum('seconds')).toBeCloseTo(share * (run.toSecond - run.fromSecond), 6);
						expect(sum('activeSeconds')).toBeCloseTo(share * activeSeconds, 6);
						expect(sum('turns')).toBe(reps);
					}
				}
			}
		}
});

test('a skill is credited to those on the spots that learn it', () => {
	const context = demoContext();
	const drill = context.shelf.find(({ id }) => id === 'reverse-gates') as Drill;
	const [skill] = drill.skills;
	const only = { ...drill, skills: [{ ...skill, spots: ['shade'] }] };
	const { practice, context: alone } = drillAlone(only, {
		...{ players: 5, minutes: 10, adults: 0 },
		climb: [{ minutes: 10 }]
	});
	const run = simulate({ drill: only, players: 5, minutes: 10, stopShare: 0 });
	if (!run.ok) throw new Error(run.failure.message);
	const rows = ledgerRows(evaluate(practice, alone));
	const played = evaluate(practice, alone).runs[0];
	expect(played.turns.length).toBeGreaterThan(10);
	for (const { player, turns } of rows) {
		const at = played.run.players.indexOf(player);
		const spot = played.steps[0].system.spots.findIndex(({ id }) => id === 'shade');
		expect(turns).toBe(played.tallies[0].sides[0].spotTurns[spot][at]);
	}
	expect(rows.reduce((sum, { turns }) => sum + turns, 0)).toBeLessThan(
		run.value.turns * drill.spots.length
	);
});

test('who came to a practice that was held had the time of it, whoever was missing', () => {
	const secondsOf = (practice: Practice) => {
		const seconds = new Map<string, number>();
		for (const row of heldRows(evaluate(practice, demoContext()))) {
			const key = `${row.player} ${areaOf(row.skill)}`;
			seconds.set(key, (seconds.get(key) ?? 0) + row.seconds);
		}
		return seconds;
	};
	let spoilt = 0;
	for (const practice of demoPractices('saltmarsh').slice(4, 10)) {
		const all = secondsOf(practice);
		for (const away of [['p02', 'p04'], ['p02', 'p21'], ['p10']]) {
			const expected = practice.expected.filter((id) => !away.includes(id));
			const came = { ...practice, expected };
			spoilt += evaluate(came, demoContext()).runs.filter(({ fault }) => fault).length;
			const had = secondsOf(came);
			for (const [key, seconds] of all)
				if (!away.includes(key.split(' ')[0]))
					expect(had.get(key) ?? 0, `${practice.date} ${key}`).toBeCloseTo(seconds, 6);
		}
	}
	expect(spoilt).toBeGreaterThan(0);
});
