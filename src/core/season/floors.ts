import { sum } from 'd3-array';
import { areaOf } from '../model/skill';
import type { Evaluation } from '../playing';
import { ledgerRows } from './ledger';

/** What a practice gives of a skill that every practice is to hold. */
export interface FloorHeld {
	skill: string;
	/** Minutes a player that are asked for. */
	minutes: number;
	/** Mean minutes of those who are expected. */
	got: number;
	/** The periods that give it, in order. */
	periods: { id: string; name: string; minutes: number }[];
}

const known = new WeakMap<Evaluation, FloorHeld[]>();

/** The floors of the season in a played practice, with the periods that give each; worked out once for each. */
export function floorsIn(evaluation: Evaluation): FloorHeld[] {
	const before = known.get(evaluation);
	if (before) return before;
	const floors = heldBy(evaluation);
	known.set(evaluation, floors);
	return floors;
}

function heldBy({ practice, ...evaluation }: Evaluation): FloorHeld[] {
	const { floors = [] } = evaluation.context.season;
	if (floors.length === 0) return [];
	const expected = new Set(practice.expected);
	const rows = ledgerRows({ practice, ...evaluation }).filter(({ player }) => expected.has(player));
	return floors.map(({ skill, minutes }) => {
		const own = rows.filter((row) => row.skill === skill || areaOf(row.skill) === skill);
		const mean = (of: typeof own) =>
			sum(of, ({ seconds }) => seconds) / 60 / Math.max(1, expected.size);
		return {
			skill,
			minutes,
			got: mean(own),
			periods: practice.periods.flatMap(({ id, name }) => {
				const given = mean(own.filter(({ period }) => period === id));
				return given > 0 ? [{ id, name, minutes: given }] : [];
			})
		};
	});
}
