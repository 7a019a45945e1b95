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
	/** Whether each group is to have one of each unit. */
	units: boolean;
}

export const MODES: readonly { mode: GroupMode; name: Message; says: Message }[] = [
	{ mode: 'even', name: texts.even, says: texts.ratingsAndUnitsAlikeInEvery },
	{ mode: 'tiers', name: texts.byStrength, says: texts.theStrongestTogetherThenTheNext },
	{ mode: 'unit', name: texts.byUnit, says: texts.asFewUnitsInGroupAs },
	{ mode: 'fresh', name: texts.fresh, says: texts.playersWhoHaveBeenTogetherLeast },
	{ mode: 'match', name: texts.neighbours, says: texts.whoPlaySideBySide }
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

/** The units of those who come, with whether there is one of each for every group. */
export function unitsHere({ groups }: Dealt, { playerById, team }: Context) {
	const here = groups.flatMap(({ players }) => players.map((id) => playerById.get(id)?.unit));
	const counted = team.units.map((unit) => ({
		...unit,
		count: here.filter((id) => id === unit.id).length
	}));
	return counted
		.filter(({ count }) => count > 0)
		.map(({ id, name, count }) => ({ id, name, isEnough: count >= groups.length }));
}

/** What each group is to have: one who leads, and one of each unit that is large enough. */
function needsOf({ leaders, units }: Wishes, dealt: Dealt, context: Context) {
	const enough = units ? unitsHere(dealt, context).filter(({ isEnough }) => isEnough) : [];
	return [
		...(leaders ? [{ role: LEADER, min: 1 }] : []),
		...enough.map(({ id }) => ({ unit: id, min: 1 }))
	];
}

/**
 * Where players play in a game, by id: the middle of the places that the team's line-up has for the first
 * of their positions; who has none in it is left out.
 */
function placesOf(ids: readonly string[], { playerById, team }: Context): GroupInput['places'] {
	const { positions = [], places = [] } = team;
	const at = new Map(
		[...new Set(positions)].map((position) => {
			const own = places.filter((_, index) => positions[index] === position);
			const middle = (axis: 0 | 1) => own.reduce((sum, place) => sum + place[axis], 0) / own.length;
			return [position, { x: middle(0), y: middle(1) }];
		})
	);
	return Object.fromEntries(
		ids.flatMap((id) => {
			const first = playerById.get(id)?.positions?.find((position) => at.has(position));
			const place = first === undefined ? undefined : at.get(first);
			return place && Number.isFinite(place.x + place.y) ? [[id, place]] : [];
		})
	);
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
		eachHas: needsOf(wishes, dealt, context),
		...(wishes.mode === 'match' && { places: placesOf([...ids], context) }),
		met: met.filter(([a, b]) => ids.has(a) && ids.has(b))
	};
}

/** Which wishes clash, as a coach calls them; empty where it is something else. */
export function clashWords(
	failure: Failure | null,
	{ together, apart }: Pick<Wishes, 'together' | 'apart'>,
	{
		name,
		unitName,
		input,
		say
	}: {
		name: (id: string) => string;
		unitName: (id: string) => string;
		input?: GroupInput;
		say: Say;
	}
): string {
	if (failure?.code !== 'infeasible' || !failure.rules) return '';
	const words = failure.rules.map((rule) => {
		if ('id' in rule) return say(texts.stays, { name: name(rule.id) });
		if (rule.rule === 'eachHas') {
			const unit = input?.eachHas?.[rule.index]?.unit;
			return unit === undefined
				? say(texts.eachGroupHasOneWhoLeads)
				: say(texts.eachGroupHasOneOf, { unitName: unitName(unit) });
		}
		const pair = (rule.rule === 'together' ? together : apart)[rule.index] ?? [];
		const [one = '', other = ''] = pair.map(name);
		return say(rule.rule === 'together' ? texts.pairTogether : texts.pairApart, { one, other });
	});
	return say(texts.theseDoNotGoTogetherDrop, { rules: words.join('; ') });
}
