import type { Practice } from '../model/practice';
import type { Adult, Limits, Team } from '../model/team';
import { adultPlaces } from '../drill';
import { arrivesAt, type Edit } from '../practice';
import { overBlocks } from './blockRule';
import type { Rule } from './finding';
import { freeAdults } from './shared';

/** Players that an adult may have in charge at an age; Infinity where no limit is set. */
function playersAnAdult({ playersAnAdult: table }: Limits, age: number): number {
	const entry = [...table].sort((a, b) => a.under - b.under).find(({ under }) => age < under);
	return entry?.players ?? Infinity;
}

/** Whether an adult may have all players of a team's ages in charge. */
function maySupervise({ ages }: Adult, team: Pick<Team, 'ages'>): boolean {
	return !ages || (ages.from <= team.ages.from && ages.to >= team.ages.to);
}

/** How many of some people have come by a second. */
const comeBy = (practice: Practice, people: readonly string[], second: number) =>
	people.filter((id) => arrivesAt(practice, id) <= second).length;

/**
 * Fewer adults who may have them in charge are there than the youngest of so many players need: at the
 * start, or when somebody else has come. The first moment with the most that lack is told.
 */
export const adultsFewThere: Rule = ({ practice, context }) => {
	const each = playersAnAdult(context.limits, context.team.ages.from);
	const able = context.adults
		.filter((adult) => maySupervise(adult, context.team))
		.map(({ id }) => id);
	const there = able.filter((id) => practice.adults.includes(id));
	const arrivals = [...practice.expected, ...there].map((id) => arrivesAt(practice, id));
	const moments = [...new Set([0, ...arrivals])].sort((a, b) => a - b);
	const states = moments.map((second) => {
		const players = comeBy(practice, practice.expected, second);
		const adults = comeBy(practice, there, second);
		return { second, players, adults, needed: Math.ceil(players / each) };
	});
	const lacking = ({ needed, adults }: (typeof states)[number]) => needed - adults;
	const worst = states.reduce((most, state) => (lacking(state) > lacking(most) ? state : most));
	if (lacking(worst) <= 0) return [];
	const { second: _second, ...values } = worst;
	const until = states.find((state) => state.second > worst.second && lacking(state) <= 0)?.second;
	const others = able.filter((id) => !practice.adults.includes(id));
	const more = others.slice(0, lacking(worst));
	const fewer = practice.expected.slice(0, there.length * each);
	const adults: Edit = { type: 'set-practice', set: { adults: [...practice.adults, ...more] } };
	const players: Edit = { type: 'set-practice', set: { expected: fewer } };
	// Nobody is sent home because all come late, and a practice without players is none.
	const isEnough = more.length === lacking(worst);
	const isFewer = fewer.length > 0 && fewer.length < practice.expected.length;
	const fixes = isEnough ? [adults] : isFewer ? [players] : [];
	return [
		{
			code: 'adults-few',
			severity: 'stop',
			at: {},
			values: { ...values, each, ...(until !== undefined && { until }) },
			fixes
		}
	];
};

/** A copy has fewer adults than the drill needs. */
export const adultsFewAt = overBlocks({
	code: 'adults-few',
	severity: 'stop',
	find({ drill, runs }) {
		const needed = drill.coaches.min + adultPlaces(drill).always;
		const short = runs.find(({ run }) => run.players.length > 0 && run.adults.length < needed);
		if (!short) return null;
		const values = { adults: short.run.adults.length, needed };
		return { values, fromSecond: short.run.fromSecond };
	},
	accepts: ({ blockedBy }) => !blockedBy.includes('coaches'),
	proposals(played) {
		const { drill, runs } = played;
		const { block } = runs[0].run;
		const needed = drill.coaches.min + adultPlaces(drill).always;
		const free = freeAdults(played);
		const copies = block.copies.map((copy) => {
			const lacking = Math.max(0, needed - copy.adults.length);
			return lacking > 0 ? { ...copy, adults: [...copy.adults, ...free.splice(0, lacking)] } : copy;
		});
		return [{ type: 'set-block', block: block.id, set: { copies } }];
	}
});
