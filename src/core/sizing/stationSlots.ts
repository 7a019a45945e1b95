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
