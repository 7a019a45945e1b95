import { describe, expect, test } from 'vitest';
import {
	demoContext,
	demoPractice,
	demoPractices,
	demoSport,
	demoTeams
} from '../../tests/support/demo';
import { faultsIn } from './checks';
import { faultOf, playerSystem, resolveDrill, simulate } from './drill';
import type { TSchema } from 'typebox';
import { Drill as DrillSchema, type Drill } from './model/drill';
import { areaOf, skillsOf, stageOf } from './model/skill';
import { evaluate } from './playing';
import { blocksOf } from './practice';

/** How a drill's players go round, whatever its spots are called. */
function shapeOf({ spots, rotation }: Drill): string {
	const place = new Map(spots.map(({ id }, index) => [id, index]));
	const moves = spots.map(({ id }) => place.get(rotation.moves[id] ?? id));
	const roles = spots.map(({ role, count, upTo }) => `${role} ${count} ${upTo ?? ''}`);
	const { everyTurns, everySeconds } = rotation;
	return JSON.stringify([roles, moves, everyTurns, everySeconds]);
}

const shelves = demoTeams().map((team) => ({ team, context: demoContext(team) }));
const kits = [
	['saltmarsh', 'field-hockey'],
	['harbour-minis', 'team-handball'],
	['skerryside', 'australian-rules']
] as const;
const all = shelves.flatMap(({ context }) => context.shelf);

