import { assertNever, fail, ok, type Result } from '../base';
import type { Block, Lane, Period, Practice } from '../model/practice';
import { arranging } from './arranging';
import type { Edit, EditOf } from './edit';
import { findBlock, findPeriod, idsIn, isOneKind } from './find';

/** Why an edit does not apply to a practice as it stands. */
export type EditFailure =
	| 'no-such-period'
	| 'no-such-lane'
	| 'no-such-block'
	| 'no-such-copy'
	| 'no-such-group'
	| 'id-in-use'
	| 'no-climb'
	| 'mixed-climb';

/** The practice after an edit, and the edit that takes it back. */
export interface Applied {
	practice: Practice;
	inverse: Edit;
}

type Applying = Result<Applied, EditFailure>;

/** Sets the given fields; null takes one away. Gives the new value and the set that takes it back. */
function assign<Item extends object>(item: Item, set: object): { item: Item; back: object } {
	const next = { ...item } as Record<string, unknown>;
	const back: Record<string, unknown> = {};
	for (const [key, value] of Object.entries(set)) {
		if (value === undefined) continue;
		back[key] = next[key] ?? null;
		if (value === null) delete next[key];
		else next[key] = value;
	}
	return { item: next as Item, back };
}

function replacePeriod(practice: Practice, id: string, next: Period): Practice {
	return {
		...practice,
		periods: practice.periods.map((period) => (period.id === id ? next : period))
	};
}

function mapLanes(practice: Practice, change: (lane: Lane) => Lane): Practice {
	const periods = practice.periods.map((period) => {
		const lanes = period.lanes.map(change);
		return lanes.every((lane, index) => lane === period.lanes[index])
			? period
			: { ...period, lanes };
	});
	return { ...practice, periods };
}

function mapBlocks(practice: Practice, change: (block: Block) => Block): Practice {
	return mapLanes(practice, (lane) => {
		const blocks = lane.blocks.map(change);
		return blocks.every((block, index) => block === lane.blocks[index])
			? lane
			: { ...lane, blocks };
	});
}

/** Where to insert behind `after`: 0 for null, -1 where that period is not there. */
function placeBehind(periods: readonly Period[], after: string | null): number {
	return after === null ? 0 : periods.findIndex(({ id }) => id === after) + 1 || -1;
}

const before = (periods: readonly Period[], index: number) => periods[index - 1]?.id ?? null;

function addPeriod(practice: Practice, { period, after }: EditOf<'add-period'>): Applying {
	const index = placeBehind(practice.periods, after);
	if (index < 0) return fail('no-such-period');
	const ids = idsIn(period);
	const taken = new Set(practice.periods.flatMap(idsIn));
	if (new Set(ids).size < ids.length || ids.some((id) => taken.has(id))) return fail('id-in-use');
	const fault = insideFault(period);
	if (fault) return fail(fault);
	return ok({
		practice: { ...practice, periods: practice.periods.toSpliced(index, 0, period) },
		inverse: { type: 'remove-period', period: period.id }
	});
}

function removePeriod(practice: Practice, id: string): Applying {
	const index = practice.periods.findIndex((period) => period.id === id);
	if (index < 0) return fail('no-such-period');
	return ok({
		practice: { ...practice, periods: practice.periods.toSpliced(index, 1) },
		inverse: {
			type: 'add-period',
			period: practice.periods[index],
			after: before(practice.periods, index)
		}
	});
}

function movePeriod(practice: Practice, { period: id, after }: EditOf<'move-period'>): Applying {
	const index = practice.periods.findIndex((period) => period.id === id);
	if (index < 0 || after === id) return fail('no-such-period');
	const others = practice.periods.toSpliced(index, 1);
	const place = placeBehind(others, after);
	if (place < 0) return fail('no-such-period');
	return ok({
		practice: { ...practice, periods: others.toSpliced(place, 0, practice.periods[index]) },
		inverse: { type: 'move-period', period: id, after: before(practice.periods, index) }
	});
}

function setPeriod(practice: Practice, { period: id, set }: EditOf<'set-period'>): Applying {
	const period = findPeriod(practice, id);
	if (!period) return fail('no-such-period');
	const { item, back } = assign(period, set);
	return ok({
		practice: replacePeriod(practice, id, item),
		inverse: { type: 'set-period', period: id, set: back }
	});
}

function setMinutes(practice: Practice, { periods, blocks }: EditOf<'set-minutes'>): Applying {
	const periodMinutes = new Map(Object.entries(periods));
	const blockMinutes = new Map(Object.entries(blocks));
	const back: EditOf<'set-minutes'> = { type: 'set-minutes', periods: {}, blocks: {} };
	const backPeriods: [string, number][] = [];
	const backBlocks: [string, number][] = [];
	for (const id of periodMinutes.keys()) {
		const period = findPeriod(practice, id);
		if (!period) return fail('no-such-period');
		backPeriods.push([id, period.minutes]);
	}
	for (const id of blockMinutes.keys()) {
		const found = findBlock(practice, id);
		if (!found) return fail('no-such-block');
		backBlocks.push([id, found.block.minutes]);
	}
	const withBlocks = mapBlocks(practice, (block) => {
		const minutes = blockMinutes.get(block.id);
		return minutes === undefined || minutes === block.minutes ? block : { ...block, minutes };
	});
	const next = {
		...withBlocks,
		periods: withBlocks.periods.map((period) => {
			const minutes = periodMinutes.get(period.id);
			return minutes === undefined || minutes === period.minutes ? period : { ...period, minutes };
		})
	};
	return ok({
		practice: next,
		inverse: {
			...back,
			periods: Object.fromEntries(backPeriods),
			blocks: Object.fromEntries(backBlocks)
		}
	});
}

