import { daysBetween } from '$core/conditions';
import type { DueSkill } from '$core/season';
import type { Say } from '$words';
import texts from '$texts/season';
import { dayWords } from '../page/dates';

/** Why something is due on a day, in words: what is owed, how long it has rested, what asks for it, what a coach said. */
export function dueWords(due: DueSkill, say: Say, day: string): string {
	const { owedMinutes, gotMinutes, targetMinutes, parts, last, intervalDays, push } = due;
	const [owed, got, target] = [owedMinutes, gotMinutes, targetMinutes].map(Math.round);
	const minutes =
		target === 0
			? say(texts.noTarget, { got })
			: owed > 0
				? say(texts.owesOf, { owed, target })
				: say(texts.onTarget, { got, target });
	const rested =
		last === null
			? say(texts.neverYet)
			: say(texts.rested, {
					days: daysBetween(last, day),
					interval: Math.round(intervalDays)
				});
	const said =
		push &&
		{
			up: () => say(texts.pushedUp),
			off: () => say(texts.pushedOff),
			day: () => say(texts.pushedTo, { day: dayWords(push.day ?? '') })
		}[push.push]();
	return [
		minutes,
		rested,
		parts.fix > 0 ? say(texts.onFixList) : null,
		parts.seed > 0 ? say(texts.nextOpponent) : null,
		said
	]
		.filter(Boolean)
		.join(' · ');
}
