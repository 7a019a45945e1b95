import fc from 'fast-check';
import type { Practice } from '../../src/core/model/practice';
import { plainPeriod, resizePeriods } from '../../src/core/building';
import type { Context, Edit } from '../../src/core/practice';

/** Three numbers that choose an edit: its kind, and what it is made on. */
export type Choice = [number, number, number];

const at = <Item>(list: readonly Item[], k: number) => list[k % Math.max(1, list.length)];

/** Some edit that may be made on a practice, chosen by numbers; one that names nothing where it is empty. */
export function someEdit(on: Practice, [kind, a, b]: Choice): Edit {
	const period = at(on.periods, a);
	const lane = period && at(period.lanes, b);
	const block = lane?.blocks[0];
	const choices: (() => Edit)[] = [
		() => ({
			type: 'set-practice',
			set: { minutes: 60 + (a % 60), expected: on.expected.slice(b % 3) }
		}),
		() => ({
			type: 'add-period',
			period: plainPeriod('water', { id: `w${a}-${b}`, name: 'Water', minutes: 2 }),
			after: period?.id ?? null
		}),
		() => ({ type: 'remove-period', period: period?.id ?? 'none' }),
		() => ({
			type: 'move-period',
			period: period?.id ?? 'none',
			after: at(on.periods, b)?.id ?? null
		}),
		() => ({
			type: 'set-period',
			period: period?.id ?? 'none',
			set: { name: `N${b}`, locked: b % 2 ? true : null }
		}),
		() => resizePeriods(on, new Map([[period?.id ?? 'none', 1 + (b % 40)]])),
		() => ({
			type: 'place-lane',
			lane: lane?.id ?? 'none',
			zoneIds: ['f'],
			copies: block ? { [block.copies[0].id]: 'f' } : {}
		}),
		() => ({
			type: 'set-block',
			block: block?.id ?? 'none',
			set: { note: b % 2 ? 'n' : null, stopShare: (b % 9) / 10 }
		})
	];
	return at(choices, kind)();
}

/** Some edit that is likely to do harm: people away, twice or too few, other drills, zones and rungs. */
export function someHarm(on: Practice, { shelf, zoneById }: Context, [kind, a, b]: Choice): Edit {
	const blocks = on.periods.flatMap(({ lanes }) => lanes.flatMap((lane) => lane.blocks));
	const lanes = on.periods.flatMap((period) => period.lanes);
	const [block, lane, zone] = [at(blocks, a), at(lanes, a), at([...zoneById.keys()], b)];
	const [drill, other] = [at(shelf, b), at(on.expected, b)];
	const copies = (change: (players: string[]) => string[]): Edit => ({
		type: 'set-block',
		block: block?.id ?? 'none',
		set: {
			copies: (block?.copies ?? []).map(({ group: _group, ...copy }) => ({
				...copy,
				players: change(copy.players)
			}))
		}
	});
	const choices: (() => Edit)[] = [
		() => copies((players) => players.slice(1 + (b % 4))),
		() => copies((players) => [...new Set([...players, other])]),
		() => copies(() => on.expected),
		() => ({
			type: 'set-block',
			block: block?.id ?? 'none',
			set: { drill: { id: drill.id, revision: drill.revision ?? 1 }, climb: [{ minutes: 5 }] }
		}),
		() => ({
			type: 'set-block',
			block: block?.id ?? 'none',
			set: { climb: [{ minutes: 3 }, { rung: at(drill.rungs, a)?.id ?? 'none', minutes: 3 }] }
		}),
		() => ({
			type: 'place-lane',
			lane: lane?.id ?? 'none',
			zoneIds: [zone],
			copies: Object.fromEntries(
				(lane?.blocks ?? []).flatMap((each) => each.copies.map(({ id }) => [id, zone]))
			)
		}),
		() => ({ type: 'set-practice', set: { adults: on.adults.slice(1 + (b % 3)) } }),
		() => ({ type: 'set-practice', set: { expected: on.expected.slice(0, -(1 + (b % 5))) } }),
		() => ({
			type: 'set-block',
			block: block?.id ?? 'none',
			set: { lead: at(on.adults, b) ?? null, eyes: at(on.adults, b + a) ?? null }
		})
	];
	return at(choices, kind)();
}

/** Lists of choices, `most` at most, of as many kinds. */
export const someChoices = (most: number, kinds: number): fc.Arbitrary<Choice[]> =>
	fc.array(fc.tuple(fc.nat(kinds - 1), fc.nat(50), fc.nat(50)), {
		minLength: 1,
		maxLength: most
	});
