import { splitEvenly } from '../base';
import { describe, expect, test } from 'vitest';
import { simulate } from '../drill';
import { demoContext, demoPractice, demoPractices, demoTeams } from '../../../tests/support/demo';
import { resizePeriods, splitIntoStations, stationPlayers, suggestStations } from '../building';
import { applyEdit } from '../practice';
import { evaluate, intervalAt, laidCopies, standingsAt, stepsOf, type Track } from '.';

const context = demoContext();
const practice = demoPractice();
const evaluation = evaluate(practice, context);

function expectWhole(track: Track, seconds: number) {
	let at = 0;
	for (const { fromSecond, toSecond } of track) {
		expect(fromSecond).toBeCloseTo(at, 5);
		expect(toSecond).toBeGreaterThan(fromSecond);
		at = toSecond;
	}
	expect(at).toBeCloseTo(seconds, 5);
}

/** The minute at which a period of the demo begins. */
const minuteOf = (index: number) => evaluation.windows[index].fromSecond / 60;

describe('evaluate', () => {
	test('gives everyone a track without gaps or overlaps over the whole practice', () => {
		expect(evaluation.seconds).toBe(90 * 60);
		expect([...evaluation.players.keys()]).toEqual(practice.expected);
		for (const track of evaluation.players.values()) expectWhole(track, 90 * 60);
		for (const track of evaluation.adults.values()) expectWhole(track, 90 * 60);
	});

	test.each(demoTeams())(
		'adds up what %s has against opponents, without them, and in line',
		(team) => {
			const around = demoContext(team);
			for (const own of demoPractices(team).slice(-3)) {
				const { players, runs, figures } = evaluate(own, around);
				/** Whether a run is on a step with opponents, or in a game of two sides, at a second. */
				const isOpposed = (block: string, player: string, second: number) =>
					runs
						.filter(({ run }) => run.block.id === block && run.players.includes(player))
						.flatMap(stepsOf)
						.some(
							({ drill, fromSecond, toSecond }) =>
								fromSecond <= second &&
								second < toSecond &&
								(drill.spots.some(({ role }) => role === 'opponent') ||
									(drill.live === true &&
										drill.spots.filter(({ role }) => role === 'worker').length > 1))
						);
				const shares = [...players].map(([player, track]) => {
					const sum = (is: (each: Track[number]) => boolean) =>
						track.filter(is).reduce((all, each) => all + each.toSecond - each.fromSecond, 0) /
						(own.minutes * 60);
					const isBusy = ({ state }: Track[number]) => state === 'active' || state === 'help';
					const opposed = sum(
						(each) =>
							isBusy(each) &&
							isOpposed(each.block ?? '', player, (each.fromSecond + each.toSecond) / 2)
					);
					return { busy: sum(isBusy), opposed, standing: sum(({ state }) => state === 'wait') };
				});
				const mean = (of: (each: (typeof shares)[number]) => number) =>
					shares.reduce((all, each) => all + of(each), 0) / shares.length;
				expect(figures.opposedShare).toBeCloseTo(
					mean(({ opposed }) => opposed),
					2
				);
				expect(figures.unopposedShare).toBeCloseTo(
					mean(({ busy, opposed }) => busy - opposed),
					2
				);
				expect(figures.standingShare).toBeCloseTo(
					mean(({ standing }) => standing),
					2
				);
				expect(figures.opposedShare + figures.unopposedShare).toBeCloseTo(figures.busyShare, 9);
			}
		}
	);

	test('lets who comes late join the first run that begins after, and be off until they come', () => {
		const [late] = practice.expected;
		const { runs, players, windows } = evaluate(
			{ ...practice, late: { [late]: minuteOf(1) + 1 } },
			context
		);
		const arrives = (minuteOf(1) + 1) * 60;
		const own = runs.filter(({ run }) => run.players.includes(late));
		expect(own.length).toBeGreaterThan(0);
		for (const { run } of own) expect(run.fromSecond).toBeGreaterThanOrEqual(arrives);
		const track = players.get(late) as Track;
		expect(track[0]).toMatchObject({ state: 'off', fromSecond: 0 });
		expect(intervalAt(track, arrives - 1)?.state).toBe('off');
		expectWhole(track, windows.at(-1)?.toSecond ?? 0);
	});

	test('counts what a simulation of the same time counts', () => {
		const played = evaluation.runs.find(({ run }) => run.block.id === 'press');
		if (!played?.run.drill) throw new Error('no run');
		const { run, playsFrom, sums } = played;
		const alone = simulate({
			drill: played.run.drill,
			players: [...run.players],
			minutes: (run.toSecond - playsFrom) / 60,
			stopShare: run.block.stopShare
		});
		if (!alone.ok) throw new Error(alone.failure.message);
		alone.value.perPlayer.forEach((player, k) => {
			expect(sums[k].reps).toBe(player.reps);
			expect(sums[k].activeSeconds).toBeCloseTo(player.activeSeconds, 6);
			expect(sums[k].waitSeconds).toBeCloseTo(player.waitSeconds, 6);
		});
	});

	test('shows on the tracks what the figures say', () => {
		for (const { player, seconds } of evaluation.figures.players) {
			const track = evaluation.players.get(player) as Track;
			const sums = evaluation.runs.flatMap((played) =>
				played.sums.filter((sum) => sum.player === player)
			);
			const total = (key: 'activeSeconds' | 'helpSeconds' | 'waitSeconds') =>
				sums.reduce((sum, each) => sum + each[key], 0);
			expect(seconds.active).toBeCloseTo(total('activeSeconds'), 4);
			expect(seconds.help).toBeCloseTo(total('helpSeconds'), 4);
			expect(seconds.wait).toBeCloseTo(total('waitSeconds'), 4);
			expect(track.some(({ state }) => state === 'water')).toBe(true);
		}
	});

	test('is the same whether it remembers an earlier evaluation or not', () => {
		const edit = resizePeriods(practice, new Map([['squares', 14]]));
		const applied = applyEdit(practice, edit);
		if (!applied.ok) throw new Error(applied.failure);
		const fresh = evaluate(applied.value.practice, context);
		const remembered = evaluate(applied.value.practice, context, evaluation);
		expect(remembered).toEqual(fresh);
	});

	test('deals those who come to the copies of a station evenly, whoever is missing', () => {
		const practice = demoPractice();
		const stations = practice.periods.find(({ id }) => id === 'stations');
		const [group] = stations?.groups ?? [];
		const lane = stations?.lanes[0];
		const [copy] = lane?.blocks[0].copies ?? [];
		const doubled = {
			...practice,
			// The first half of a group is missing: without dealing anew a copy would stand empty.
			expected: practice.expected.filter((id) => !group.players.slice(0, 3).includes(id)),
			periods: practice.periods.map((period) =>
				period.id !== 'stations'
					? period
					: {
							...period,
							lanes: period.lanes.map((each) =>
								each.id !== lane?.id
									? each
									: {
											...each,
											blocks: each.blocks.map((block) => ({
												...block,
												copies: [copy, { ...copy, id: 'second' }]
											}))
										}
							)
						}
			)
		};
		const runs = evaluate(doubled, demoContext()).runs.filter(
			({ run }) => run.lane.id === lane?.id && run.groups.some(({ id }) => id === group.id)
		);
		expect(runs.map(({ run }) => run.players.length)).toEqual(
			splitEvenly(group.players.length - 3, 2)
		);
	});

	test('leaves out who does not come, and says so of nobody twice', () => {
		const [gone] = practice.expected;
		const without = evaluate({ ...practice, expected: practice.expected.slice(1) }, context);
		expect(without.players.has(gone)).toBe(false);
		expect(without.runs.every(({ run }) => !run.players.includes(gone))).toBe(true);
		expect(evaluation.playerClashes).toEqual([]);
	});
});

