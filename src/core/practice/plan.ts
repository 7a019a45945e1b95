import type { Practice } from '../model/practice';
import type { Context } from './context';

/** A practice with what it is built from. */
export interface Plan {
	practice: Practice;
	context: Context;
}
