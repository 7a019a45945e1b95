import { badInput, fail, ok, type Outcome, type Path } from '../base';
import type { Drill, RungChange } from '../model/drill';

/** Rungs of a drill that were resolved: asked for again and again, and a drill never changes. */
const known = new WeakMap<Drill, Map<string, Drill>>();

/** The fields that a rung replaces, those of the rung that it builds on first; an earlier one, so that it ends. */
function changesOn(rungs: Drill['rungs'], at: number): RungChange {
	const { on, set } = rungs[at];
	const below = rungs.findIndex(({ id }) => id === on);
	return below >= 0 && below < at ? { ...changesOn(rungs, below), ...set } : { ...set };
}

function resolvedOn(drill: Drill, at: number): Drill {
	const rungs = known.get(drill) ?? new Map<string, Drill>();
	known.set(drill, rungs);
	const { id } = drill.rungs[at];
	const resolved = rungs.get(id) ?? { ...drill, ...changesOn(drill.rungs, at) };
	rungs.set(id, resolved);
	return resolved;
}

/**
 * The drill as it is run on a rung: the rung's fields replace the drill's as a whole, over those of the rung
 * that it builds on.
 * Without a rung, the drill itself. `path` is where the rung was named, for the failure.
 */
export function resolveDrill(drill: Drill, rungId?: string, path: Path = ['rung']): Outcome<Drill> {
	if (rungId === undefined) return ok(drill);
	const at = drill.rungs.findIndex(({ id }) => id === rungId);
	if (at < 0) {
		const known = drill.rungs.map(({ id }) => `"${id}"`).join(', ') || 'none';
		return fail(badInput(path, `"${rungId}" is no rung of "${drill.id}"; it has ${known}`));
	}
	return ok(resolvedOn(drill, at));
}
