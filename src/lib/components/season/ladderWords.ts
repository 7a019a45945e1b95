import type { Drill } from '$core/model/drill';
import { ladderOf } from '$core/drill';
import type { LadderStanding, StepAdvice } from '$core/season';
import type { Say } from '$words';
import texts from '$texts/season';

/** The rungs of a drill as they are called, from the easiest to the hardest. */
export const rungNames = (drill: Drill, say: Say): string[] =>
	ladderOf(drill).map(
		(id) => drill.rungs.find((rung) => rung.id === id)?.name ?? say(texts.itself)
	);

/** What counted tries advise, with their evidence: "17 of 20: step up to Recover behind". */
export function adviceWords(
	{ advice, clean, tries, moreTries }: StepAdvice,
	{ names, at }: { names: readonly string[]; at: number },
	say: Say
): string {
	const counts = { clean, tries };
	const to = advice === 'up' ? names[at + 1] : names[at - 1];
	if (advice === 'up')
		return to === undefined
			? say(texts.top, counts)
			: say(texts.stepUp, { ...counts, rungName: to });
	if (advice === 'down')
		return to === undefined
			? say(texts.bottom, counts)
			: say(texts.stepDown, { ...counts, rungName: to });
	return moreTries === null
		? say(texts.staysSo, counts)
		: say(texts.moreTries, { ...counts, more: moreTries });
}

/** Where a ladder goes, in words: what a coach decided, else what was counted, and how it splits. */
export function standingWords(
	standing: LadderStanding,
	names: readonly string[],
	say: Say
): string {
	const { whole, each, isSplit, ruling, at } = standing;
	const count = (wanted: string) => each.filter(({ advice }) => advice === wanted).length;
	if (!whole) return say(texts.notCounted);
	if (ruling)
		return `${adviceWords(whole, { names, at }, say)} · ${say(texts.ruled, { chosen: ruling.chosen })}`;
	if (isSplit) return say(texts.split, { up: count('up'), down: count('down') });
	return adviceWords(whole, { names, at }, say);
}