/** What is wrong inside a period: a copy or a slot that names what is not there, a block without steps. */
function insideFault({ groups, slots, lanes }: Period): EditFailure | null {
	const groupIds = new Set((groups ?? []).map(({ id }) => id));
	const laneIds = new Set(lanes.map(({ id }) => id));
	for (const { blocks } of lanes)
		for (const { copies, climb } of blocks) {
			const climbs = [climb, ...copies.flatMap((copy) => (copy.climb ? [copy.climb] : []))];
			if (climbs.some((steps) => steps.length === 0)) return 'no-climb';
			if (climbs.some((steps) => !isOneKind(steps))) return 'mixed-climb';
			if (copies.some(({ group }) => group !== undefined && !groupIds.has(group)))
				return 'no-such-group';
		}
	for (const slot of slots ?? [])
		for (const [lane, ids] of Object.entries(slot)) {
			if (!laneIds.has(lane)) return 'no-such-lane';
			if (ids.some((id) => !groupIds.has(id))) return 'no-such-group';
		}
	return null;
}

function arrangePeriod(practice: Practice, edit: EditOf<'arrange-period'>): Applying {
	const period = findPeriod(practice, edit.period);
	if (!period) return fail('no-such-period');
	const { kind, lanes, groups, slots, moveSeconds } = edit;
	const { item: next } = assign(period, { kind, lanes, groups, slots, moveSeconds });
	const ids = idsIn(next);
	const elsewhere = new Set(practice.periods.filter((other) => other !== period).flatMap(idsIn));
	if (new Set(ids).size < ids.length || ids.some((id) => elsewhere.has(id)))
		return fail('id-in-use');
	const fault = insideFault(next);
	if (fault) return fail(fault);
	return ok({
		practice: replacePeriod(practice, period.id, next),
		inverse: arranging(period)
	});
}

function placeLane(
	practice: Practice,
	{ lane: id, zoneIds, copies }: EditOf<'place-lane'>
): Applying {
	const lane = practice.periods.flatMap(({ lanes }) => lanes).find((each) => each.id === id);
	if (!lane) return fail('no-such-lane');
	const zoneOf = new Map(Object.entries(copies));
	const own = lane.blocks.flatMap((block) => block.copies);
	const known = new Set(own.map((copy) => copy.id));
	if ([...zoneOf.keys()].some((copy) => !known.has(copy))) return fail('no-such-copy');
	const moved: Lane = {
		...lane,
		zoneIds,
		blocks: lane.blocks.map((block) => ({
			...block,
			copies: block.copies.map((copy) => ({ ...copy, zoneId: zoneOf.get(copy.id) ?? copy.zoneId }))
		}))
	};
	const back = own.filter((copy) => zoneOf.has(copy.id)).map((copy) => [copy.id, copy.zoneId]);
	return ok({
		practice: mapLanes(practice, (each) => (each === lane ? moved : each)),
		inverse: {
			type: 'place-lane',
			lane: id,
			zoneIds: lane.zoneIds,
			copies: Object.fromEntries(back)
		}
	});
}

function setBlock(practice: Practice, { block: id, set }: EditOf<'set-block'>): Applying {
	const found = findBlock(practice, id);
	if (!found) return fail('no-such-block');
	const { item, back } = assign(found.block, set);
	const next = mapBlocks(practice, (block) => (block === found.block ? item : block));
	const fault = insideFault(findPeriod(next, found.period.id) as Period);
	if (fault) return fail(fault);
	const ids = idsIn(findPeriod(next, found.period.id) as Period);
	if (new Set(ids).size < ids.length) return fail('id-in-use');
	return ok({ practice: next, inverse: { type: 'set-block', block: id, set: back } });
}

function applyAll(practice: Practice, { edits }: EditOf<'all'>): Applying {
	let current = practice;
	const inverses: EditOf<'all'>['edits'] = [];
	for (const edit of edits) {
		const applied = applyEdit(current, edit);
		if (!applied.ok) return applied;
		current = applied.value.practice;
		inverses.unshift(applied.value.inverse as EditOf<'all'>['edits'][number]);
	}
	return ok({ practice: current, inverse: { type: 'all', edits: inverses } });
}

/**
 * The practice after an edit and the edit that takes it back, or why it does not apply; the given
 * practice is never changed. Applying the inverse to the result gives the practice as it was.
 */
export function applyEdit(practice: Practice, edit: Edit): Applying {
	switch (edit.type) {
		case 'set-practice': {
			const { item, back } = assign(practice, edit.set);
			return ok({ practice: item, inverse: { type: 'set-practice', set: back } });
		}
		case 'add-period':
			return addPeriod(practice, edit);
		case 'remove-period':
			return removePeriod(practice, edit.period);
		case 'move-period':
			return movePeriod(practice, edit);
		case 'set-period':
			return setPeriod(practice, edit);
		case 'set-minutes':
			return setMinutes(practice, edit);
		case 'arrange-period':
			return arrangePeriod(practice, edit);
		case 'place-lane':
			return placeLane(practice, edit);
		case 'set-block':
			return setBlock(practice, edit);
		case 'all':
			return applyAll(practice, edit);
		default:
			return assertNever(edit);
	}
}
