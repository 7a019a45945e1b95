import type { SkillSum } from './cloth';

/** A sum with whether the skill was a main one. */
export type FocusedSum = SkillSum & { focus: 'main' | 'second' };

/** Sums as they travel: practice, skill, 1 where it was a main one, unit, seconds. */
export type PackedSum = [
	practice: string,
	skill: string,
	isMain: 0 | 1,
	unit: string | null,
	seconds: number
];

/** The sums of a text that holds them packed. */
export const unpackSums = (text: string): FocusedSum[] =>
	(JSON.parse(text) as PackedSum[]).map(([practice, skill, isMain, unit, seconds]) => ({
		practice,
		skill,
		unit,
		seconds,
		focus: isMain === 1 ? 'main' : 'second'
	}));
