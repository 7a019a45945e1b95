import { rollup } from 'd3-array';
import texts from '$texts/edits';
import type { Message, Say } from '$words';
import { type Edit, type EditFailure, type EditOf, findBlock, findPeriod } from '../practice';
import type { Block, Copy, Period, Practice } from '../model/practice';
import { list, percent, telling, type Plan, type Telling } from './speech';

/** What fitting changed from one state of a practice to the next: what dropped, and minutes before and after. */
export function describeFit(before: Practice, after: Practice, say: Say): string {
	const minutesAfter = new Map(after.periods.map(({ id, minutes }) => [id, minutes]));
	const dropped = before.periods.filter(({ id }) => !minutesAfter.has(id));
	const changed = before.periods.flatMap(({ id, name, minutes }) => {
		const next = minutesAfter.get(id);
		return next === undefined || next === minutes ? [] : [{ name, from: minutes, to: next }];
	});
	if (dropped.length + changed.length === 0) return say(texts.everythingFits);
	const parts = [
		...changed.map((change) => say(texts.changedMinutes, change)),
		...dropped.map(({ name }) => say(texts.dropped, { name }))
	];
	return say(texts.fitted, { parts: parts.join(', ') });
}

type Arrange = EditOf<'arrange-period'>;

const blocksOf = (lanes: Arrange['lanes']): Block[] => lanes.flatMap(({ blocks }) => blocks);

/** What the inside of a period comes to: told by its slots, then its blocks, then its people. */
function arrangeWords(edit: Arrange, told: Telling): string {
	const { plan, names, say } = told;
	const period = findPeriod(plan.practice, edit.period);
	const name = names.period(edit.period);
	if (edit.slots && !period?.slots)
		return say(texts.splitIntoStations, { name, count: edit.lanes.length });
	if (!edit.slots && period?.slots) return say(texts.takeBackStations, { name });
	const ofBlocks = blockWords(blocksOf(period?.lanes ?? []), blocksOf(edit.lanes), told);
	if (ofBlocks) return ofBlocks;
	const isSameLanes = edit.lanes.length === period?.lanes.length;
	if (isSameLanes && JSON.stringify(edit.slots) !== JSON.stringify(period?.slots ?? null))
		return say(texts.otherRound, { name });
	return peopleWords(period, edit, told);
}

/** Blocks that were merged, cut, taken out or run in other copies; null where there is none. */
function blockWords(old: Block[], next: Block[], { names, say }: Telling): string | null {
	const before = new Map(old.map((block) => [block.id, block]));
	const gone = old.find(({ id }) => !next.some((block) => block.id === id));
	const isLonger = ({ id, minutes }: Block) => minutes > (before.get(id)?.minutes ?? minutes);
	if (gone && next.some(isLonger)) return say(texts.mergeParts, { name: names.block(gone.id) });
	const added = next.find(({ id }) => !before.has(id));
	const cut = added && old.find(({ drill }) => drill?.id === added.drill?.id);
	if (cut && next.length === old.length + 1)
		return say(texts.cutInTwo, { name: names.block(cut.id) });
	if (gone) return say(texts.takeBlockOut, { name: names.block(gone.id) });
	const recopied = next.find(({ id, copies }) => before.get(id)?.copies.length !== copies.length);
	if (!recopied) return null;
	const copies = recopied.copies.length;
	return say(texts.runInCopies, { name: names.block(recopied.id), copies });
}

/** Who is placed, taken out, or in other groups. */
function peopleWords(period: Period | undefined, edit: Arrange, { names, say }: Telling): string {
	const name = names.period(edit.period);
	const [fewer, more] = changedPlaces(period, edit);
	if (more.length === 0 && fewer.length === 1) {
		const before = new Map(blocksOf(period?.lanes ?? []).map(({ id, copies }) => [id, copies]));
		const left = blocksOf(edit.lanes).find(
			({ id, copies }) => JSON.stringify(before.get(id)) !== JSON.stringify(copies)
		);
		return say(texts.takeOutOf, {
			person: names.player(fewer[0]),
			name: left ? names.block(left.id) : name
		});
	}
	if (fewer.length === 0 && more.length > 0)
		return say(texts.placeIn, { people: list(more.map(names.player), say), name });
	const members = (groups: Arrange['groups'] | undefined) =>
		JSON.stringify((groups ?? []).map(({ players }) => players));
	const isRegrouped = members(edit.groups) !== members(period?.groups);
	return say(isRegrouped ? texts.newGroups : texts.arrange, { name });
}

