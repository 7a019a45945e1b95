import type { Drill } from './drill';

/** The stage that ends a skill: `passing/2` is the second stage of passing. */
const STAGE = /^(.+)\/([1-9]\d?)$/;

/** The area of a skill, the whole of it where it names no stage. */
export const areaOf = (skill: string): string => STAGE.exec(skill)?.[1] ?? skill;

/** The stage of a skill, from 1; null where it names none. */
export function stageOf(skill: string): number | null {
	const stage = STAGE.exec(skill)?.[2];
	return stage === undefined ? null : Number(stage);
}

/** A stage of an area as a skill, from 1. */
export const skillAt = (area: string, stage: number): string => `${area}/${stage}`;

/** The areas that a drill is for first of all. */
export const mainAreas = ({ skills }: Pick<Drill, 'skills'>): string[] =>
	skills.flatMap(({ skill, focus }) => (focus === 'main' ? areaOf(skill) : []));

/** Areas with what they are called, and their stages from the first on. */
export type SkillAreas = readonly {
	id: string;
	name: string;
	stages?: readonly string[];
	/** Whether it is no longer trained. */
	retired?: boolean;
}[];

/** A skill as a coach calls it: its area, with the stage where it names one that there is. */
export function skillName(skill: string, areas: SkillAreas): string {
	const id = areaOf(skill);
	const area = areas.find((each) => each.id === id);
	const name = area?.name ?? id.charAt(0).toUpperCase() + id.slice(1);
	const stage = area?.stages?.[(stageOf(skill) ?? 0) - 1];
	return stage === undefined ? name : `${name}: ${stage}`;
}

/** Areas that are trained. */
export const trained = <Areas extends SkillAreas>(areas: Areas): Areas[number][] =>
	areas.filter(({ retired }) => !retired);

/** Every skill that there is: each area, then its stages. */
export const skillsOf = (areas: SkillAreas): string[] =>
	areas.flatMap(({ id, stages = [] }) => [id, ...stages.map((_, index) => skillAt(id, index + 1))]);
