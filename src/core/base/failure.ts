import type { Path } from './path';
import type { Result } from './result';

/**
 * Why a command gives no result. `bad-input` is the caller's to mend (`path` is where); the others are requests that were understood and cannot be met.
 */
export type Failure =
	| { code: 'bad-input'; path: Path; message: string; rung?: string }
	| { code: 'too-few-players'; needed: number; message: string; rung?: string }
	| { code: 'unbalanced-rotation'; spot: string; message: string; rung?: string }
	| {
			code: 'infeasible';
			message: string;
			/** Minutes that are missing. */
			short?: number;
			/** Rules that clash: without any one of them the rest can be kept. */
			rules?: readonly ({ rule: string; index: number } | { rule: string; id: string })[];
			/** The position that nobody may play. */
			position?: string;
			rung?: string;
	  };

/** The outcome of a command of the core. */
export type Outcome<Value> = Result<Value, Failure>;

/** A `bad-input` failure at `path`, saying what was expected. */
export function badInput(path: Path, message: string): Failure {
	return { code: 'bad-input', path, message };
}
