import { misfitText } from '$core/base';
import { suitsAges } from '$core/model/ages';
import { Drill } from '$core/model/drill';
import { areaOf } from '$core/model/skill';
import type { Sport } from '$core/model/sport';
import { DEFAULT_LIMITS } from '$core/practice';
import { inSport, type SportFacts } from '$core/shelf';
import { filledWith } from '$words';
import { readShape } from '../../../../doors';
import { shippedFiles } from '../../shipped';
import { readDemo } from './seedDemo';

const folder = 'drills';

/** What a sport says that its drills are written with. */
type Wording = SportFacts & Pick<Sport, 'alike'>;

/** Ages of a team, in years. */
interface Ages {
	from: number;
	to: number;
}
/** Grown-ups, where it is not said for whom. */
const ADULTS: Ages = { from: 18, to: 40 };

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

/** The drills for any sport that ship with the application, as a team of one runs them. */
export const anySportDrills = (sport: Wording, { from }: Ages = ADULTS): Drill[] =>
	[...shippedFiles(folder)].map(([path, text]) =>
		inSport(written(path, text, sport), sport, { age: from, limits: DEFAULT_LIMITS })
	);

/** The drills that a new team of a sport and an age starts with: those of its own, and those for any. */
export function drillsFor(
	{ id, ...sport }: Pick<Sport, 'id'> & Wording,
	ages: Ages = ADULTS
): Drill[] {
	const own = readDemo().flatMap(({ drills }) =>
		drills.filter(({ sports }) => sports.includes(id))
	);
	const all = [...own, ...anySportDrills(sport, ages)];
	return all.filter((drill) => suitsAges(drill, ages)).map((drill) => ({ ...drill, revision: 1 }));
}
