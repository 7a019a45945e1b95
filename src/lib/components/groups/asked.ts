import { splitEvenly, type Failure } from '$core/base';
import type { GroupInput, GroupMode } from '$core/grouping';
import { movingGroups } from '$core/building';
import type { Context } from '$core/practice';
import type { Group, Period } from '$core/model/practice';
import type { Meetings } from '$core/season';
import texts from '$texts/groups';
import type { Message, Say } from '$words';

/** What a coach wants of groups. */
export interface Wishes {
	mode: GroupMode;
	together: string[][];
	apart: string[][];
	/** Players who stay in the group where they are. */
	pinned: readonly string[];
	/** Whether each group is to have one who leads well. */
	leaders: boolean;
}

export const MODES: readonly { mode: GroupMode; name: Message; says: Message }[] = [
	{ mode: 'even', name: texts.even, says: texts.ratingsAndUnitsAlikeInEvery },
	{ mode: 'tiers', name: texts.byStrength, says: texts.theStrongestTogetherThenTheNext },
	{ mode: 'unit', name: texts.byUnit, says: texts.asFewUnitsInGroupAs },
	{ mode: 'fresh', name: texts.fresh, says: texts.playersWhoHaveBeenTogetherLeast }
];

/** The role of those who lead well. */
const LEADER = 'leader';

/** Groups of a period of which only those who come are dealt; who does not come stays where they are. */
export interface Dealt {
	groups: Group[];
	/** Those of each group who do not come. */
	absent: string[][];
}

/** The groups of a period that new ones are made of: of those who come. */
export function dealtGroups(period: Period, expected: ReadonlySet<string>): Dealt {
	const all = movingGroups(period);
	const split = (isHere: boolean) =>
		all.map(({ players }) => players.filter((id) => expected.has(id) === isHere));
	const here = split(true);
	return {
		groups: all.map((group, index) => ({ ...group, players: here[index] })),
		absent: split(false)
	};
}

/** Sizes of new groups: as they were where all come, else as even as those who come allow. */
function sizesOf({ groups, absent }: Dealt): number[] {
	const sizes = groups.map(({ players }) => players.length);
	const isSame = absent.every((ids) => ids.length === 0);
	const total = sizes.reduce((sum, size) => sum + size, 0);
	return isSame ? sizes : splitEvenly(total, sizes.length);
}

/** The question for new groups of those who come, with the wishes and what was before. */
export function askedGroups(
	dealt: Dealt,
	{ context, wishes, met }: { context: Context; wishes: Wishes; met: Meetings }
): GroupInput {
	const { groups } = dealt;
	const ids = new Set(groups.flatMap(({ players }) => players));
	const pins = groups.flatMap(({ players }, index) =>
		players.filter((id) => wishes.pinned.includes(id)).map((id) => [id, index] as const)
	);
	return {
		players: [...ids].map((id) => {
			const { unit, ratings, leads } = context.playerById.get(id) ?? {};
			return {
				id,
				...(unit && { unit }),
				...(ratings && { ratings }),
				...(leads && { roles: [LEADER] })
			};
		}),
		sizes: sizesOf(dealt),
		mode: wishes.mode,
		together: wishes.together,
		apart: wishes.apart,
		pins: Object.fromEntries(pins),
		...(wishes.leaders && { eachHas: [{ role: LEADER, min: 1 }] }),
		met: met.filter(([a, b]) => ids.has(a) && ids.has(b))
	};
}

/** Which wishes clash, as a coach calls them; empty where it is something else. */
export function clashWords(
	failure: Failure | null,
	{ together, apart }: Pick<Wishes, 'together' | 'apart'>,
	{ name, say }: { name: (id: string) => string; say: Say }
): string {
	if (failure?.code !== 'infeasible' || !failure.rules) return '';
	const words = failure.rules.map((rule) => {
		if (rule.rule === 'eachHas') return say(texts.eachGroupHasOneWhoLeads);
		if ('id' in rule) return say(texts.stays, { name: name(rule.id) });
		const pair = (rule.rule === 'together' ? together : apart)[rule.index] ?? [];
		const [one = '', other = ''] = pair.map(name);
		return say(rule.rule === 'together' ? texts.pairTogether : texts.pairApart, { one, other });
	});
	return say(texts.theseDoNotGoTogetherDrop, { rules: words.join('; ') });
}
