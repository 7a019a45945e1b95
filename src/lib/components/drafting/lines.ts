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
