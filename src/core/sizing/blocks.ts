import { fitsTimes } from '../base';
import type { Drill } from '../model/drill';
import type { Block, SizeLimits, SizeZone } from './sizeShapes';

/** Adds up counts of the same item; needs of one item listed twice are one need. */
function addUp(entries: readonly { item: string; count: number }[]): Map<string, number> {
	const sums = new Map<string, number>();
	for (const { item, count } of entries) sums.set(item, (sums.get(item) ?? 0) + count);
	return sums;
}

const has = (counts: Record<string, number> | undefined, item: string): number =>
	counts && Object.hasOwn(counts, item) ? counts[item] : 0;

/** Ground of one copy in metres for `players`: both sides grow alike where each player's space asks it. */
export function footprint({ ground }: Pick<Drill, 'ground'>, players: number) {
	const { length, width, perPlayer = 0 } = ground;
	const growth = Math.sqrt(Math.max(1, (perPlayer * players) / (length * width)));
	return { length: length * growth, width: width * growth };
}

/** Metres that a drill says must be clear between copies of it: how far sticks and balls go. */
const clearBetween = ({ hazards }: Pick<Drill, 'hazards'>): number =>
	Math.max(hazards?.swing ?? 0, hazards?.flight ?? 0);

/** How many fit side by side in so many metres, each in a share of them that leaves `clear` to the next. */
const sideBySide = (space: number, each: number, clear: number): number =>
	Math.max(fitsTimes(space, each + clear), Math.min(1, fitsTimes(space, each)));

/** How copies of a drill lie in a zone: in columns along its length and rows across it. */
export interface ZoneGrid {
	columns: number;
	rows: number;
	/** Whether the copies lie across: their length along the zone's width. */
	turned: boolean;
}

/** The most that fit in columns and rows each way: as the drill is drawn, and turned. */
export function gridsIn(
	drill: Pick<Drill, 'ground' | 'hazards'>,
	zone: Pick<SizeZone, 'length' | 'width'>,
	players: number
): ZoneGrid[] {
	const { length, width } = footprint(drill, players);
	const clear = clearBetween(drill);
	return [false, true].map((turned) => ({
		columns: sideBySide(zone.length, turned ? width : length, clear),
		rows: sideBySide(zone.width, turned ? length : width, clear),
		turned
	}));
}

/** Copies of `players` that fit a zone side by side, clear of each other, all turned the same way: the better of both ways. */
export const copiesInZone = (
	drill: Pick<Drill, 'ground' | 'hazards'>,
	zone: Pick<SizeZone, 'length' | 'width'>,
	players: number
): number => Math.max(...gridsIn(drill, zone, players).map(({ columns, rows }) => columns * rows));

/** Copies that the fixtures standing in a zone serve: Infinity for a drill that needs none. */
export function copiesByFixtures(drill: Pick<Drill, 'fixtures'>, zone: SizeZone): number {
	const needs = [...addUp(drill.fixtures ?? [])];
	return Math.min(
		Infinity,
		...needs.map(([item, count]) => fitsTimes(has(zone.fixtures, item), count))
	);
}

/** Copies of so many players that a zone has the ground and the fixtures for. */
export const copiesServed = (
	drill: Pick<Drill, 'ground' | 'fixtures' | 'hazards'>,
	zone: SizeZone,
	players: number
): number => Math.min(copiesInZone(drill, zone, players), copiesByFixtures(drill, zone));

/** Copies of `players` that zones hold, and of those the ones that fixtures serve. */
export function roomIn(
	zones: readonly SizeZone[],
	drill: Pick<Drill, 'ground' | 'fixtures' | 'hazards'>,
	players: number
): { room: number; served: number } {
	let room = 0;
	let served = 0;
	for (const zone of zones) {
		const holds = copiesInZone(drill, zone, players);
		room += holds;
		served += Math.min(holds, copiesByFixtures(drill, zone));
	}
	return { room, served };
}

function blockedByGround(
	drill: Drill,
	zones: readonly SizeZone[],
	sizes: readonly number[]
): Block | null {
	const { room, served } = roomIn(zones, drill, sizes[0]);
	if (room < sizes.length) return 'zones';
	return served < sizes.length ? 'fixtures' : null;
}

/** Kit that copies of these sizes need, by item. */
export function kitNeeded(
	drill: Pick<Drill, 'kit'>,
	{ copies, players }: { copies: number; players: number }
): Map<string, number> {
	return addUp(
		drill.kit.map(({ item, count, per }) => ({
			item,
			count: count * (per === 'copy' ? copies : players)
		}))
	);
}

/**
 * Every reason why copies of these sizes cannot be run within the limits, in listing order.
 * `adults` is what one copy takes, those on spots included.
 */
export function blockedBy(
	drill: Drill,
	{ sizes, adults }: { sizes: readonly number[]; adults: number },
	limits: SizeLimits
): Block[] {
	const { coaches, zones, orZones, kit } = limits;
	const copies = sizes.length;
	const blocks: Block[] = [];
	const smallest = sizes[copies - 1];
	if (sizes[0] > drill.group.max || smallest < drill.group.min) blocks.push('size');
	if (coaches !== undefined && copies * adults > coaches) blocks.push('coaches');
	const ground = zones && blockedByGround(drill, zones, sizes);
	if (ground && (!orZones || blockedByGround(drill, orZones, sizes))) blocks.push(ground);
	const players = sizes.reduce((sum, size) => sum + size, 0);
	const needs = kit ? [...kitNeeded(drill, { copies, players })] : [];
	if (needs.some(([item, count]) => count > has(kit, item) + 1e-9)) blocks.push('kit');
	return blocks;
}
