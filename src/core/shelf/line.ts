import type { Drill } from '../model/drill';
import { areaOf } from '../model/skill';
import type { Standing } from './standing';

/** A drill on the shelf, with when it was used. */
export interface ShelfLine {
	/** Lists leave out its ladder and its words. */
	drill: Drill;
	/** What it is found for: its skills, and the areas of those that are stages. */
	skills: readonly string[];
	/** The day of the last practice that held it, or plans it; null for never. */
	lastUsed: string | null;
	/** Practices since then; all that there were for never. */
	unusedFor: number;
	/** How well its words suit the search, 0 without one. */
	rank: number;
	standing: Standing;
}

/** The skills that a drill is found for, each once. */
export function foundFor({ skills }: Pick<Drill, 'skills'>): string[] {
	const found: string[] = [];
	for (const { skill } of skills)
		for (const each of [areaOf(skill), skill]) if (!found.includes(each)) found.push(each);
	return found;
}
