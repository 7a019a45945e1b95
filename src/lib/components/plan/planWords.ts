import { skillName, type SkillAreas } from '$core/model/skill';
import type { BriefReason, BrokenRule } from '$core/seasonPlan';
import texts from '$texts/plan';
import type { Message, Say } from '$words';
import type { Measures } from './planning';

/** What the words of a plan are made with. */
export interface Known {
	areas: SkillAreas;
	units?: readonly { id: string; name: string }[];
	/** Who is played, by day. */
	opponents?: ReadonlyMap<string, string>;
	drills: ReadonlyMap<string, { name: string; rungs: readonly { id: string; name: string }[] }>;
}

/** Why a drill is in a brief, in a line. */
export function whyWords(
	why: readonly BriefReason[] | string,
	{ areas, units = [], opponents }: Known,
	say: Say
): string {
	if (typeof why === 'string') return why;
	const unitName = (id: string | undefined) => units.find((unit) => unit.id === id)?.name ?? '';
	return why
		.map((reason) => {
			switch (reason.code) {
				case 'due':
					return say(texts.due, {
						name: skillName(reason.skill, areas),
						minutes: Math.round(reason.minutes),
						owed: Math.round(reason.owed),
						of: Math.round(reason.of),
						isOfUnit: reason.unit !== undefined,
						unitName: unitName(reason.unit)
					});
				case 'again':
					return say(texts.comesAgain, {
						name: skillName(reason.skill, areas),
						days: reason.days
					});
				case 'game':
					return say(texts.beforeGame, {
						count: reason.practices,
						opponentName: opponents?.get(reason.date) ?? ''
					});
				case 'daily':
					return say(texts.daily);
				case 'locked':
					return say(texts.locked);
				case 'rung':
					return say(texts.stepsUp);
				case 'filler':
					return say(texts.filler);
			}
		})
		.join(' · ');
}

/** What cannot be planned because nothing on the shelf trains it, in a sentence each. */
export const unmetWords = (
	unmet: Measures['unmet'],
	{ areas, units = [] }: Known,
	say: Say
): { skill: string; words: string }[] =>
	unmet.map(({ skill, unit, minutes }) => ({
		skill,
		words: say(texts.unmet, {
			minutes,
			name: skillName(skill, areas),
			isOfUnit: unit !== undefined,
			unitName: units.find((each) => each.id === unit)?.name ?? ''
		})
	}));

/** What each rule is called where it is broken. */
const RULES: Readonly<Record<BrokenRule['rule'], Message>> = {
	minutes: texts.ruleMinutes,
	twice: texts.ruleTwice,
	runs: texts.ruleRuns,
	rung: texts.ruleRung,
	needs: texts.ruleNeeds,
	daily: texts.ruleDaily,
	vary: texts.ruleVary,
	after: texts.ruleAfter,
	'contact-day': texts.ruleContactDay,
	'contact-week': texts.ruleContactWeek,
	'contact-ramp': texts.ruleContactRamp,
	'hard-days': texts.ruleHardDays,
	'game-eve': texts.ruleGameEve,
	often: texts.ruleOften,
	long: texts.ruleLong,
	eased: texts.ruleEased
};

/** A rule that is broken, in words. */
export const ruleWords = (rule: BrokenRule['rule'], say: Say): string => say(RULES[rule]);
