import { badInput, fail, ok, type Outcome, type Path } from '../base';
import type { Drill } from '../model/drill';

/** Rungs of a drill that were resolved: asked for again and again, and a drill never changes. */
const known = new WeakMap<Drill, Map<string, Drill>>();

function onRung(drill: Drill, rungId: string, set: object | undefined): Drill {
	const rungs = known.get(drill) ?? new Map<string, Drill>();
	known.set(drill, rungs);
	const resolved = rungs.get(rungId) ?? { ...drill, ...set };
	rungs.set(rungId, resolved);
	return resolved;
}

/**
 * The drill as it is run on a rung: the rung's fields replace the drill's as a whole.
 * Without a rung, the drill itself. `path` is where the rung was named, for the failure.
 */
export function resolveDrill(drill: Drill, rungId?: string, path: Path = ['rung']): Outcome<Drill> {
	if (rungId === undefined) return ok(drill);
	const rung = drill.rungs.find(({ id }) => id === rungId);
	if (!rung) {
		const known = drill.rungs.map(({ id }) => `"${id}"`).join(', ') || 'none';
		return fail(badInput(path, `"${rungId}" is no rung of "${drill.id}"; it has ${known}`));
	}
	return ok(onRung(drill, rungId, rung.set));
}
