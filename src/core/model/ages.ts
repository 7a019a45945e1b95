import type { Drill } from './drill';

/** Years of age, both ends included. */
interface Span {
	from: number;
	to: number;
}

/** Whether a drill is for all players of a team, from the youngest to the oldest; one that names no ages is. */
export const suitsAges = ({ ages }: Pick<Drill, 'ages'>, team: Span): boolean =>
	!ages || (ages.from <= team.from && ages.to >= team.to);

/** The entry of a table by age that holds at an age: the first that is over it; undefined over them all. */
export const entryAt = <Entry extends { under: number }>(
	table: readonly Entry[],
	age: number
): Entry | undefined =>
	table.toSorted((a, b) => a.under - b.under).find(({ under }) => age < under);
