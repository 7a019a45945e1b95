import { entryAt } from '../model/ages';
import type { Practice } from '../model/practice';
import type { Limits } from '../model/limits';
import { adultPlaces } from '../drill';
import { weekdayOf } from '../conditions';
import { arrivesAt, maySupervise } from '../playing';
import { overBlocks } from './blockRule';
import type { Rule, Values } from './finding';
import { freeAdults } from './shared';

/** Players that an adult may have in charge at an age; Infinity where no limit is set. */
function playersAnAdult({ playersAnAdult: table }: Limits, age: number): number {
	return entryAt(table, age)?.players ?? Infinity;
}

/** How many of some people have come by a second. */
const comeBy = (practice: Practice, people: readonly string[], second: number) =>
	people.filter((id) => arrivesAt(practice, id) <= second).length;

/** How many adults are too few; 0 where it is not their number that is wrong. */
const lacking = (values: Values['adults-few']): number =>
	'needed' in values ? values.needed - values.adults : 0;

/**
 * Fewer adults who may have them in charge are there than the youngest of so many players need: at the
 * start, or when somebody else has come. The first moment with the most that lack is told.
 */
export const adultsFewThere: Rule<'adults-few'> = {
	find({ practice, context }) {
		const each = playersAnAdult(context.limits, context.team.ages.from);
		const there = practice.adults.filter((id) => maySupervise(id, context));
		const arrivals = [...practice.expected, ...there].map((id) => arrivesAt(practice, id));
		const moments = [...new Set([0, ...arrivals])].sort((a, b) => a - b);
		const states = moments.map((second) => {
			const players = comeBy(practice, practice.expected, second);
			const adults = comeBy(practice, there, second);
			return { second, players, adults, needed: Math.ceil(players / each) };
		});
		const worst = states.reduce((most, state) => (lacking(state) > lacking(most) ? state : most));
		if (lacking(worst) <= 0) return [];
		const { second: _second, ...values } = worst;
		const until = states.find(
			(state) => state.second > worst.second && lacking(state) <= 0
		)?.second;
		return [
			{
				code: 'adults-few',
				severity: 'stop',
				at: {},
				values: { ...values, each, ...(until !== undefined && { until }) }
			}
		];
	},
	weigh: ({ values }) => lacking(values),
	/** Who usually comes on this weekday and is not there is asked; nobody is sent home. */
	*propose({ practice, context }, { values }) {
		const weekday = weekdayOf(practice.date);
		const others = context.adults.filter(
			(adult) =>
				maySupervise(adult.id, context) &&
				!practice.adults.includes(adult.id) &&
				(!adult.days || adult.days.includes(weekday))
		);
		const more = others.slice(0, lacking(values));
		const adults = [...practice.adults, ...more.map(({ id }) => id)];
		if (more.length > 0) yield { type: 'set-practice', set: { adults } };
	}
};

/** A copy has fewer adults than the drill needs on one of its rungs. */
export const adultsFewAt = overBlocks({
	code: 'adults-few',
	severity: 'stop',
	find({ steps }) {
		for (const { run, drill, fromSecond } of steps) {
			const needed = drill.coaches.min + adultPlaces(drill).always;
			if (run.players.length === 0 || run.adults.length >= needed) continue;
			return { values: { adults: run.adults.length, needed }, fromSecond };
		}
		return null;
	},
	cause: () => 'blocks',
	weigh: ({ values }) => lacking(values),
	accepts: ({ blockedBy }) => !blockedBy.includes('coaches'),
	*propose(played) {
		const { block } = played.runs[0].run;
		const needed = Math.max(
			...played.steps.map(({ drill }) => drill.coaches.min + adultPlaces(drill).always)
		);
		const free = freeAdults(played);
		const copies = block.copies.map((copy) => {
			const lacking = Math.max(0, needed - copy.adults.length);
			return lacking > 0 ? { ...copy, adults: [...copy.adults, ...free.splice(0, lacking)] } : copy;
		});
		yield { type: 'set-block', block: block.id, set: { copies } };
	}
});
