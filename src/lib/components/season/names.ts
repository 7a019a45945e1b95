import { areaOf, skillName, stageOf, type SkillAreas } from '$core/model/skill';
import type { Say } from '$words';
import texts from '$texts/season';

/** What the skills and units of a team are called. */
export interface Called {
	areas: SkillAreas;
	units: readonly { id: string; name: string }[];
}

/** What stands before a line of the cloth: an area, or a stage by itself, with the unit that it is for. */
export function lineName(
	{ skill, unit }: { skill: string; unit?: string },
	{ areas, units }: Called,
	say: Say
): string {
	const whole = skillName(skill, areas);
	const stage =
		stageOf(skill) === null ? whole : whole.slice(skillName(areaOf(skill), areas).length + 2);
	const name = stage.charAt(0).toUpperCase() + stage.slice(1);
	if (unit === undefined) return name;
	return say(texts.forUnit, { name, unitName: units.find(({ id }) => id === unit)?.name ?? unit });
}

/** The same in a sentence of its own: a stage with its area. */
export function wholeName(
	{ skill, unit }: { skill: string; unit?: string },
	{ areas, units }: Called,
	say: Say
): string {
	const name = skillName(skill, areas);
	if (unit === undefined) return name;
	return say(texts.forUnit, { name, unitName: units.find(({ id }) => id === unit)?.name ?? unit });
}
