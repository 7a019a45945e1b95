import { badInput, fail, ok, type Failure, type Outcome, type Path } from '../base';
import type { RotateInput, RotateStation } from './rotateShapes';

const MOST_GROUPS = 200;
const MOST_STATIONS = 60;
const MOST_SLOTS = 200;

/** Effort from which a station is hard, where no rule says so. */
const HARD_FROM = 8;

/** A request that was looked through, with its defaults. */
export interface RotationTask {
	groups: readonly string[];
	stations: readonly RotateStation[];
	/** Groups that every station holds. */
	holds: number;
	slots: number;
	isHard: readonly boolean[];
	avoidsHard: boolean;
	meets: boolean;
	/** Metres between stations, row by row. */
	legs: Float64Array;
}

const isWhole = (value: number, least: number, most: number) =>
	Number.isSafeInteger(value) && value >= least && value <= most;

function repeated(ids: readonly string[]): number {
	return ids.findIndex((id, index) => ids.indexOf(id) < index);
}

function listFault(ids: readonly string[], path: Path, most: number): Failure | null {
	if (ids.length < 1 || ids.length > most)
		return badInput(path, `expected 1 to ${most}, got ${ids.length}`);
	const twice = repeated(ids);
	return twice < 0
		? null
		: badInput([...path, twice], `expected different ids, got "${ids[twice]}" twice`);
}

function stationFault({ id, x, y, effort, holds }: RotateStation): [string, string] | null {
	if (id === 'rest') return ['id', 'expected another id: "rest" is where groups rest'];
	if ((x === undefined) !== (y === undefined)) return ['x', 'expected x and y, or neither'];
	for (const [key, value] of [
		['x', x],
		['y', y]
	] as const)
		if (value !== undefined && !(Math.abs(value) <= 1e5))
			return [key, `expected metres, got ${value}`];
	if (effort !== undefined && !(effort >= 1 && effort <= 10))
		return ['effort', `expected 1 to 10, got ${effort}`];
	if (holds !== undefined && holds !== 1 && holds !== 2)
		return ['holds', `expected 1 or 2, got ${holds}`];
	return null;
}

function legsOf(stations: readonly RotateStation[]): Float64Array {
	const legs = new Float64Array(stations.length ** 2);
	for (const [i, a] of stations.entries())
		for (const [j, b] of stations.entries())
			if (a.x !== undefined && a.y !== undefined && b.x !== undefined && b.y !== undefined)
				legs[i * stations.length + j] = Math.hypot(a.x - b.x, a.y - b.y);
	return legs;
}

/** Reads a request; what contradicts itself is `bad-input` with its path. */
export function readRotation({
	groups,
	stations,
	slots,
	rules = {}
}: RotateInput): Outcome<RotationTask> {
	const ids = stations.map(({ id }) => id);
	const list =
		listFault(groups, ['groups'], MOST_GROUPS) ?? listFault(ids, ['stations'], MOST_STATIONS);
	if (list) return fail(list);
	for (const [index, station] of stations.entries()) {
		const fault = stationFault(station);
		if (fault) return fail(badInput(['stations', index, fault[0]], fault[1]));
	}
	const { hardFrom = HARD_FROM, avoidHardAfterHard = true, meet = false } = rules;
	if (!(hardFrom >= 1 && hardFrom <= 10))
		return fail(badInput(['rules', 'hardFrom'], `expected 1 to 10, got ${hardFrom}`));
	// Every group goes to every station, so the station that holds least sets the pace.
	const holds = Math.min(...stations.map((station) => station.holds ?? 1));
	const wanted = slots ?? Math.max(stations.length, Math.ceil(groups.length / holds));
	if (!isWhole(wanted, 1, MOST_SLOTS))
		return fail(badInput(['slots'], `expected 1 to ${MOST_SLOTS} slots, got ${wanted}`));
	return ok({
		groups,
		stations,
		holds,
		slots: wanted,
		isHard: stations.map(({ effort = 1, rest }) => !rest && effort >= hardFrom),
		avoidsHard: avoidHardAfterHard,
		meets: meet,
		legs: legsOf(stations)
	});
}
