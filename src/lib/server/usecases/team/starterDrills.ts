import { misfitText } from '$core/base';
import { Drill } from '$core/model/drill';
import { areaOf } from '$core/model/skill';
import type { Sport } from '$core/model/sport';
import { filledWith } from '$words';
import { readShape } from '../../../../doors';
import { shippedFiles } from '../../shipped';
import { readDemo } from './seedDemo';

const folder = 'drills';

/** What a sport says that its drills are written with. */
type Wording = Pick<Sport, 'words' | 'alike'>;

/** A drill for any sport in the words of one: its ball, its cones, its own areas of skill. */
function written(path: string, text: string, { words, alike = {} }: Wording): Drill {
	const fill = filledWith(words);
	const ownSkill = (skill: string) => {
		const area = areaOf(skill);
		return `${alike[area] ?? area}${skill.slice(area.length)}`;
	};
	const drill = readShape(
		Drill,
		JSON.parse(text, (key, value: unknown) => {
			if (typeof value !== 'string') return value;
			return key === 'skill' ? ownSkill(value) : fill(value);
		})
	);
	if (drill.ok) return drill.value;
	throw new Error(`${folder}/${path}: ${misfitText(drill.failure)}`);
}

/** The drills for any sport that ship with the application, in the words of one. */
export const anySportDrills = (wording: Wording): Drill[] =>
	[...shippedFiles(folder)].map(([path, text]) => written(path, text, wording));

/** The drills that a new team of a sport starts with: those of its own, and those for any. */
export function drillsFor({ id, ...wording }: Pick<Sport, 'id'> & Wording): Drill[] {
	const own = readDemo().flatMap(({ drills }) =>
		drills.filter(({ sports }) => sports.includes(id))
	);
	const all = [...own, ...anySportDrills(wording)];
	return all.map((drill) => ({ ...drill, revision: 1 }));
}
