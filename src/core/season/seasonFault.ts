import type { Path } from '../base';
import type { Season } from '../model/season';
import { sceneFault, type SceneFault } from '../scene';
import { lastDayOf } from './calendar';

/** What a season may name: skills, units, grounds and drills of the team. */
export interface SeasonKnown {
	skills: ReadonlySet<string>;
	units: ReadonlySet<string>;
	grounds: ReadonlySet<string>;
	/** Rungs by drill. */
	drills: ReadonlyMap<string, ReadonlySet<string>>;
}

/** Why a season makes no sense, and where. */
export interface SeasonFault {
	path: Path;
	code:
		| 'twice'
		| 'ends-first'
		| 'outside'
		| 'overlaps'
		| 'no-skill'
		| 'no-unit'
		| 'no-phase'
		| 'no-ground'
		| 'no-drill'
		| 'no-rung'
		| 'no-game'
		| SceneFault['code'];
	/** The day, name or id that it is about. */
	value: string;
}

/** The first value that comes again, with the place of its second time. */
function twiceIn<Item>(
	items: readonly Item[],
	of: (item: Item) => string
): { index: number; value: string } | null {
	const seen = new Set<string>();
	for (const [index, item] of items.entries()) {
		const value = of(item);
		if (seen.has(value)) return { index, value };
		seen.add(value);
	}
	return null;
}

function* stretchFaults(season: Season): Generator<SeasonFault> {
	const { phases = [], daysOff = [], patterns = [], firstDay } = season;
	const last = lastDayOf(season);
	for (const [list, items] of [
		['phases', phases],
		['daysOff', daysOff],
		[
			'patterns',
			patterns.map((each) => ({
				firstDay: each.firstDay ?? firstDay,
				lastDay: each.lastDay ?? last
			}))
		]
	] as const)
		for (const [index, item] of items.entries()) {
			if (item.lastDay < item.firstDay)
				yield { path: [list, index, 'lastDay'], code: 'ends-first', value: item.firstDay };
			if (item.firstDay < firstDay || item.firstDay > last)
				yield { path: [list, index, 'firstDay'], code: 'outside', value: item.firstDay };
			if (item.lastDay > last)
				yield { path: [list, index, 'lastDay'], code: 'outside', value: item.lastDay };
		}
	for (const [index, phase] of phases.entries()) {
		const other = phases.slice(0, index).find((each) => each.lastDay >= phase.firstDay);
		if (other) yield { path: ['phases', index, 'firstDay'], code: 'overlaps', value: other.name };
	}
}

function* gameFaults(season: Season): Generator<SeasonFault> {
	const { games = [], firstDay } = season;
	const last = lastDayOf(season);
	for (const [index, { date }] of games.entries())
		if (date < firstDay || date > last)
			yield { path: ['games', index, 'date'], code: 'outside', value: date };
	const uids = games.map(({ uid }, index) => uid ?? `no uid ${index}`);
	const twice = twiceIn(uids, (uid) => uid);
	if (twice) yield { path: ['games', twice.index, 'uid'], code: 'twice', value: twice.value };
}

function* idFaults(season: Season): Generator<SeasonFault> {
	for (const list of ['phases', 'patterns', 'games', 'courses', 'seeds', 'fixes'] as const) {
		const twice = twiceIn(season[list] ?? [], ({ id }: { id: string }) => id);
		if (twice) yield { path: [list, twice.index, 'id'], code: 'twice', value: twice.value };
	}
}

function* aimFaults(season: Season, known: SeasonKnown): Generator<SeasonFault> {
	const { targets = [], floors = [], phases = [] } = season;
	const phaseIds = new Set(phases.map(({ id }) => id));
	for (const [index, { skill, unit, phase }] of targets.entries()) {
		const at = (key: string): Path => ['targets', index, key];
		if (!known.skills.has(skill)) yield { path: at('skill'), code: 'no-skill', value: skill };
		if (unit !== undefined && !known.units.has(unit))
			yield { path: at('unit'), code: 'no-unit', value: unit };
		if (!phaseIds.has(phase)) yield { path: at('phase'), code: 'no-phase', value: phase };
	}
	const again = twiceIn(targets, ({ skill, unit, phase }) => JSON.stringify([skill, unit, phase]));
	if (again)
		yield {
			path: ['targets', again.index, 'skill'],
			code: 'twice',
			value: targets[again.index].skill
		};
	for (const [index, { skill }] of floors.entries())
		if (!known.skills.has(skill))
			yield { path: ['floors', index, 'skill'], code: 'no-skill', value: skill };
	const floor = twiceIn(floors, ({ skill }) => skill);
	if (floor) yield { path: ['floors', floor.index, 'skill'], code: 'twice', value: floor.value };
}

function* namedFaults(season: Season, known: SeasonKnown): Generator<SeasonFault> {
	for (const [index, { groundId }] of (season.patterns ?? []).entries())
		if (groundId !== undefined && !known.grounds.has(groundId))
			yield { path: ['patterns', index, 'groundId'], code: 'no-ground', value: groundId };
	for (const [index, { unit, steps }] of (season.courses ?? []).entries()) {
		if (unit !== undefined && !known.units.has(unit))
			yield { path: ['courses', index, 'unit'], code: 'no-unit', value: unit };
		for (const [k, { drill, rung }] of steps.entries()) {
			const rungs = known.drills.get(drill);
			const at = (key: string): Path => ['courses', index, 'steps', k, key];
			if (!rungs) yield { path: at('drill'), code: 'no-drill', value: drill };
			else if (rung !== undefined && !rungs.has(rung))
				yield { path: at('rung'), code: 'no-rung', value: rung };
		}
	}
}

function* sceneFaults(season: Season, known: SeasonKnown): Generator<SeasonFault> {
	const { games = [], seeds = [], fixes = [] } = season;
	const ids = new Set(games.map(({ id }) => id));
	for (const [list, scenes] of [
		['seeds', seeds],
		['fixes', fixes]
	] as const)
		for (const [index, scene] of scenes.entries()) {
			const at = (...path: Path): Path => [list, index, ...path];
			const fault = sceneFault(scene);
			if (fault) yield { ...fault, path: at(...fault.path) };
			const { game, groundId, skills = [] } = scene;
			if (game !== undefined && !ids.has(game))
				yield { path: at('game'), code: 'no-game', value: game };
			if (groundId !== undefined && !known.grounds.has(groundId))
				yield { path: at('groundId'), code: 'no-ground', value: groundId };
			const k = skills.findIndex((skill) => !known.skills.has(skill));
			if (k >= 0) yield { path: at('skills', k), code: 'no-skill', value: skills[k] };
		}
}

/**
 * What makes no sense in a season of a good shape; null where nothing is wrong. Phases are in order of time
 * and do not overlap; all days lie within the season; what is named is there.
 */
export function seasonFault(season: Season, known: SeasonKnown): SeasonFault | null {
	for (const faults of [
		idFaults(season),
		stretchFaults(season),
		gameFaults(season),
		aimFaults(season, known),
		namedFaults(season, known),
		sceneFaults(season, known)
	])
		for (const fault of faults) return fault;
	return null;
}
