import { rollup } from 'd3-array';
import { areaOf } from '../model/skill';
import { assertNever } from '../base';
import { drillOf, findBlock, findPeriod, type Edit, type Evaluation } from '../practice';
import type { Block, Copy, Period, Practice } from '../model/practice';
import { kept, reworded, wordingOf } from '../words';
import type { Finding } from './finding';

type Plan = Pick<Evaluation, 'practice' | 'context'>;

const percent = (share: unknown) => `${Math.round(Number(share) * 100)} %`;
const minutes = (count: number) => (count === 1 ? '1 minute' : `${count} minutes`);
const list = (names: readonly string[]) =>
	names.length > 3
		? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`
		: names.join(', ');

/** Minutes and seconds from the start of the practice, `0:54`. */
export function offset(second: number): string {
	const whole = Math.round(second);
	return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** Names for ids, as the coach knows them; an unknown id is shown as it is. */
function namesIn({ practice, context }: Plan) {
	const block = (id: unknown) => {
		const found = findBlock(practice, String(id));
		const drill = found && drillOf(context, found.block.drill);
		return drill?.name ?? found?.period.name ?? String(id);
	};
	const named = (name: string | undefined, id: string) => kept(name ?? id);
	return {
		block: (id: unknown) => kept(block(id)),
		period: (id: string) => named(findPeriod(practice, id)?.name, id),
		zone: (id: string) => named(context.zoneById.get(id)?.name, id),
		player: (id: string) => named(context.playerById.get(id)?.name, id),
		adult: (id: string) => named(context.adultById.get(id)?.name, id),
		unit: (id: string) => named(context.team.units.find((unit) => unit.id === id)?.name, id),
		skill: (id: string) =>
			named(context.team.skillAreas.find((area) => area.id === areaOf(id))?.name, id),
		drill: (id: string) => named(context.shelf.find((drill) => drill.id === id)?.name, id)
	};
}

/** A text with its team's own words. */
const inOwnWords = (text: string, { context }: Plan) =>
	reworded(text, wordingOf(context.team.words));

/** A finding in one plain sentence, in the words of the team. */
export const describeFinding = (finding: Finding, plan: Plan): string =>
	inOwnWords(findingWords(finding, plan), plan);

function findingWords(finding: Finding, plan: Plan): string {
	const { code, at, values } = finding;
	const names = namesIn(plan);
	const numbers = (key: string) => Number(values[key]);
	const clash = () => {
		const [first, second] = [names.block(values.first), names.block(values.second)];
		return first === second ? `two blocks of ${first}` : `${first} and in ${second}`;
	};
	switch (code) {
		case 'player-twice':
			return `${names.player(at.player ?? '')} is in ${clash()} at ${offset(numbers('atSecond'))}.`;
		case 'adult-twice':
			return `${names.adult(at.adult ?? '')} is asked for in ${clash()} at ${offset(numbers('atSecond'))}.`;
		case 'zone-twice':
			return `Zone ${names.zone(at.zone ?? '')} holds ${names.block(values.first)} and ${names.block(values.second)} from ${offset(numbers('fromSecond'))} to ${offset(numbers('toSecond'))}.`;
		case 'zone-gone':
			return `${names.block(at.block)} stands in a zone that this ground does not have; move it to another.`;
		case 'group-size':
			return `${names.block(at.block)} takes ${values.min} to ${values.max} players; a group has ${values.players}.`;
		case 'too-few-players':
			return `${names.block(at.block)} cannot run: ${values.reason}.`;
		case 'block-empty':
			return at.block
				? `${names.block(at.block)} has nobody or no drill.`
				: `${kept(String(values.name))} has no drill yet.`;
		case 'player-unplaced':
			return `${list((values.players as string[]).map(names.player))} ${(values.players as string[]).length === 1 ? 'has' : 'have'} no place in ${names.period(at.period ?? '')}.`;
		case 'over-time':
			return `The periods take ${minutes(numbers('planned'))}: ${numbers('overMinutes')} over the ${numbers('minutes')} there are.`;
		case 'under-time':
			return `${minutes(numbers('spareMinutes'))} of ${numbers('minutes')} are not used yet.`;
		case 'no-warm-up':
			return `${names.block(at.block)} is hard work (effort ${values.effort}) after ${minutes(numbers('minutes'))} of warm-up; ${numbers('needed')} are set.`;
		case 'waiting':
			return `In ${names.block(at.block)} ${values.players} wait ${percent(values.waitShare)} of the time, up to ${Math.round(numbers('longestWaitSeconds'))} s at a stretch.`;
		case 'move-short':
			return `${names.period(at.period ?? '')} leaves ${values.moveSeconds} s to change stations; ${values.metres} m take ${values.needed} s.`;
		case 'slot-length':
			return `Slots of ${offset(numbers('minutes') * 60)} min in ${names.period(at.period ?? '')}: ${values.least} to ${values.most} suit this age.`;
		case 'talk-long':
			return `${names.period(at.period ?? '')} lasts ${minutes(numbers('minutes'))}; players listen for ${numbers('limit')}.`;
		case 'hard-after-hard':
			return `${kept(String(values.first))} (effort ${values.effort}) and ${kept(String(values.second))} (effort ${values.nextEffort}) follow each other without a rest.`;
		case 'kit-short':
			return `${names.block(at.block)} and what runs beside it need ${values.needed} × ${values.item}; there are ${values.has}.`;
		case 'fixture-short':
			return `${names.block(at.block)} needs ${(values.items as string[]).join(', ')} a copy; zone ${names.zone(String(values.zone))} serves ${values.serves} of ${values.copies}.`;
		case 'role-missing':
			return `${names.block(at.block)} needs ${values.count} × ${names.unit(String(values.role))} in each group; one has ${values.has}.`;
		case 'adults-few':
			return at.block
				? `${names.block(at.block)} needs ${values.needed} adults with each copy; one has ${values.adults}.`
				: `${values.players} players of this age need ${values.needed} adults who may have them in charge (one for ${values.each}); ${values.adults} are there.`;
		case 'restricted-player':
			return `${names.player(at.player ?? '')} is kept out of ${values.from}${values.until ? ` until ${values.until}` : ''} by ${values.setBy}, and is in ${names.block(at.block)}.`;
		case 'contact-day':
			return `With ${names.block(at.block)} a player has ${minutes(numbers('minutes'))} of hard contact today; ${numbers('limit')} are set.`;
		case 'water-gap':
			return `${minutes(numbers('minutes'))} without water from ${offset(at.fromSecond ?? 0)}; ${numbers('limit')} are set.`;
		case 'stop-long':
			return `${names.block(at.block)} is stopped for ${percent(values.stopShare)} of its time; ${percent(values.limit)} are set.`;
		case 'second-eyes':
			return `${names.block(at.block)} is live and nobody else watches it; ${names.adult(String(values.adult))} is free.`;
		case 'like-partners':
			return `${names.block(at.block)} is for players of like strength; two of a group are ${numbers('apart').toFixed(1)} ratings apart.`;
		case 'clear-space':
			return `${names.block(at.block)} wants ${values.clear} m clear; ${names.block(values.other)} is ${numbers('gap').toFixed(1)} m away.`;
		case 'rung-skipped':
			return `${names.block(at.block)} climbs to "${values.to}" without "${values.missing}" before it.`;
		case 'skill-twice':
			return `${names.block(at.block)} has the same main skill as ${names.block(values.first)}: ${names.skill(String(values.skill))}.`;
		case 'daily-missing':
			return `${names.drill(String(values.drill))} is for every practice and not in this one.`;
		case 'setup-clash':
			return `${names.block(at.block)} takes ${values.seconds} s to lay out; ${names.block(values.first)} leaves its ground ${values.free} s before.`;
		default:
			return assertNever(code);
	}
}

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

function describeArrange(edit: Arrange, plan: Plan): string {
	const names = namesIn(plan);
	const period = findPeriod(plan.practice, edit.period);
	const before = new Map(
		period?.lanes.flatMap(({ blocks }) => blocks.map((block) => [block.id, block] as const))
	);
	const after = edit.lanes.flatMap(({ blocks }) => blocks);
	if (edit.slots && !period?.slots)
		return `Split ${names.period(edit.period)} into ${edit.lanes.length} stations`;
	if (!edit.slots && period?.slots) return `Take back the stations of ${names.period(edit.period)}`;
	const gone = [...before.keys()].find((id) => !after.some((block) => block.id === id));
	const isLonger = ({ id, minutes }: Block) => minutes > (before.get(id)?.minutes ?? minutes);
	if (gone && after.some(isLonger)) return `Merge the two parts of ${names.block(gone)}`;
	const added = after.find(({ id }) => !before.has(id));
	const cut = added && [...before.values()].find(({ drill }) => drill?.id === added.drill?.id);
	if (cut && after.length === before.size + 1) return `Cut ${names.block(cut.id)} in two`;
	if (gone) return `Take ${names.block(gone)} out`;
	const recopied = after.find(
		(block) => before.get(block.id)?.copies.length !== block.copies.length
	);
	if (recopied) {
		const copies = recopied.copies.length;
		return `Run ${names.block(recopied.id)} in ${copies === 1 ? '1 copy' : `${copies} copies`}`;
	}
	const members = (groups: Arrange['groups'] | undefined) =>
		JSON.stringify((groups ?? []).map(({ players }) => players));
	const isSameLanes = edit.lanes.length === period?.lanes.length;
	if (isSameLanes && JSON.stringify(edit.slots) !== JSON.stringify(period?.slots ?? null))
		return `Go through ${names.period(edit.period)} in another round`;
	const [fewer, more] = changedPlaces(period, edit);
	if (more.length === 0 && fewer.length === 1) {
		const block = after.find((each) => {
			const was = before.get(each.id);
			return was && JSON.stringify(was.copies) !== JSON.stringify(each.copies);
		});
		const place = block ? names.block(block.id) : names.period(edit.period);
		return `Take ${names.player(fewer[0])} out of ${place}`;
	}
	if (fewer.length === 0 && more.length > 0)
		return `Place ${list(more.map(names.player))} in ${names.period(edit.period)}`;
	if (members(edit.groups) !== members(period?.groups))
		return `Make new groups for ${names.period(edit.period)}`;
	return `Arrange ${names.period(edit.period)}`;
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
	const [first] = edits.flatMap((edit) =>
		edit.type === 'set-minutes' ? Object.keys(edit.periods) : []
	);
	const isByHand = edits.some(({ type }) => type === 'set-period');
	if (first && edits.some(({ type }) => type === 'add-period'))
		return `Cut ${names.period(first)} in two`;
	if (first && removed.length === 1 && isByHand)
		return `Merge ${names.period(removed[0])} into the one before`;
	const resize = edits.find(({ type }) => type === 'set-minutes');
	if (!resize || isByHand) return editWords(resize ?? edits[0], plan);
	if (removed.length === 0) return 'Fit the periods to the time';
	return `Fit to the time, without ${removed.map(names.period).join(', ')}`;
}

function describeStaff(id: string, copies: readonly Copy[], plan: Plan): string {
	const adults = (of: readonly Copy[]) => of.flatMap((copy) => copy.adults).length;
	const isFreed = adults(copies) < adults(findBlock(plan.practice, id)?.block.copies ?? []);
	const block = namesIn(plan).block(id);
	return isFreed ? `Free the adult from ${block}` : `Change the adults of ${block}`;
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
			if (set.adults) return `Plan with ${set.adults.length} adults`;
			return 'Change date, start or place';
		}
		case 'add-period':
			return `Add ${kept(edit.period.name)}`;
		case 'remove-period':
			return `Remove ${names.period(edit.period)}`;
		case 'move-period':
			return edit.after === null
				? `Move ${names.period(edit.period)} to the start`
				: `Move ${names.period(edit.period)} behind ${names.period(edit.after)}`;
		case 'set-period':
			if (edit.set.moveSeconds != null) return `Give ${edit.set.moveSeconds} s to change stations`;
			if (edit.set.locked !== undefined)
				return `${edit.set.locked ? 'Lock' : 'Unlock'} the minutes of ${names.period(edit.period)}`;
			if (edit.set.name !== undefined)
				return `Call ${names.period(edit.period)} "${kept(edit.set.name)}"`;
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
			if (edit.set.copies) return describeStaff(edit.block, edit.set.copies, plan);
			if (edit.set.lineup !== undefined)
				return `${edit.set.lineup ? 'Set' : 'Take away'} the line-up of ${names.block(edit.block)}`;
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
