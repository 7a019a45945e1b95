import {
	draftEdit,
	type Alternative,
	type DraftNames,
	type Reason,
	type Undone,
	type Unlike
} from '$core/draft';
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

/** What was asked of a draft and is not in it, in a sentence. */
export function undoneWords(
	{ what, drill, skill, because }: Undone,
	{ team, shelf }: { team: Pick<Team, 'skillAreas'>; shelf: readonly Drill[] },
	say: Say
): string {
	const name =
		skill === undefined
			? (shelf.find(({ id }) => id === drill)?.name ?? '')
			: skillName(skill, team.skillAreas);
	// A code in a text has no hyphen.
	return say(texts.undone, {
		...{ what, name },
		because: because === 'game-near' ? 'gameNear' : because
	});
}

/** How a draft differs from the first, in a line. */
export function unlikeWords(unlike: Unlike, team: Pick<Team, 'skillAreas'>, say: Say): string {
	switch (unlike.code) {
		case 'most-due':
			return say(texts.best);
		case 'skill': {
			const { skill, minutes } = unlike;
			return say(texts.moreOf, { minutes, name: skillName(skill, team.skillAreas) });
		}
		case 'stations':
			return say(texts.hasStations);
		case 'no-stations':
			return say(texts.hasNone);
		case 'drills':
			return say(texts.moreDrills, { count: unlike.drills });
		case 'busy':
			return say(texts.busier, { share: percent(unlike.share) });
		case 'other':
			return say(texts.others, { minutes: unlike.minutes });
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