/** Players who have fewer places in groups and copies after an edit, and those who have more. */
function changedPlaces(period: Period | undefined, edit: Arrange): [string[], string[]] {
	const placed = ({ lanes, groups }: Pick<Arrange, 'lanes' | 'groups'>) => [
		...(groups ?? []).flatMap(({ players }) => players),
		...lanes.flatMap(({ blocks }) =>
			blocks.flatMap(({ copies }) => copies.flatMap(({ players }) => players))
		)
	];
	const old = placed({ lanes: period?.lanes ?? [], groups: period?.groups ?? null });
	const next = placed(edit);
	const [before, after] = [old, next].map((ids) =>
		rollup(
			ids,
			(same) => same.length,
			(id) => id
		)
	);
	const gained = (id: string) => (after.get(id) ?? 0) - (before.get(id) ?? 0);
	const players = [...new Set([...old, ...next])];
	return [players.filter((id) => gained(id) < 0), players.filter((id) => gained(id) > 0)];
}

type Edits = EditOf<'all'>['edits'];

/** Several edits that are one step: told by what they add, remove and resize together. */
function allWords(edits: Edits, told: Telling): string {
	const { names, say } = told;
	const removed = edits.flatMap((edit) => (edit.type === 'remove-period' ? edit.period : []));
	const resized = edits.find((edit) => edit.type === 'set-minutes');
	const isByHand = edits.some(({ type }) => type === 'set-period');
	if (edits.some(({ type }) => type === 'add-period')) return addedWords(edits, told);
	const people = edits.find((edit) => edit.type === 'set-practice' && edit.set.expected);
	if (people) return say(texts.arrangeForHere);
	const [first] = Object.keys(resized?.periods ?? {});
	if (first && removed.length === 1 && isByHand)
		return say(texts.mergeIntoBefore, { name: names.period(removed[0]) });
	const others = edits.filter(({ type }) => type !== 'set-minutes' && type !== 'set-period');
	if (others.length > 0 && removed.length === 0) {
		const one = editWords(others[0], told);
		const more = others.length - 1;
		const said = more === 0 ? one : say(texts.andMore, { said: one, more });
		return resized && !isByHand ? say(texts.withinTheTime, { said }) : said;
	}
	if (!resized || isByHand) return editWords(resized ?? edits[0], told);
	if (removed.length === 0) return say(texts.fitToTime);
	return say(texts.fitWithout, { dropped: removed.map(names.period).join(', ') });
}

/** Periods that are added, one of them the second half of another where that is cut. */
function addedWords(edits: Edits, told: Telling): string {
	const { plan, names, say } = told;
	const added = edits.flatMap((edit) => (edit.type === 'add-period' ? edit : []));
	const byHand = edits.find(({ type }) => type === 'set-period');
	const cut = added.find(({ after, period }) => {
		const before = findPeriod(plan.practice, after ?? '');
		return byHand && before?.name === period.name && before.kind === period.kind;
	});
	const others = added.filter((edit) => edit !== cut);
	if (cut) {
		const name = names.period(cut.after ?? '');
		if (others.length === 0) return say(texts.cutInTwo, { name });
		const between = others.map(({ period }) => period.name.toLowerCase());
		return say(texts.cutWithBetween, { name, others: list(between, say) });
	}
	const said =
		others.length === 1
			? editWords(others[0], told)
			: say(texts.addTimes, { name: others[0].period.name, count: others.length });
	const isFitted = edits.some(({ type }) => type === 'set-minutes') && !byHand;
	return isFitted ? say(texts.withinTheTime, { said }) : said;
}

/** Who comes to a block's copies and who leaves them: adults, or players who change places. */
function copyWords(id: string, copies: readonly Copy[], { plan, names, say }: Telling): string {
	const name = names.block(id);
	const old = findBlock(plan.practice, id)?.block.copies ?? [];
	const adultsOf = (of: readonly Copy[]) => of.flatMap((copy) => copy.adults);
	const people = (ids: string[]) => list(ids.map(names.adult), say);
	const more = adultsOf(copies).filter((adult) => !adultsOf(old).includes(adult));
	const fewer = adultsOf(old).filter((adult) => !adultsOf(copies).includes(adult));
	if (more.length > 0) return say(texts.joins, { people: people(more), many: more.length, name });
	if (fewer.length > 0) return say(texts.free, { people: people(fewer), name });
	const moved = copies
		.flatMap(({ players }, index) =>
			players.filter((player) => !old[index]?.players.includes(player))
		)
		.map(names.player);
	if (moved.length === 2) return say(texts.swap, { one: moved[0], other: moved[1], name });
	return say(moved.length > 0 ? texts.newGroups : texts.changeWho, { name });
}

