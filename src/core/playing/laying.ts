import { SAME_INSTANT } from '../base';
import { placeOf } from '../drill';
import type { Drill } from '../model/drill';
import type { Zone } from '../model/team';
import { footprint, gridsIn } from '../sizing';
import type { Rectangle } from './clear';
import type { Evaluation } from './evaluate';
import type { PlayedRun } from './playRun';
import { stepsOf } from './steps';

/** A place on the ground in metres. */
export interface Point {
	x: number;
	y: number;
}

/** The ground of one running copy, laid into its zone. */
export interface LaidCopy {
	played: PlayedRun;
	/** The drill as it runs there and then, on its rung. */
	drill: Drill;
	zone: Zone;
	/** Corner nearest the ground's origin. */
	corner: Point;
	/** Along x and y of the ground. */
	size: { length: number; width: number };
	/** Whether the copy lies across: its length along the ground's y. */
	turned: boolean;
	/** Spots by id, on the ground. */
	spots: ReadonlyMap<string, Point>;
	/** The side that is on; null where the drill has none. */
	side: string | null;
	/** Ways of balls and players in a turn, in the order of their steps. */
	paths: readonly LaidPath[];
}

/** One way within a turn, on the ground. */
export interface LaidPath {
	kind: 'flight' | 'run' | 'carry';
	from: Point;
	to: Point;
	/** The spot that it starts at; null for one that starts between spots. */
	spot: string | null;
}

/** The drill as it runs at a second: on the rung that the climb has come to. */
function drillAt(played: PlayedRun, second: number): Drill | undefined {
	const steps = stepsOf(played);
	return (steps.find(({ toSecond }) => second < toSecond - SAME_INSTANT) ?? steps.at(-1))?.drill;
}

/** The side that is on at a second: that of the turn that started last, of the first one before it. */
export function sideAt({ turns }: PlayedRun, second: number): string | null {
	const started = turns.findLast((turn) => turn.second <= second + SAME_INSTANT) ?? turns.at(0);
	return started?.side ?? null;
}

/** Lays the copies that run at a second into their zones, side by side where a zone holds several. */
export function laidCopies({ runs, context }: Evaluation, second: number): LaidCopy[] {
	const running = runs.filter(({ run }) => run.fromSecond <= second && second < run.toSecond);
	const inZone = new Map<string, PlayedRun[]>();
	for (const played of running) {
		const { zoneId } = played.run.copy;
		inZone.set(zoneId, [...(inZone.get(zoneId) ?? []), played]);
	}
	return running.flatMap((played) => {
		const zone = context.zoneById.get(played.run.copy.zoneId);
		const drill = drillAt(played, second);
		if (!zone || !drill) return [];
		const sharing = inZone.get(zone.id) as PlayedRun[];
		return [
			layCopy(played, {
				zone,
				drill,
				side: sideAt(played, second),
				place: sharing.indexOf(played),
				of: sharing.length
			})
		];
	});
}

/** How `of` copies lie in a zone: in one row where that holds them, each turned as its part of the zone is. */
function gridFor(
	zone: Zone,
	drill: Pick<Drill, 'ground' | 'hazards'>,
	players: number,
	of: number
) {
	const size = footprint(drill, players);
	const isLonger = zone.length / of >= zone.width === size.length >= size.width;
	const grids = gridsIn(drill, zone, players).toSorted(
		(a, b) => Number(a.turned === isLonger) - Number(b.turned === isLonger)
	);
	const row = grids.find(({ columns, rows }) => rows > 0 && columns >= of);
	if (row) return { columns: of, rows: 1, turned: row.turned };
	const grid = grids.find(({ columns, rows }) => columns * rows >= of);
	// Where they do not fit at all they share the length, and the checks say so.
	return grid
		? { ...grid, rows: Math.ceil(of / grid.columns) }
		: { columns: of, rows: 1, turned: grids[0].turned };
}

/** Where one of `of` copies of a drill for `players` lies in a zone, and whether it lies across. */
export function layInto(
	zone: Zone,
	drill: Pick<Drill, 'ground' | 'hazards'>,
	players: number,
	{ place, of }: { place: number; of: number } = { place: 0, of: 1 }
): Rectangle & { turned: boolean } {
	const { columns, rows, turned } = gridFor(zone, drill, players, of);
	const along = footprint(drill, players);
	const size = turned ? { length: along.width, width: along.length } : along;
	const [column, row] = [place % columns, Math.floor(place / columns)];
	const middle = {
		x: zone.x + (zone.length / columns) * (column + 0.5),
		y: zone.y + (zone.width / rows) * (row + 0.5)
	};
	const corner = { x: middle.x - size.length / 2, y: middle.y - size.width / 2 };
	return { corner, size, turned };
}

function layCopy(
	played: PlayedRun,
	{
		zone,
		drill,
		side,
		place,
		of
	}: {
		zone: Zone;
		drill: Drill;
		side: string | null;
		place: number;
		of: number;
	}
): LaidCopy {
	const players = played.run.players.length;
	const { corner, size, turned } = layInto(zone, drill, players, { place, of });
	const along = footprint(drill, players);
	const growth = along.length / drill.ground.length;
	const { length, width } = drill.ground;
	const axis = side === null ? undefined : drill.sides?.mirror?.[side];
	const onGround = (ownX: number, ownY: number): Point => {
		const x = axis === 'x' ? length - ownX : ownX;
		const y = axis === 'y' ? width - ownY : ownY;
		return turned
			? { x: corner.x + y * growth, y: corner.y + x * growth }
			: { x: corner.x + x * growth, y: corner.y + y * growth };
	};
	const spots = new Map(
		drill.spots.map(({ id }, index) => {
			const { x, y } = placeOf(drill, index);
			return [id, onGround(x, y)] as const;
		})
	);
	const paths = (drill.paths ?? [])
		.toSorted((one, other) => (one.step ?? 1) - (other.step ?? 1))
		.flatMap(({ kind, from, to }): LaidPath[] => {
			const at = (end: typeof from) =>
				typeof end === 'string' ? spots.get(end) : onGround(end[0], end[1]);
			const [start, stop] = [at(from), at(to)];
			if (!start || !stop) return [];
			return [{ kind, from: start, to: stop, spot: typeof from === 'string' ? from : null }];
		});
	return { played, drill, zone, corner, size, turned, spots, side, paths };
}

const isAt = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y) < 0.3;

/** The points that a player at a spot runs through in a turn: the spot alone where no run starts there. */
export function wayFrom({ spots, paths }: LaidCopy, spot: string): Point[] {
	const start = spots.get(spot);
	if (!start) return [];
	const way = [start];
	for (const { kind, from, to, spot: own } of paths) {
		if (kind === 'flight') continue;
		const isOwn = own === spot && way.length === 1;
		const goesOn = own === null && way.length > 1 && isAt(from, way[way.length - 1]);
		if (isOwn || goesOn) way.push(to);
	}
	return way;
}

/** The point at a share of a way, 0 its start and 1 its end. */
export function pointAlong(way: readonly Point[], share: number): Point {
	const legs = way.slice(1).map((to, index) => ({
		from: way[index],
		to,
		metres: Math.hypot(to.x - way[index].x, to.y - way[index].y)
	}));
	let left = legs.reduce((sum, { metres }) => sum + metres, 0) * Math.min(1, Math.max(0, share));
	for (const { from, to, metres } of legs) {
		if (left <= metres && metres > 0) {
			const part = left / metres;
			return { x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part };
		}
		left -= metres;
	}
	return way[way.length - 1];
}
