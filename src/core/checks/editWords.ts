import { rollup } from 'd3-array';
import { assertNever } from '../base';
import { type Edit, type EditFailure, findBlock, findPeriod } from '../practice';
import type { Block, Copy, Period, Practice } from '../model/practice';
import { kept } from '../words';
import { inOwnWords, list, minutes, namesIn, percent, type Plan } from './speech';

/** What fitting changed from one state of a practice to the next: what dropped, and minutes before and after. */
export function describeFit(before: Practice, after: Practice): string {
	const minutesAfter = new Map(after.periods.map(({ id, minutes }) => [id, minutes]));
	const dropped = before.periods.filter(({ id }) => !minutesAfter.has(id)).map(({ name }) => name);
	const changed = before.periods.flatMap(({ id, name, minutes }) => {
		const next = minutesAfter.get(id);
		return next === undefined || next === minutes ? [] : [`${name} ${minutes} → ${next}`];
	});
	if (dropped.length + changed.length === 0) return 'Everything fits as it is.';
	const parts = [...changed, ...dropped.map((name) => `${name} dropped`)];
	return `Fitted: ${parts.join(', ')}.`;
}

type Arrange = Extract<Edit, { type: 'arrange-period' }>;

const blocksOf = (lanes: Arrange['lanes']): Block[] => lanes.flatMap(({ blocks }) => blocks);

/** What the inside of a period comes to: told by its slots, then its blocks, then its people. */
function describeArrange(edit: Arrange, plan: Plan): string {
	const period = findPeriod(plan.practice, edit.period);
	const name = namesIn(plan).period(edit.period);
	if (edit.slots && !period?.slots) return `Split ${name} into ${edit.lanes.length} stations`;
	if (!edit.slots && period?.slots) return `Take back the stations of ${name}`;
	const ofBlocks = describeBlocks(blocksOf(period?.lanes ?? []), blocksOf(edit.lanes), plan);
	if (ofBlocks) return ofBlocks;
	const isSameLanes = edit.lanes.length === period?.lanes.length;
	if (isSameLanes && JSON.stringify(edit.slots) !== JSON.stringify(period?.slots ?? null))
		return `Go through ${name} in another round`;
	return describePeople(period, edit, plan);
}

/** Blocks that were merged, cut, taken out or run in other copies; null where there is none. */
function describeBlocks(old: Block[], next: Block[], plan: Plan): string | null {
	const names = namesIn(plan);
	const before = new Map(old.map((block) => [block.id, block]));
	const gone = old.find(({ id }) => !next.some((block) => block.id === id));
	const isLonger = ({ id, minutes }: Block) => minutes > (before.get(id)?.minutes ?? minutes);
	if (gone && next.some(isLonger)) return `Merge the two parts of ${names.block(gone.id)}`;
	const added = next.find(({ id }) => !before.has(id));
	const cut = added && old.find(({ drill }) => drill?.id === added.drill?.id);
	if (cut && next.length === old.length + 1) return `Cut ${names.block(cut.id)} in two`;
	if (gone) return `Take ${names.block(gone.id)} out`;
	const recopied = next.find(({ id, copies }) => before.get(id)?.copies.length !== copies.length);
	if (!recopied) return null;
	const copies = recopied.copies.length;
	return `Run ${names.block(recopied.id)} in ${copies === 1 ? '1 copy' : `${copies} copies`}`;
}

