import { render } from 'svelte/server';
import { describe, expect, test } from 'vitest';
import type { Marking as MarkingValue } from '$core/model/team';
import Marking from '$lib/components/field/Marking.svelte';
import { drillHints, faultOf, resolveDrill, simulate } from '$core/drill';
import { areaOf, stageOf } from '$core/model/skill';
import type { Drill } from '$core/model/drill';
import { anySportDrills, drillsFor } from '$lib/server/usecases/team/starterDrills';
import { ownSport } from '$lib/server/usecases/team/ownSport';
import { listSports } from '$lib/server/usecases/team/sports';

const WANTED = [
	'american-football association-football australian-rules baseball basketball beach-volleyball',
	'cricket field-hockey flag-football floorball futsal gaelic-football hurling ice-hockey kabaddi',
	'korfball lacrosse netball roller-derby rugby-league rugby-union softball team-handball ultimate',
	'volleyball water-polo'
]
	.join(' ')
	.split(' ');
/** Half of a line's width and what rounding to centimetres leaves. */
const HAIR = 0.02;

const own = ownSport({ name: 'Rope ball', length: 30, width: 12.5, indoors: true, ball: 'knot' });
const kits = [...listSports(), own].map((sport) => [sport.id, sport] as const);

/** Points of a drawn path: its corners, and points along its arcs as the drawing program turns them. */
function pointsOf(drawn: string): [number, number][] {
	const points: [number, number][] = [];
	let at: [number, number] = [0, 0];
	for (const [, command, numbers] of drawn.matchAll(/([MLAZ])([^MLAZ]*)/g)) {
		const values = numbers.split(/[ ,]/).filter(Boolean).map(Number);
		if (command === 'Z') continue;
		const to: [number, number] = [values.at(-2) ?? NaN, values.at(-1) ?? NaN];
		if (command === 'A') points.push(...alongArc(at, to, { radius: values[0], flags: values }));
		points.push(to);
		at = to;
	}
	return points;
}

/** Points along an arc of a circle between two points, by the flags of its path. */
function alongArc(
	[x0, y0]: [number, number],
	[x1, y1]: [number, number],
	{ radius, flags }: { radius: number; flags: number[] }
): [number, number][] {
	const [isLarge, isClockwise] = [flags[3] === 1, flags[4] === 1];
	const [dx, dy] = [(x0 - x1) / 2, (y0 - y1) / 2];
	const half = Math.hypot(dx, dy);
	const up = Math.sqrt(Math.max(0, radius ** 2 - half ** 2)) * (isLarge === isClockwise ? -1 : 1);
	const [cx, cy] = [(x0 + x1) / 2 + (up * dy) / half, (y0 + y1) / 2 - (up * dx) / half];
	const start = Math.atan2(y0 - cy, x0 - cx);
	let sweep = Math.atan2(y1 - cy, x1 - cx) - start;
	if (isClockwise && sweep < 0) sweep += 2 * Math.PI;
	if (!isClockwise && sweep > 0) sweep -= 2 * Math.PI;
	return Array.from({ length: 41 }, (_, step) => {
		const angle = start + (sweep * step) / 40;
		return [cx + radius * Math.cos(angle), cy + radius * Math.sin(angle)];
	});
}

const drawnPath = (marking: MarkingValue) =>
	/ d="([^"]+)"/.exec(render(Marking, { props: { marking } }).body)?.[1] ?? '';

test('there is a kit for each of these sports', () => {
	expect(
		listSports()
			.map(({ id }) => id)
			.sort()
	).toEqual(WANTED);
});