describe('the demo', () => {
	test('has one stop on the Tuesday of week 6, to be fixed on the board', () => {
		const found = faultsIn(evaluate(demoPractice(), demoContext()));
		const stops = found.filter(({ severity }) => severity === 'stop');
		expect(stops.map(({ code }) => code)).toEqual(['zone-twice']);
	});

	test('has three teams of 24, 17 and 46 players, and a Tuesday to which 22 come', () => {
		const sizes = shelves.map(({ team, context }) => [team, context.players.length]);
		expect(Object.fromEntries(sizes)).toEqual({
			saltmarsh: 24,
			'harbour-minis': 17,
			skerryside: 46
		});
		expect(new Set(demoContext('skerryside').players.map(({ unit }) => unit)).size).toBe(5);
		expect(demoPractice().expected).toHaveLength(22);
	});

	test('has a shelf of 60 drills or more, no two of which have the same spots, moves and seconds', () => {
		expect(all.length).toBeGreaterThanOrEqual(60);
		const runs = all.map((drill) => JSON.stringify([shapeOf(drill), drill.turn]));
		expect(runs.filter((run, index) => runs.indexOf(run) !== index)).toEqual([]);
		expect(new Set(all.map(shapeOf)).size).toBeGreaterThanOrEqual(12);
		expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
	});

	test('uses every optional field of the format somewhere', () => {
		const used = new Set<string>();
		function look(value: unknown, path: string) {
			if (Array.isArray(value)) for (const each of value) look(each, path);
			else if (typeof value === 'object' && value !== null)
				for (const [key, each] of Object.entries(value)) {
					used.add(`${path}${key}`);
					if (key !== 'moves') look(each, `${path}${key}.`);
				}
		}
		for (const drill of all) look(drill, '');
		const optional: string[] = [];
		function ask(schema: TSchema, path: string) {
			const inner = 'items' in schema ? (schema.items as TSchema) : schema;
			const { properties = {}, required = [] } = inner as {
				properties?: Record<string, TSchema>;
				required?: string[];
			};
			for (const [key, each] of Object.entries(properties)) {
				if (!required.includes(key)) optional.push(`${path}${key}`);
				// What a rung sets are the fields of the drill again.
				if (key !== 'set') ask(each, `${path}${key}.`);
			}
		}
		ask(DrillSchema, '');
		expect(optional.length).toBeGreaterThan(40);
		expect(optional.filter((field) => !used.has(field))).toEqual([]);
	});

	test.each(shelves)(
		'$team has a drill, or a rung of one, for every stage of every skill area',
		({ context }) => {
			const { shelf, team } = context;
			const rungs = shelf.flatMap((drill) => [
				drill,
				...drill.rungs.flatMap(({ set }) => set ?? [])
			]);
			const taught = new Set(rungs.flatMap(({ skills = [] }) => skills.map(({ skill }) => skill)));
			const stages = skillsOf(team.skillAreas).filter((skill) => stageOf(skill) !== null);
			expect(stages.length).toBeGreaterThanOrEqual(15);
			expect(stages.filter((skill) => !taught.has(skill))).toEqual([]);
		}
	);

	test.each(kits)('the stages of %s are those of its kit', (team, kit) => {
		expect(demoContext(team).team.skillAreas).toEqual(demoSport(kit).skillAreas);
	});

	test.each(kits)('the kit of %s (%s) says what hurts most often', (_team, kit) => {
		const said = demoSport(kit).cautions.join(' ');
		expect(said).toMatch(/goals are anchored/);
		expect(said).toMatch(/knock to the head ends the day; only a practitioner clears/);
		if (kit !== 'team-handball') expect(said).toMatch(/Mouth guards/);
		if (kit !== 'australian-rules') expect(said).toMatch(/shot at has a keeper .* or nobody/);
		if (kit === 'field-hockey') expect(said).toMatch(/Face protection/);
	});

	test('prints its shelf as a table', () => {
		const rows = shelves.flatMap(({ team, context }) =>
			context.shelf.map((drill) => {
				const { ideal } = drill.group;
				const run = simulate({ drill, players: ideal, minutes: 12 });
				const [turns, wait] = run.ok ? [run.value.reps.mean, run.value.share.wait] : [0, 1];
				const main = drill.skills.find(({ focus }) => focus === 'main')?.skill ?? '';
				const rest = drill.restByDesign ? ' rests' : '';
				return [
					...[team.padEnd(14), drill.name.padEnd(20), main.padEnd(14)],
					`${ideal}`.padStart(3),
					`${Math.round(turns)}`.padStart(4),
					`${Math.round(wait * 100)}%`.padStart(5) + rest.padEnd(6),
					`${drill.rungs.length}`.padStart(2)
				].join(' ');
			})
		);
		const head = 'team, drill, main skill, best number, turns and waiting in 12 min, rungs';
		console.info([head, ...rows].join('\n'));
		expect(rows).toHaveLength(all.length);
	});

	for (const { team, context } of shelves) {
		const { shelf, kit, ground } = context;
		for (const drill of shelf)
			describe(`${team}: ${drill.id}`, () => {
				test('runs on every rung with its least, ideal and most players', () => {
					for (const rung of [undefined, ...drill.rungs.map(({ id }) => id)]) {
						const resolved = resolveDrill(drill, rung);
						if (!resolved.ok) throw new Error(resolved.failure.message);
						const { min, ideal, max } = resolved.value.group;
						for (const count of [min, ideal, max]) {
							const run = simulate({ drill, rung, players: count, minutes: 10, adults: 0 });
							expect(run.ok ? 'runs' : `${rung}: ${run.failure.message}`).toBe('runs');
						}
					}
				});

				test('gives everyone turns with any number that it takes', () => {
					for (const rung of [undefined, ...drill.rungs.map(({ id }) => id)]) {
						const resolved = resolveDrill(drill, rung);
						const { min, ideal, max } = resolved.ok ? resolved.value.group : drill.group;
						for (const players of [min, ideal, max]) {
							const run = simulate({ drill, rung, players, minutes: 15, adults: 0 });
							expect(run.ok && run.value.reps.min).toBeGreaterThan(0);
						}
					}
				});

				test('keeps nobody in one role while others change', () => {
					for (const { id } of [{ id: undefined }, ...drill.rungs]) {
						const resolved = resolveDrill(drill, id);
						const { spots, rotation } = resolved.ok ? resolved.value : drill;
						const held = spots.filter(
							(spot) =>
								spot.role !== 'worker' &&
								spot.by !== 'adult' &&
								spot.unit === undefined &&
								(rotation.moves[spot.id] ?? spot.id) === spot.id
						);
						expect([id, held.map((spot) => spot.id)]).toEqual([id, []]);
					}
				});

				test('has rungs that change what is counted where they say so', () => {
					const counted = new Set(['opponents', 'ground', 'pace', 'distance', 'fatigue', 'start']);
					const words = new Set(['skills', 'cues', 'summary', 'cautions', 'success', 'paths']);
					for (const { id, lever, set = {} } of drill.rungs) {
						const fields = Object.keys(set).filter((field) => !words.has(field));
						const changed = fields.filter(
							(field) =>
								JSON.stringify(set[field as keyof typeof set]) !==
								JSON.stringify(drill[field as keyof Drill])
						);
						if (counted.has(lever)) expect([id, changed]).not.toEqual([id, []]);
					}
				});

				test('names skills that are in the areas of its team', () => {
					const known = new Set(context.team.skillAreas.map(({ id }) => id));
					const rungs = [drill, ...drill.rungs.map(({ set = {} }) => set)];
					const named = rungs.flatMap(({ skills = [] }) =>
						skills.map(({ skill }) => areaOf(skill))
					);
					expect(named.filter((area) => !known.has(area))).toEqual([]);
				});

				test('keeps waiting within 60% at its ideal number, unless it rests by design', () => {
					const run = simulate({ drill, players: drill.group.ideal, minutes: 12 });
					const wait = run.ok ? run.value.share.wait : 1;
					if (!drill.restByDesign) expect(wait).toBeLessThanOrEqual(0.6);
				});

				test('is sound, and names nothing that there is not', () => {
					expect(faultOf(drill)).toBeNull();
				});

				test('has no ladder, or one of two to six rungs', () => {
					expect([0, 2, 3, 4, 5, 6]).toContain(drill.rungs.length);
				});

				test('asks for kit and fixtures that there are, and names spots and rungs that it has', () => {
					const standing = ground.zones.map(({ fixtures }) => fixtures ?? {});
					for (const { item } of drill.kit) expect(kit).toHaveProperty([item]);
					for (const { item, count } of drill.fixtures ?? [])
						expect(standing.some((fixtures) => (fixtures[item] ?? 0) >= count)).toBe(true);
					const spots = drill.spots.map(({ id }) => id);
					for (const { spot } of drill.cues) if (spot) expect(spots).toContain(spot);
					for (const { x = 0, y = 0 } of drill.spots) {
						expect(x).toBeLessThanOrEqual(drill.ground.length);
						expect(y).toBeLessThanOrEqual(drill.ground.width);
					}
					const rungs = drill.rungs.map(({ id }) => id);
					for (const need of drill.rungs.flatMap(({ needs = [] }) => needs))
						expect(rungs).toContain(need);
					expect(playerSystem(drill, 9).ok).toBe(true);
				});
			});

		test(`${team}: no practice has anything that would stop it, or too long without water`, () => {
			const practices = demoPractices(team).filter(({ id }) => id !== demoPractice().id);
			expect(practices.length).toBeGreaterThanOrEqual(6);
			for (const practice of practices) {
				const found = faultsIn(evaluate(practice, context));
				const bad = found.filter(
					({ severity, code }) => severity === 'stop' || code === 'water-gap'
				);
				expect([practice.id, bad.map(({ code }) => code)]).toEqual([practice.id, []]);
			}
		});

		test(`${team}: uses every drill of its shelf in some practice`, () => {
			const used = new Set(
				demoPractices(team).flatMap((practice) =>
					[...blocksOf(practice)].flatMap(({ block }) => block.drill?.id ?? [])
				)
			);
			expect(shelf.map(({ id }) => id).filter((id) => !used.has(id))).toEqual([]);
		});
	}
});

test('no bib comes twice in a period of the demo', () => {
	for (const team of demoTeams())
		for (const { id, periods } of demoPractices(team))
			for (const { name, groups = [] } of periods) {
				const bibs = groups.map(({ bib }) => bib);
				expect([id, name, new Set(bibs).size]).toEqual([id, name, bibs.length]);
			}
});
