import { badInput, type Failure, type Misfit, type Path } from '../base';
import type { Drill } from '../model/drill';
import { resolveDrill } from './resolve';
import { simulate } from './simulate';

/** The first name of a spot or a rung in a drill's ways and words that stands for none; null where all do. */
function strangeName({ spots, paths = [], faults = [], rungs }: Drill): Failure | null {
	const isSpot = (name: unknown) => typeof name !== 'string' || spots.some(({ id }) => id === name);
	const isRung = (name: string | undefined) =>
		name === undefined || rungs.some(({ id }) => id === name);
	const refuse = (path: Path, what: string, name: unknown) =>
		badInput(['drill', ...path], `expected ${what} of the drill, got "${name}"`);
	for (const [index, { from, to }] of paths.entries())
		for (const [end, name] of Object.entries({ from, to }))
			if (!isSpot(name)) return refuse(['paths', index, end], 'a spot', name);
	for (const [index, { rung }] of faults.entries())
		if (!isRung(rung)) return refuse(['faults', index, 'rung'], 'a rung', rung);
	for (const [index, { needs = [] }] of rungs.entries())
		for (const need of needs)
			if (!isRung(need)) return refuse(['rungs', index, 'needs'], 'a rung', need);
	return null;
}

/**
 * Why a drill cannot run as it is written, on itself or on one of its rungs, with its least players and
 * as many adults as it asks for, or which name in its ways and words stands for nothing; null where all
 * is well. The rung is named beside the failure.
 */
export function faultOf(drill: Drill): (Failure & { onRung?: string }) | null {
	for (const rung of [undefined, ...drill.rungs.map(({ id }) => id)]) {
		const resolved = resolveDrill(drill, rung);
		const { group } = resolved.ok ? resolved.value : drill;
		const run = simulate({ drill, players: group.min, minutes: 5, ...(rung && { rung }) });
		const failure = run.ok ? strangeName(resolved.ok ? resolved.value : drill) : run.failure;
		if (failure) return { ...failure, ...(rung && { onRung: rung }) };
	}
	return null;
}

/** What keeps a drill from running as a misfit, within the rung where it lies on one; null where it runs. */
export function drillMisfit(drill: Drill): Misfit | null {
	const fault = faultOf(drill);
	if (!fault) return null;
	const path = 'path' in fault ? fault.path : [];
	return {
		path,
		message: fault.message,
		...(fault.onRung && { within: `rung ${fault.onRung}` })
	};
}
