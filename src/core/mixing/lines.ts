import { fieldsOf, inFields } from '../base';

/** Groups of players by session: numbers of the players. */
export type Sessions = number[][][];

/** A round robin of pairs: one player stays, the others turn; everyone meets everyone once. */
function roundRobin(groups: number): Sessions {
	const turning = groups * 2 - 1;
	return Array.from({ length: turning }, (_, session) =>
		Array.from({ length: groups }, (_, k) =>
			k === 0 ? [turning, session] : [(session + k) % turning, (session + turning - k) % turning]
		)
	);
}

/**
 * Sessions of `groups` groups of `size` in which no two players meet twice, from the lines of a plane: players
 * are the points of `size` columns of `groups` points each, groups the lines with one point in each column, and
 * sessions their directions. Columns that are as long as some groups are divided into groups of their own in
 * more sessions. For pairs a round robin. Few sessions where no field gives more.
 *
 * Affine planes and orthogonal Latin squares: R. C. Bose, 1938; H. F. MacNeish, 1922.
 */
export function fromLines(groups: number, size: number): Sessions {
	if (size === 2) return roundRobin(groups);
	const everybody = Array.from({ length: groups * size }, (_, player) => player);
	if (groups === 1) return [[everybody]];
	const fields = fieldsOf(groups);
	if (!fields || fields.some((field) => field.size < size)) {
		const session = Array.from({ length: groups }, (_, group) =>
			everybody.slice(group * size, (group + 1) * size)
		);
		return [session];
	}
	const { digits, number } = inFields(fields);
	const pointOn = (column: number, slope: number, start: number): number => {
		const [m, b] = [digits(slope), digits(start)];
		// The same element of every field: two columns differ in all of them.
		const at = fields.map(({ add, multiply }, k) => add(multiply(m[k], column), b[k]));
		return column * groups + number(at);
	};
	const all = Array.from({ length: groups }, (_, k) => k);
	const columns = Array.from({ length: size }, (_, column) => column);
	const sessions = all.map((slope) =>
		all.map((start) => columns.map((column) => pointOn(column, slope, start)))
	);
	if (groups % size !== 0) return sessions;
	const within = fromLines(groups / size, size);
	return [
		...sessions,
		...within.map((session) =>
			columns.flatMap((column) =>
				session.map((group) => group.map((player) => column * groups + player))
			)
		)
	];
}
