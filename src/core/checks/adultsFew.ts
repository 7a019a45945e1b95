import type { Adult, Limits, Team } from '../model/team';
import { adultPlaces } from '../drill';
import { overBlocks } from './blockRule';
import type { Finding, Rule } from './finding';
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

/** Fewer adults who may have them in charge are there than the youngest of so many players need. */
export const adultsFewThere: Rule = ({ practice, context }) => {
	const each = playersAnAdult(context.limits, context.team.ages.from);
	const needed = Math.ceil(practice.expected.length / each);
	const able = context.adults.filter((adult) => maySupervise(adult, context.team));
	const there = able.filter(({ id }) => practice.adults.includes(id)).length;
	if (there >= needed) return [];
	const others = able.map(({ id }) => id).filter((id) => !practice.adults.includes(id));
	const more = others.slice(0, needed - there);
	const fixes: Finding['fixes'] =
		more.length === needed - there
			? [{ type: 'set-practice', set: { adults: [...practice.adults, ...more] } }]
			: [{ type: 'set-practice', set: { expected: practice.expected.slice(0, there * each) } }];
	const values = { players: practice.expected.length, adults: there, needed, each };
	return [{ code: 'adults-few', severity: 'stop', at: {}, values, fixes }];
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