function practiceWords({ set }: EditOf<'set-practice'>, { plan, names, say }: Telling): string {
	const { start, minutes } = set;
	if (minutes !== undefined)
		return start === undefined
			? say(texts.practiceMinutes, { minutes })
			: say(texts.startFor, { start, minutes });
	if (set.late !== undefined)
		return say(texts.expectLate, { count: Object.keys(set.late ?? {}).length });
	if (set.expected) return say(texts.expect, { count: set.expected.length });
	if (!set.adults) return say(texts.whenAndWhere);
	const more = set.adults.filter((id) => !plan.practice.adults.includes(id));
	return more.length > 0
		? say(texts.askToCome, { people: list(more.map(names.adult), say) })
		: say(texts.planWithAdults, { count: set.adults.length });
}

function periodWords({ period, set }: EditOf<'set-period'>, { names, say }: Telling): string {
	const name = names.period(period);
	if (set.moveSeconds != null) return say(texts.moveSeconds, { seconds: set.moveSeconds });
	if (set.locked !== undefined) return say(set.locked ? texts.lock : texts.unlock, { name });
	if (set.name !== undefined) return say(texts.rename, { name, next: set.name });
	if (set.facing != null) return say(texts.turnTo, { name, facing: String(set.facing) });
	if (set.note !== undefined) return say(set.note ? texts.note : texts.noteOff, { name });
	return say(texts.change, { name });
}

function minutesWords({ periods }: EditOf<'set-minutes'>, { names, say }: Telling): string {
	const changed = Object.entries(periods);
	if (changed.length !== 1) return say(texts.fitPeriods, { count: changed.length });
	const [[period, minutes]] = changed;
	return say(texts.give, { name: names.period(period), minutes });
}

function laneWords({ lane, zoneIds }: EditOf<'place-lane'>, told: Telling): string {
	const { plan, names, say } = told;
	const lanes = plan.practice.periods.flatMap((period) => period.lanes);
	const block = lanes.find(({ id }) => id === lane)?.blocks[0];
	const where = zoneIds.map(names.zone).join(', ');
	return block
		? say(texts.moveToZone, { name: names.block(block.id), where })
		: say(texts.moveLaneToZone, { where });
}

function setBlockWords({ block, set }: EditOf<'set-block'>, told: Telling): string {
	const { names, say } = told;
	const name = names.block(block);
	if (set.drill) return say(texts.runInstead, { name: names.drill(set.drill.id) });
	if (set.copies) return copyWords(block, set.copies, told);
	if (set.lineup !== undefined)
		return say(set.lineup ? texts.setLineUp : texts.removeLineUp, { name });
	if (set.eyes) return say(texts.watches, { person: names.adult(set.eyes), name });
	if (set.stopShare !== undefined)
		return say(texts.stopAtMost, { name, share: percent(set.stopShare) });
	return say(set.climb ? texts.changeRung : texts.change, { name });
}

type Words = { [Kind in Edit['type']]: (edit: EditOf<Kind>, told: Telling) => string };

const WORDS: Words = {
	'set-practice': practiceWords,
	'add-period': ({ after, period: { name } }, { names, say }) =>
		after === null
			? say(texts.addAtStart, { name })
			: say(texts.addAfter, { name, before: names.period(after) }),
	'remove-period': ({ period }, { names, say }) =>
		say(texts.remove, { name: names.period(period) }),
	'move-period': ({ period, after }, { names, say }) =>
		after === null
			? say(texts.moveToStart, { name: names.period(period) })
			: say(texts.moveAfter, { name: names.period(period), before: names.period(after) }),
	'set-period': periodWords,
	'set-minutes': minutesWords,
	'arrange-period': arrangeWords,
	'place-lane': laneWords,
	'set-block': setBlockWords,
	all: ({ edits }, told) => allWords(edits, told)
};

function editWords(edit: Edit, told: Telling): string {
	// The type names the words that are for it.
	const words = WORDS[edit.type] as (edit: Edit, told: Telling) => string;
	return words(edit, told);
}

/** What an edit does, as the coach would say it, in the words of the team; `plan` is the practice before it. */
export const describeEdit = (edit: Edit, plan: Plan, say: Say): string =>
	editWords(edit, telling(plan, say));

const FAILURES: Record<EditFailure, Message> = {
	'no-such-period': texts.noSuchPeriod,
	'no-such-lane': texts.noSuchLane,
	'no-such-block': texts.noSuchBlock,
	'no-such-copy': texts.noSuchCopy,
	'no-such-group': texts.noSuchGroup,
	'id-in-use': texts.idInUse,
	'no-climb': texts.noClimb,
	'mixed-climb': texts.mixedClimb
};

/** Why an edit does not apply, in a sentence. */
export const describeFailure = (failure: EditFailure, say: Say): string => say(FAILURES[failure]);
