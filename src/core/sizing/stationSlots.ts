/**
 * Seconds of each slot when a period of `minutes` is cut for `slots` stations with `moveSeconds`
 * between them: whole seconds, rounded down, 0 where the moves alone take all the time.
 */
export function slotSeconds(
	minutes: number,
	{ slots, moveSeconds }: { slots: number; moveSeconds: number }
): number {
	return Math.max(0, Math.floor((minutes * 60 - (slots - 1) * moveSeconds) / slots));
}

/** Minutes of a slot that suit players of an age: shortest and longest. */
export interface SlotBounds {
	least: number;
	most: number;
}

/** The bounds of slots for a team whose youngest are `age`. Defaults of this application. */
export function slotBounds(age: number): SlotBounds {
	if (age < 7) return { least: 4, most: 6 };
	if (age < 9) return { least: 5, most: 8 };
	if (age < 12) return { least: 6, most: 12 };
	return { least: 6, most: 20 };
}

/** The most stations whose slots are not too short for the age in a period of `minutes`; at least 2. */
export function mostStations(
	minutes: number,
	{ age, moveSeconds }: { age: number; moveSeconds: number }
) {
	const least = slotBounds(age).least * 60;
	return Math.max(2, Math.floor((minutes * 60 + moveSeconds) / (least + moveSeconds)));
}