test('a split into stations steps every group through every station', () => {
	const period = practice.periods[1];
	const first = [context.shelf.find(({ id }) => id === 'channel-duel')].flatMap(
		(drill) => drill ?? []
	);
	const wishes = suggestStations(
		{ practice, context },
		{ period, kept: [], first, beside: [], count: 4, players: practice.expected, minutes: 7 }
	);
	expect(wishes).toHaveLength(4);
	expect(new Set(wishes.map(({ zoneId }) => zoneId)).size).toBe(4);
	const edit = splitIntoStations(
		{ practice, context },
		{ period: { ...period, minutes: 30 }, wishes, sizes: [6, 6, 5, 5], moveSeconds: 30 }
	);
	const applied = applyEdit(practice, edit);
	if (!applied.ok) throw new Error(applied.failure);
	const { runs } = evaluate(applied.value.practice, context);
	const stations = runs.filter(({ run }) => run.period.id === period.id);
	expect(stations).toHaveLength(16);
	for (const group of edit.groups ?? [])
		expect(
			stations
				.filter(({ run }) => run.groups[0].id === group.id)
				.map(({ run }) => run.lane.id)
				.sort()
		).toEqual(edit.lanes.map(({ id }) => id).sort());
});

test('changing the stations keeps the lane beside them and what was set in a block', () => {
	const period = practice.periods[3];
	const duel = context.shelf.find(({ id }) => id === 'channel-duel');
	const from = period.lanes[0].blocks[0];
	if (!duel) throw new Error('no drill');
	const noted = { ...from, note: 'mind the puddle', climb: [{ rung: 'recover', minutes: 7 }] };
	const wishes = ['a', 'f'].map((zoneId) => ({ drill: duel, zoneId, adults: [], from: noted }));
	const players = stationPlayers({ practice, context }, period);
	expect(players).toHaveLength(20);
	const edit = splitIntoStations(
		{ practice, context },
		{ period, wishes, sizes: [10, 10], moveSeconds: 30 }
	);
	const applied = applyEdit(practice, edit);
	if (!applied.ok) throw new Error(applied.failure);
	const lanes = applied.value.practice.periods[3].lanes;
	expect(lanes.map(({ zoneIds }) => zoneIds[0])).toEqual(['a', 'f', 'e']);
	expect(lanes[0].blocks[0]).toMatchObject({ note: 'mind the puddle', climb: noted.climb });
	const next = evaluate(applied.value.practice, context);
	expect(next.playerClashes).toEqual([]);
});

