import type { Drill } from '../model/drill';
import type { Obstacle } from './obstacles';

/** What a list of the shelf knows of a drill: what it is for and what it needs, without the long texts. */
export type DrillFacts = Pick<
	Drill,
	| 'id'
	| 'revision'
	| 'name'
	| 'family'
	| 'skills'
	| 'group'
	| 'ground'
	| 'fixtures'
	| 'kit'
	| 'coaches'
	| 'contact'
	| 'effort'
	| 'frequency'
>;

/** A drill on the shelf, with when it was used. */
export interface ShelfLine {
	drill: DrillFacts;
	/** The day of the last practice that held it, or plans it; null for never. */
	lastUsed: string | null;
	/** Practices since then; all that there were for never. */
	unusedFor: number;
	/** How well its words suit the search, 0 without one. */
	rank: number;
	/** What keeps it from running here; empty where it can. */
	obstacles: Obstacle[];
}
