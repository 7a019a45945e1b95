import type { Drill } from '../model/drill';
import { areaOf } from '../model/skill';
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
	/** What it is found for: its skills, and the areas of those that are stages. */
	skills: readonly string[];
	/** The day of the last practice that held it, or plans it; null for never. */
	lastUsed: string | null;
	/** Practices since then; all that there were for never. */
	unusedFor: number;
	/** How well its words suit the search, 0 without one. */
	rank: number;
	/** What keeps it from running here; empty where it can. */
	obstacles: Obstacle[];
}

/** The skills that a drill is found for. */
export const foundFor = ({ skills }: Pick<Drill, 'skills'>): string[] => [
	...new Set(skills.flatMap(({ skill }) => [areaOf(skill), skill]))
];
