import { skillName, type SkillAreas } from '$core/model/skill';
import type { BriefReason, BrokenRule } from '$core/seasonPlan';
import texts from '$texts/plan';
import type { Message, Say } from '$words';

/** What the words of a plan are made with. */
export interface Known {
	areas: SkillAreas;
	drills: ReadonlyMap<string, { name: string; rungs: readonly { id: string; name: string }[] }>;
}

/** Why a drill is in a brief, in a line. */
export const whyWords = (why: readonly BriefReason[], { areas }: Known, say: Say): string =>
	why
		.map((reason) => {
			switch (reason.code) {
				case 'due':
					return say(texts.due, {
						name: skillName(reason.skill, areas),
						minutes: Math.round(reason.minutes)
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
	'game-eve': texts.ruleGameEve
};

/** A rule that is broken, in words. */
export const ruleWords = (rule: BrokenRule['rule'], say: Say): string => say(RULES[rule]);
