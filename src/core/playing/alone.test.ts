import { describe, expect, test } from 'vitest';
import { simulate } from '../drill';
import { demoContext } from '../../../tests/support/demo';
import { copiesInZone } from '../sizing';
import {
	drillAlone,
	evaluate,
	gapBetween,
	laidCopies,
	layInto,
	pointAlong,
	roomierZones,
	standingsAt,
	suitableZones,
	wayFrom
} from '.';

const { shelf } = demoContext('skerryside');
const drill = shelf.find(({ id }) => id === 'bag-and-chase');
if (!drill) throw new Error('the demo has this drill');

describe('a drill alone', () => {
	test('plays what simulate plays', () => {
		for (const each of shelf) {
			const players = each.group.ideal;
			const alone = drillAlone(
				{ ...each, explainSeconds: 0 },
				{ players, climb: [{ minutes: 8 }], minutes: 8, adults: 3 }
			);
			const { runs } = evaluate(alone.practice, alone.context);
			const run = simulate({ drill: each, players, minutes: 8, adults: 2 });
			if (!run.ok) throw new Error(run.failure.message);
			expect([each.id, runs[0].sums.map(({ reps }) => reps)]).toEqual([
				each.id,
				run.value.perPlayer.map(({ reps }) => reps)
			]);
		}
	});

	test('tells when each turn starts and on which side, stops of the coach counted in', () => {
		const sided = shelf.find(({ sides }) => sides && !sides.everyTurns);
		if (!sided) throw new Error('the demo has a drill with two halves');
		const [first, second] = sided.sides?.names ?? [];
		const turnsWith = (stopShare: number) => {
			const climb = [{ minutes: 10 }];
			const alone = drillAlone(
				{ ...sided, explainSeconds: 0 },
				{ players: sided.group.ideal, climb, minutes: 10, adults: 2, stopShare }
			);
			return evaluate(alone.practice, alone.context).runs[0].turns;
		};
		const turns = turnsWith(0);
		const { headwaySeconds } = sided.turn;
		expect(turns[0]).toEqual({ second: 0, side: first });
		expect(turns.every(({ second: at, side }) => side === (at < 300 ? first : second))).toBe(true);
		for (let k = 1; k < turns.length; k += 1)
			expect(turns[k].second - turns[k - 1].second).toBeGreaterThanOrEqual(headwaySeconds - 1e-6);
		// A fifth of ten minutes is talk: three stops of 40 s, the first after a quarter of the 480 s that run.
		const stopped = turnsWith(0.2);
		expect(stopped.every(({ second: at }) => at < 600)).toBe(true);
		expect(stopped.some(({ second: at }) => at >= 120 && at < 160)).toBe(false);
	});

	test('is laid as the rung that the climb has come to', () => {
		const wide = { ...drill.ground, length: drill.ground.length + 6 };
		const rung = { id: 'far', name: 'Far', change: 'further', lever: 'distance' as const };
		const laddered = { ...drill, explainSeconds: 0, rungs: [{ ...rung, set: { ground: wide } }] };
		const climb = [{ minutes: 2 }, { minutes: 4, rung: 'far' }];
		const alone = drillAlone(laddered, { players: 4, climb, minutes: 6, adults: 0 });
		const evaluation = evaluate(alone.practice, alone.context);
		const lengthAt = (second: number) => laidCopies(evaluation, second)[0].drill.ground.length;
		expect([0, 119, 121, 359].map(lengthAt)).toEqual([
			...[drill.ground.length, drill.ground.length],
			...[wide.length, wide.length]
		]);
	});

	test('takes a worker along the ways of the turn, and everyone stays on the ground', () => {
		const alone = drillAlone(drill, {
			players: 4,
			climb: [{ minutes: 5 }],
			minutes: 5,
			adults: 0
		});
		const evaluation = evaluate(alone.practice, alone.context);
		const start = drill.explainSeconds ?? 0;
		const [copy] = laidCopies(evaluation, start + 1);
		const way = wayFrom(copy, 'hit');
		expect(way).toHaveLength(2);
		expect(wayFrom(copy, 'roll')).toHaveLength(1);
		expect(pointAlong(way, 0)).toEqual(way[0]);
		expect(pointAlong(way, 1)).toEqual(way[1]);
		const worker = (second: number) =>
			standingsAt(evaluation, second).find(({ spot }) => spot === 'hit');
		const [early, late] = [worker(start + 1), worker(start + 8)];
		expect(late && early && late.x - early.x).toBeGreaterThan(1);
		const { length, width } = alone.context.ground;
		for (let second = 0; second < 300; second += 7)
			for (const { x, y } of standingsAt(evaluation, second)) {
				expect(x).toBeGreaterThanOrEqual(0);
				expect(x).toBeLessThanOrEqual(length);
				expect(y).toBeGreaterThanOrEqual(0);
				expect(y).toBeLessThanOrEqual(width);
			}
	});
});

test('as many copies as a zone holds lie in it, clear of each other, and no more fit a row than it is long', () => {
	for (const [length, width] of [
		[22.85, 27.5],
		[25, 50],
		[60, 28],
		[14, 7.5]
	])
		for (const flight of [0, 5]) {
			const zone = { id: 'z', name: 'Z', x: 3, y: 2, length, width };
			const drill = { ground: { length: 7, width: 6 }, hazards: { flight } };
			const of = copiesInZone(drill, zone, 4);
			const laid = Array.from({ length: of }, (_, place) => layInto(zone, drill, 4, { place, of }));
			for (const [k, { corner, size }] of laid.entries()) {
				expect(corner.x).toBeGreaterThanOrEqual(zone.x - 1e-6);
				expect(corner.y).toBeGreaterThanOrEqual(zone.y - 1e-6);
				expect(corner.x + size.length).toBeLessThanOrEqual(zone.x + length + 1e-6);
				expect(corner.y + size.width).toBeLessThanOrEqual(zone.y + width + 1e-6);
				for (const other of laid.slice(0, k))
					expect(gapBetween(laid[k], other)).toBeGreaterThanOrEqual(flight - 1e-6);
			}
		}
});

test('zones that hold more copies together are told, none upon another, where the tight ones hold fewer', () => {
	const zone = (id: string, x: number, length: number) => ({
		...{ id, name: id, x, y: 0, length, width: 10 }
	});
	const zones = [zone('a', 0, 15), zone('b', 15, 15), zone('both', 0, 30), zone('c', 30, 12)];
	const drill = { ground: { length: 10, width: 10 } };
	const tight = suitableZones(drill, zones, 4);
	expect(tight.map(({ id }) => id).sort()).toEqual(['a', 'b', 'c']);
	const roomier = roomierZones(drill, { zones, tight, players: 4 });
	expect(roomier?.map(({ id }) => id).sort()).toEqual(['both', 'c']);
	const large = { ground: { length: 15, width: 10 } };
	const own = suitableZones(large, zones, 4);
	expect(roomierZones(large, { zones, tight: own, players: 4 })).toBeNull();
});
