import { badInput, type Failure } from '../base';
import type { SeasonPlanInput } from './planShapes';

/** The place of what is in a list twice; −1 where all differ. */
const twice = (keys: readonly string[]) => keys.findIndex((key, at) => keys.indexOf(key) < at);

const differs = (list: string, keys: readonly string[], field = 'id'): Failure | null => {
	const at = twice(keys);
	return at < 0 ? null : badInput([list, at, field], `expected each once, got "${keys[at]}" again`);
};

/** Skills that come after themselves; null where none does. */
function circle(skills: SeasonPlanInput['skills']): Failure | null {
	const after = new Map(skills.map(({ id, after: list = [] }) => [id, list]));
	for (const [index, { id }] of skills.entries()) {
		const seen = new Set<string>();
		const open = [...(after.get(id) ?? [])];
		for (let next = open.pop(); next !== undefined; next = open.pop()) {
			if (next === id)
				return badInput(['skills', index, 'after'], `expected no skill that comes after itself`);
			if (seen.has(next)) continue;
			seen.add(next);
			open.push(...(after.get(next) ?? []));
		}
	}
	return null;
}

/** What makes no sense in a request, with its place; null where all does. */
export function planFault(input: SeasonPlanInput): Failure | null {
	const { practices, skills, drills, players, today, plan = [], done = [], held = [] } = input;
	const same =
		differs(
			'practices',
			practices.map(({ id }) => id)
		) ??
		differs(
			'drills',
			drills.map(({ id }) => id)
		) ??
		differs(
			'skills',
			skills.map(({ id, unit }) => `${id} ${unit ?? ''}`)
		) ??
		differs(
			'plan',
			plan.map(({ id }) => id)
		);
	if (same) return same;
	const again = twice(players);
	if (again >= 0) return badInput(['players', again], 'expected each once');
	const past = practices.findIndex(({ date }) => date < today);
	if (past >= 0)
		return badInput(
			['practices', past, 'date'],
			`expected ${today} or later, got ${practices[past].date}`
		);
	for (const [list, rows] of [
		['done', done],
		['held', held]
	] as const) {
		const late = rows.findIndex(({ date }) => date >= today);
		if (late >= 0) return badInput([list, late, 'date'], `expected a day before ${today}`);
	}
	for (const [index, { targets }] of skills.entries()) {
		const at = targets.findIndex(({ from, to }) => to < from);
		if (at >= 0)
			return badInput(
				['skills', index, 'targets', at, 'to'],
				`expected ${targets[at].from} or later, got ${targets[at].to}`
			);
	}
	return circle(skills) ?? strangerIn(input);
}

/** A drill or rung that is locked and not there. */
function strangerIn({ practices, drills }: SeasonPlanInput): Failure | null {
	const known = new Map(drills.map((drill) => [drill.id, drill]));
	for (const [index, { locked = [] }] of practices.entries())
		for (const [at, { drill, rung }] of locked.entries()) {
			const path = ['practices', index, 'locked', at];
			const found = known.get(drill);
			if (!found) return badInput([...path, 'drill'], 'expected the id of a drill that is given');
			if (rung !== undefined && !found.rungs.some(({ id }) => id === rung))
				return badInput([...path, 'rung'], 'expected the id of a rung of the drill');
		}
	return null;
}
