import fc from 'fast-check';
import type { Drill, Spot } from '../../src/core/model/drill';

/** A balanced drill of a passer and a receiver who change places; fields may be replaced. */
export function simpleDrill(fields: Partial<Drill> = {}): Drill {
	return {
		format: 'fieldplan/drill@1',
		id: 'pass-and-take',
		name: 'Pass and take',
		summary: 'Two lines.',
		sports: ['any'],
		skills: [{ skill: 'passing', share: 0.5, focus: 'main' }],
		group: { min: 2, ideal: 4, max: 8 },
		spots: [
			{ id: 'pass', role: 'worker', count: 1, line: true },
			{ id: 'take', role: 'feeder', count: 1 }
		],
		turn: { workSeconds: 8, headwaySeconds: 10 },
		rotation: { moves: { pass: 'take', take: 'pass' } },
		ground: { length: 10, width: 10 },
		kit: [],
		coaches: { min: 0, ideal: 1 },
		contact: 0,
		effort: 4,
		frequency: 'regular',
		cues: [],
		cautions: [],
		rungs: [],
		...fields
	};
}

const role = fc.constantFrom<Spot['role']>('worker', 'opponent', 'feeder', 'helper');
const halfSeconds = (min: number, max: number) =>
	fc.integer({ min: min * 2, max: max * 2 }).map((halves) => halves / 2);

/** Spots of equal counts in a ring or a part of one, so that every rotation balances. */
const spots = fc
	.tuple(
		fc.integer({ min: 1, max: 3 }),
		fc.array(fc.tuple(role, fc.boolean(), fc.boolean(), fc.constantFrom('a', 'b', undefined)), {
			minLength: 1,
			maxLength: 4
		})
	)
	.map(([count, list]) =>
		list.map(([role, line, joinsLate, unit], index): Spot => ({
			id: `s${index}`,
			role,
			count,
			line,
			...(joinsLate && { joinsAtSeconds: 0.5 }),
			...(unit && { unit })
		}))
	);

/** Any drill that runs: balanced, in range, with or without overlap, waves, marks and sides. */
export const anyDrill: fc.Arbitrary<Drill> = fc
	.record({
		spots,
		shift: fc.boolean(),
		work: halfSeconds(1, 20),
		headway: halfSeconds(1, 25),
		every: fc.constantFrom('turn', 'turns', 'seconds'),
		everyTurns: fc.integer({ min: 2, max: 4 }),
		everySeconds: halfSeconds(5, 60),
		sides: fc.constantFrom(null, 0, 1, 2),
		upTo: fc.boolean(),
		result: fc.option(
			fc.record({
				share: fc.integer({ min: 1, max: 9 }).map((tenths) => tenths / 10),
				isBack: fc.boolean(),
				named: fc.array(fc.boolean(), { minLength: 4, maxLength: 4 })
			})
		),
		loads: fc.array(
			fc.record({
				kind: fc.constantFrom('throws', 'jumps'),
				count: fc.integer({ min: 1, max: 9 }),
				onFirst: fc.boolean()
			}),
			{ maxLength: 3 }
		)
	})
	.map(({ spots, shift, work, headway, every, sides, upTo, ...more }) => {
		const { everyTurns, everySeconds, result, loads } = more;
		const isRing = shift && spots.every(({ unit }) => unit === undefined);
		const opens = upTo && !isRing;
		const listed = spots.map((spot, index) =>
			opens && index === spots.length - 1 ? { ...spot, upTo: spot.count + 2 } : spot
		);
		const needed = spots.reduce((sum, { count }) => sum + count, 0);
		const overlaps = headway < work;
		const isBack = isRing && result?.isBack === true;
		const before = (k: number) => spots[(k + spots.length - 1) % spots.length].id;
		const special = spots.flatMap(({ id }, k): [string, string][] =>
			isBack ? [[id, before(k)]] : result?.named[k] ? [[id, id]] : []
		);
		return simpleDrill({
			spots: listed,
			group: { min: needed, ideal: needed + 2, max: needed + 8 },
			turn: {
				workSeconds: work,
				headwaySeconds: headway,
				...(loads.length > 0 && {
					loads: loads.map(({ kind, count, onFirst }) => ({
						...{ kind, count },
						...(onFirst && { spots: [spots[0].id] })
					}))
				})
			},
			rotation: {
				moves: isRing
					? Object.fromEntries(spots.map(({ id }, k) => [id, spots[(k + 1) % spots.length].id]))
					: {},
				...(every === 'turns' && !overlaps && { everyTurns }),
				...(every === 'seconds' && !overlaps && { everySeconds }),
				...(every === 'turn' &&
					!overlaps &&
					result && { result: { share: result.share, moves: Object.fromEntries(special) } })
			},
			...(sides !== null && {
				sides: { names: ['left', 'right'], ...(sides > 0 && { everyTurns: sides }) }
			})
		});
	});
