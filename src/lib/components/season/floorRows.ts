import type { Season } from '$core/model/season';
import { skillName, skillsOf, type SkillAreas } from '$core/model/skill';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import { TypedRows } from '../table/typedRows.svelte';
import texts from '$texts/targets';
import type { Say } from '$words';

/** A skill that every practice is to hold, while it is typed in. */
export type FloorRow = TypedRow & { skill: string; minutes: string };

/** The floors of a season while they are typed in. */
export const floorRows = (stored: () => Season): TypedRows<FloorRow> =>
	new TypedRows<FloorRow>({
		stored: () =>
			(stored().floors ?? []).map(({ skill, minutes }, index) => ({
				key: `floor-${index}`,
				skill,
				minutes: String(minutes)
			})),
		empty: (key) => ({ key, skill: '', minutes: '10' }),
		prefix: 'floor-',
		isNamed: ({ skill }) => skill !== '',
		sent: ({ skill, minutes }) => ({
			skill,
			minutes: minutes.trim() === '' ? null : Number(minutes)
		}),
		first: 'skill'
	});

/** Their columns, to choose from the skills of a team. */
export function floorColumns(areas: SkillAreas, say: Say): Column<FloorRow>[] {
	const options = skillsOf(areas).map((id) => ({ id, name: skillName(id, areas) }));
	const column = (id: 'skill' | 'minutes', heading: string, kind: 'choice' | 'number') =>
		fieldColumn<FloorRow, typeof id>(id, {
			heading,
			kind,
			label: (row) =>
				say(texts.floorOf, {
					what: heading,
					name: row.skill ? skillName(row.skill, areas) : say(texts.aNewOne)
				}),
			...(kind === 'choice' && { options, least: 260 })
		});
	return [
		column('skill', say(texts.skill), 'choice'),
		column('minutes', say(texts.minutes), 'number')
	];
}