/** Who is placed, taken out, or in other groups. */
function describePeople(period: Period | undefined, edit: Arrange, plan: Plan): string {
	const names = namesIn(plan);
	const name = names.period(edit.period);
	const [fewer, more] = changedPlaces(period, edit);
	if (more.length === 0 && fewer.length === 1) {
		const before = new Map(blocksOf(period?.lanes ?? []).map(({ id, copies }) => [id, copies]));
		const left = blocksOf(edit.lanes).find(
			({ id, copies }) => JSON.stringify(before.get(id)) !== JSON.stringify(copies)
		);
		return `Take ${names.player(fewer[0])} out of ${left ? names.block(left.id) : name}`;
	}
	if (fewer.length === 0 && more.length > 0)
		return `Place ${list(more.map(names.player))} in ${name}`;
	const members = (groups: Arrange['groups'] | undefined) =>
		JSON.stringify((groups ?? []).map(({ players }) => players));
	if (members(edit.groups) !== members(period?.groups)) return `Make new groups for ${name}`;
	return `Arrange ${name}`;
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

/** Several edits that are one step: told by what they add, remove and resize together. */
function describeAll(edits: Extract<Edit, { type: 'all' }>['edits'], plan: Plan): string {
	const names = namesIn(plan);
	const removed = edits.flatMap((edit) => (edit.type === 'remove-period' ? edit.period : []));
	const added = edits.flatMap((edit) => (edit.type === 'add-period' ? edit : []));
	const resized = edits.find((edit) => edit.type === 'set-minutes');
	const isByHand = edits.some(({ type }) => type === 'set-period');
	if (added.length > 0) return describeAdded(edits, plan);
	const [first] = Object.keys(resized?.periods ?? {});
	if (first && removed.length === 1 && isByHand)
		return `Merge ${names.period(removed[0])} into the one before`;
	const others = edits.filter(({ type }) => type !== 'set-minutes' && type !== 'set-period');
	if (others.length > 0 && removed.length === 0) {
		const said = editWords(others[0], plan);
		const more = others.length - 1;
		const made = more === 0 ? said : `${said}, and ${more} more`;
		return resized && !isByHand ? `${made}, within the time` : made;
	}
	if (!resized || isByHand) return editWords(resized ?? edits[0], plan);
	if (removed.length === 0) return 'Fit the periods to the time';
	return `Fit to the time, without ${removed.map(names.period).join(', ')}`;
}

/** Periods that are added, one of them the second half of another where that is cut. */
function describeAdded(edits: Extract<Edit, { type: 'all' }>['edits'], plan: Plan): string {
	const names = namesIn(plan);
	const added = edits.flatMap((edit) => (edit.type === 'add-period' ? edit : []));
	const byHand = edits.find(({ type }) => type === 'set-period');
	const cut = added.find(({ after, period }) => {
		const before = findPeriod(plan.practice, after ?? '');
		return byHand && before?.name === period.name && before.kind === period.kind;
	});
	const others = added.filter((edit) => edit !== cut);
	const isFitted = edits.some(({ type }) => type === 'set-minutes') && !byHand;
	if (cut) {
		const said = `Cut ${names.period(cut.after ?? '')} in two`;
		return others.length === 0
			? said
			: `${said}, with ${list(others.map(({ period }) => kept(period.name.toLowerCase())))} between`;
	}
	const said =
		others.length === 1
			? editWords(others[0], plan)
			: `Add ${kept(others[0].period.name)} ${others.length} times`;
	return isFitted ? `${said}, within the time` : said;
}

/** Who comes to a block's copies and who leaves them: adults, or players who change places. */
function describeCopies(id: string, copies: readonly Copy[], plan: Plan): string {
	const names = namesIn(plan);
	const block = names.block(id);
	const old = findBlock(plan.practice, id)?.block.copies ?? [];
	const adultsOf = (of: readonly Copy[]) => of.flatMap((copy) => copy.adults);
	const more = adultsOf(copies).filter((adult) => !adultsOf(old).includes(adult));
	const fewer = adultsOf(old).filter((adult) => !adultsOf(copies).includes(adult));
	if (more.length > 0)
		return `${list(more.map(names.adult))} ${more.length === 1 ? 'joins' : 'join'} ${block}`;
	if (fewer.length > 0) return `Free ${list(fewer.map(names.adult))} from ${block}`;
	const moved = copies.flatMap(({ players }, index) =>
		players.filter((player) => !old[index]?.players.includes(player))
	);
	if (moved.length === 2) return `Swap ${moved.map(names.player).join(' and ')} in ${block}`;
	return moved.length > 0 ? `Make new groups for ${block}` : `Change who is at ${block}`;
}

/** Why an edit does not apply, in a sentence. */
export function describeFailure(failure: EditFailure): string {
	switch (failure) {
		case 'no-such-period':
			return 'This period no longer exists.';
		case 'no-such-lane':
			return 'This lane no longer exists.';
		case 'no-such-block':
			return 'This block no longer exists.';
		case 'no-such-copy':
			return 'This copy no longer exists.';
		case 'no-such-group':
			return 'This group no longer exists.';
		case 'id-in-use':
			return 'It is in the practice already.';
		case 'no-climb':
			return 'A block needs at least one step.';
		default:
			return assertNever(failure);
	}
}

/** What an edit does, as the coach would say it, in the words of the team; `plan` is the practice before it. */
export const describeEdit = (edit: Edit, plan: Plan): string =>
	inOwnWords(editWords(edit, plan), plan);

function editWords(edit: Edit, plan: Plan): string {
	const names = namesIn(plan);
	switch (edit.type) {
		case 'set-practice': {
			const { set } = edit;
			if (set.minutes !== undefined) return `Make the practice ${minutes(set.minutes)}`;
			if (set.late !== undefined)
				return `Expect ${Object.keys(set.late ?? {}).length} to come late`;
			if (set.expected) return `Expect ${set.expected.length} players`;
			if (set.adults) {
				const more = set.adults.filter((id) => !plan.practice.adults.includes(id));
				return more.length > 0
					? `Ask ${list(more.map(names.adult))} to come`
					: `Plan with ${set.adults.length} adults`;
			}
			return 'Change date, start or place';
		}
		case 'add-period':
			return edit.after === null
				? `Add ${kept(edit.period.name)} at the start`
				: `Add ${kept(edit.period.name)} after ${names.period(edit.after)}`;
		case 'remove-period':
			return `Remove ${names.period(edit.period)}`;
		case 'move-period':
			return edit.after === null
				? `Move ${names.period(edit.period)} to the start`
				: `Move ${names.period(edit.period)} after ${names.period(edit.after)}`;
		case 'set-period':
			if (edit.set.moveSeconds != null) return `Give ${edit.set.moveSeconds} s to change stations`;
			if (edit.set.locked !== undefined)
				return `${edit.set.locked ? 'Lock' : 'Unlock'} the minutes of ${names.period(edit.period)}`;
			if (edit.set.name !== undefined)
				return `Call ${names.period(edit.period)} "${kept(edit.set.name)}"`;
			if (edit.set.note !== undefined)
				return `${edit.set.note ? 'Note on' : 'Take the note off'} ${names.period(edit.period)}`;
			return `Change ${names.period(edit.period)}`;
		case 'set-minutes': {
			const changed = Object.entries(edit.periods);
			if (changed.length === 1)
				return `Give ${names.period(changed[0][0])} ${minutes(changed[0][1])}`;
			return `Fit ${changed.length} periods`;
		}
		case 'arrange-period':
			return describeArrange(edit, plan);
		case 'place-lane': {
			const lane = plan.practice.periods
				.flatMap(({ lanes }) => lanes)
				.find(({ id }) => id === edit.lane);
			const block = lane?.blocks[0];
			const zones = edit.zoneIds.map(names.zone).join(', ');
			return `Move ${block ? names.block(block.id) : 'the lane'} to zone ${zones}`;
		}
		case 'set-block':
			if (edit.set.drill) return `Run ${names.drill(edit.set.drill.id)} instead`;
			if (edit.set.copies) return describeCopies(edit.block, edit.set.copies, plan);
			if (edit.set.lineup !== undefined)
				return `${edit.set.lineup ? 'Set' : 'Remove'} the line-up of ${names.block(edit.block)}`;
			if (edit.set.eyes)
				return `${names.adult(edit.set.eyes)} watches ${names.block(edit.block)} too`;
			if (edit.set.stopShare !== undefined)
				return `Stop ${names.block(edit.block)} for ${percent(edit.set.stopShare)} at most`;
			if (edit.set.climb) return `Change the rung of ${names.block(edit.block)}`;
			return `Change ${names.block(edit.block)}`;
		case 'all':
			return describeAll(edit.edits, plan);
		default:
			return assertNever(edit);
	}
}
