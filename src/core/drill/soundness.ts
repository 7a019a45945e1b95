import { simulate } from './simulate';
import type { Drill } from '../model/drill';
import type { Failure } from '../base';
import { resolveDrill } from './resolve';

/**
 * Why a drill cannot run as it is written, on itself or on one of its rungs, with its least players and
 * as many adults as it asks for; null where it can. The rung is named beside the failure.
 */
export function faultOf(drill: Drill): (Failure & { onRung?: string }) | null {
	for (const rung of [undefined, ...drill.rungs.map(({ id }) => id)]) {
		const resolved = resolveDrill(drill, rung);
		const players = resolved.ok ? resolved.value.group.min : drill.group.min;
		const run = simulate({ drill, players, minutes: 5, ...(rung && { rung }) });
		if (!run.ok) return { ...run.failure, ...(rung && { onRung: rung }) };
	}
	return null;
}
