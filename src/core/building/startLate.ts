import { fail, ok, type Outcome } from '../base';
import { clockAt } from '../conditions';
import type { FitOutput } from '../clock';
import type { Period, Practice } from '../model/practice';
import type { Limits } from '../model/limits';
import type { EditOf } from '../practice';
import { fitted, fitToTime } from './resize';

/** A practice that starts late and ends as it was to: the edit, and what it makes of the periods. */
export interface LateStart {
	edit: EditOf<'all'>;
	start: string;
	minutes: number;
	fit: FitOutput;
}

/**
 * Starts a practice so many minutes late and keeps its end: periods shrink and drop by rank, water only where
 * somebody has said yes to that. Fails as `fit` does.
 */
export function startLate(
	practice: Practice,
	late: number,
	limits: Pick<Limits, 'talkMinutes' | 'gameTalkMinutes'>,
	{ cutsWater = false }: { cutsWater?: boolean } = {}
): Outcome<LateStart> {
	const start = clockAt(practice.start, late * 60);
	const minutes = practice.minutes - late;
	const shorter = { ...practice, start, minutes };
	const keeps = ({ kind }: Period) => kind === 'water' && !cutsWater;
	const fit = fitted(shorter, limits, keeps);
	if (!fit.ok) return fail(fit.failure);
	const edit = fitToTime(shorter, limits, keeps);
	if (!edit.ok) return fail(edit.failure);
	return ok({
		...{ start, minutes, fit: fit.value },
		edit: {
			type: 'all',
			edits: [{ type: 'set-practice', set: { start, minutes } }, ...edit.value.edits]
		}
	});
}