describe.each(kits)('the kit of %s', (_id, sport) => {
	const { ground, positions, units, team, places = [], skillAreas, kit } = sport;

	test('is drawn, with all of its lines on the ground', () => {
		for (const marking of ground.markings) {
			const points = pointsOf(drawnPath(marking));
			expect(points.length).toBeGreaterThan(1);
			for (const [x, y] of points) {
				expect(x).toBeGreaterThanOrEqual(-HAIR);
				expect(x).toBeLessThanOrEqual(ground.length + HAIR);
				expect(y).toBeGreaterThanOrEqual(-HAIR);
				expect(y).toBeLessThanOrEqual(ground.width + HAIR);
			}
		}
		for (const { x, y, length, width } of ground.zones) {
			expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
			expect(x + length).toBeLessThanOrEqual(ground.length + HAIR);
			expect(y + width).toBeLessThanOrEqual(ground.width + HAIR);
		}
	});

	test('names each thing once, and nothing that is not in it', () => {
		for (const list of [ground.zones, positions, units, skillAreas])
			for (const key of ['id', 'name'] as const)
				expect(new Set(list.map((each) => each[key])).size).toBe(list.length);
		const known = new Set(units.map(({ id }) => id));
		expect(positions.filter(({ unit }) => !known.has(unit))).toEqual([]);
		const jobs = new Set(positions.map(({ id }) => id));
		expect(team.filter((id) => !jobs.has(id))).toEqual([]);
		expect(places.length).toBe(team.length);
		for (const [x, y] of places) {
			expect(x).toBeGreaterThan(0);
			expect(x).toBeLessThan(ground.length);
			expect(y).toBeGreaterThan(0);
			expect(y).toBeLessThan(ground.width);
		}
		for (const { stages } of skillAreas) expect(stages).toHaveLength(3);
		expect(sport.cautions.join(' ')).toMatch(
			/knock to the head ends the day; only a practitioner clears/
		);
	});

	test('has twelve drills for any sport that run, fit its ground, and need no more than its kit', () => {
		const drills = anySportDrills(sport);
		const fits = ({ ground: { length, width } }: Drill) =>
			ground.zones.some(
				(zone) =>
					Math.max(zone.length, zone.width) >= Math.max(length, width) &&
					Math.min(zone.length, zone.width) >= Math.min(length, width)
			);
		const hasKit = ({ kit: asked }: Drill) =>
			asked.every(({ item, count, or = [] }) =>
				[item, ...or].some((each) => (kit[each] ?? 0) >= count)
			);
		expect(drills.filter((drill) => fits(drill) && hasKit(drill)).length).toBeGreaterThanOrEqual(
			12
		);
		expect(drills.filter((drill) => !hasKit(drill)).map(({ id }) => id)).toEqual([]);
		const areas = new Map(skillAreas.map(({ id, stages }) => [id, stages.length]));
		for (const drill of drills) {
			for (const { skill } of drill.skills)
				expect(stageOf(skill) ?? 1).toBeLessThanOrEqual(areas.get(areaOf(skill)) ?? 0);
			expect(JSON.stringify(drill)).not.toMatch(/\{\w+\}/);
		}
	});
});

const drills = anySportDrills({}).map((drill) => [drill.name, drill] as const);

describe.each(drills)('%s', (_name, drill) => {
	test('runs on every rung, and keeps to what it says', () => {
		expect(faultOf(drill)).toEqual(null);
		expect(drillHints(drill, 8)).toEqual([]);
		for (const rung of [undefined, ...drill.rungs.map(({ id }) => id)]) {
			const run = resolveDrill(drill, rung);
			const ideal = run.ok ? run.value.group.ideal : 0;
			const players = Array.from({ length: ideal }, (_, index) => `p${index}`);
			const played = simulate({ drill, rung, minutes: 10, players });
			expect(played.ok && played.value.perPlayer.every(({ reps }) => reps > 0)).toBe(true);
		}
	});
});

test('drills for any sport speak of what the sport is played with', () => {
	const said = JSON.stringify(drillsFor({ id: 'ultimate', words: { ball: 'disc' } }));
	expect(said).toMatch(/\bthe disc\b/);
	expect(said).toMatch(/\ba disc\b/);
	expect(said).not.toMatch(/\bballs?\b/);
	const hockey = listSports().find(({ id }) => id === 'field-hockey');
	expect(hockey && drillsFor(hockey).length).toBeGreaterThan(30);
});
