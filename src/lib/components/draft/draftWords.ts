import { draftEdit, type Alternative, type DraftNames, type Reason } from '$core/draft';
import type { Drill } from '$core/model/drill';
import { skillName } from '$core/model/skill';
import type { Team } from '$core/model/team';
import { drillOf, type Edit, type Plan } from '$core/practice';
import texts from '$texts/draft';
import type { Say } from '$words';
import { percent } from '../tape/words';

/** Why a block is in a draft, in words: "Passing, 8 min". `drill` is what it runs. */
export function reasonWords(
	reason: Reason,
	{ team, drill }: { team: Pick<Team, 'skillAreas' | 'units'>; drill: Drill | undefined },
	say: Say
): string {
	switch (reason.code) {
		case 'due':
			return say(texts.due, {
				name: skillName(reason.skill, team.skillAreas),
				minutes: Math.round(reason.minutes)
			});
		case 'daily':
			return say(texts.daily);
		case 'warm-up':
			return say(texts.warmUp);
		case 'cool-down':
			return say(texts.coolDown);
		case 'game':
			return say(texts.game);
		case 'brief':
			return say(texts.brief);
		case 'busy':
			return say(texts.busy, { share: percent(reason.share) });
		case 'ladder':
			return say(texts.ladder, {
				name: drill?.rungs.find(({ id }) => id === reason.rung)?.name ?? reason.rung
			});
		case 'unit':
			return say(texts.ofUnit, {
				name: team.units.find(({ id }) => id === reason.unit)?.name ?? reason.unit
			});
	}
}

/** What the periods of a draft are called. */
export const draftNames = (say: Say): DraftNames => ({
	...{ water: say(texts.water), talk: say(texts.talk) },
	...{ stations: say(texts.stations), units: say(texts.units) }
});

/** The edit that takes a draft, with why each of its blocks is there in words. */
export const usedDraft = ({ practice, context }: Plan, draft: Alternative, say: Say): Edit =>
	draftEdit(practice, draft, ({ id, drill }) =>
		(draft.why[id] ?? [])
			.map((reason) =>
				reasonWords(reason, { team: context.team, drill: drillOf(context, drill) }, say)
			)
			.join(' · ')
	);
