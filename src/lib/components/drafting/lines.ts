import type { Drill } from '$core/model/drill';

/** What the spots of a drill are called while it is written. */
export interface SpotCalling {
	nameOf: (key: string) => string;
	keyOf: (name: string) => string | undefined;
}

/** A number as it is typed, with a point or a comma; NaN for what is none. */
export const numberIn = (typed: string): number => Number(typed.trim().replace(',', '.') || NaN);

/** The lines of a text that say something. */
export const linesOf = (typed: string): string[] =>
	typed
		.split('\n')
		.map((line) => line.trim())
		.filter(Boolean);

/** A list of lines as a field of a drill: none where it is empty. */
export const listOf = (typed: string): string[] | undefined => {
	const lines = linesOf(typed);
	return lines.length > 0 ? lines : undefined;
};

const counted = (line: string): { count: number; item: string } => {
	const [, count, item] = /^(\d+(?:[.,]\d+)?)\s+(.*)$/.exec(line) ?? [line, '1', line];
	return { count: numberIn(count), item };
};

/** `1 goal`, of things that stand in the zone. */
export const fixturesText = ({ fixtures = [] }: Drill): string =>
	fixtures.map(({ item, count }) => `${count} ${item}`).join('\n');

export const fixturesIn = (typed: string): Drill['fixtures'] => listOf(typed)?.map(counted);

/** `1 keeper`, of roles that a copy must have. */
export const rolesText = ({ needsRole = [] }: Drill): string =>
	needsRole.map(({ role, count }) => `${count} ${role}`).join('\n');

export const rolesIn = (typed: string): Drill['needsRole'] =>
	listOf(typed)?.map((line) => {
		const { count, item } = counted(line);
		return { role: item, count };
	});

/** `what is seen > what to say > the rung that mends it`. */
export const faultsText = ({ faults = [], rungs }: Drill): string =>
	faults
		.map(({ seen, say, rung }) => {
			const name = rungs.find(({ id }) => id === rung)?.name ?? rung;
			return [seen, say, ...(name === undefined ? [] : [name])].join(' > ');
		})
		.join('\n');

export const faultsIn = (typed: string, { rungs }: Drill): Drill['faults'] =>
	listOf(typed)?.map((line) => {
		const [seen, say = '', name] = line.split('>').map((part) => part.trim());
		// What is no rung stays as it is typed, for the drill to be refused by it.
		const rung = rungs.find((each) => each.name === name)?.id ?? name;
		return { seen, say, ...(rung && { rung }) };
	});