describe('where everyone stands', () => {
	test('is on a spot of the copy, in its line or with the others, and on the ground when busy', () => {
		for (const second of [0, 700, 1500, 2260, 2320, 3600, 5000, 5399]) {
			const standings = standingsAt(evaluation, second);
			expect(standings.map(({ person }) => person)).toEqual(practice.expected);
			for (const { person, state, x, y, zone } of standings) {
				expect(intervalAt(evaluation.players.get(person) as Track, second)?.state).toBe(state);
				const at = context.zoneById.get(zone ?? '');
				if (!at || state !== 'active') continue;
				expect(x).toBeGreaterThanOrEqual(at.x - 1);
				expect(x).toBeLessThanOrEqual(at.x + at.length + 1);
				expect(y).toBeGreaterThanOrEqual(at.y - 1);
			}
		}
	});

	test('lays every running copy inside its zone', () => {
		const copies = laidCopies(evaluation, 1500);
		expect(copies.length).toBe(5);
		for (const { zone, corner, size } of copies) {
			expect(corner.x).toBeGreaterThanOrEqual(zone.x - 0.01);
			expect(corner.x + size.length).toBeLessThanOrEqual(zone.x + zone.length + 0.01);
			expect(corner.y + size.width).toBeLessThanOrEqual(zone.y + zone.width + 0.01);
		}
	});
});

test('nobody who runs or waits in a drill stands outside its zone', () => {
	for (const team of demoTeams()) {
		const around = demoContext(team);
		const each = evaluate(demoPractices(team)[1], around);
		for (let second = 30; second < each.seconds; second += 95)
			for (const { x, y, zone: id, spot, person } of standingsAt(each, second)) {
				const zone = spot && around.zoneById.get(id ?? '');
				if (!zone) continue;
				const out = Math.max(
					...[zone.x - x, x - zone.x - zone.length],
					...[zone.y - y, y - zone.y - zone.width]
				);
				expect([team, second, person, spot, out <= 0.5]).toEqual([
					team,
					second,
					person,
					spot,
					true
				]);
			}
	}
});
