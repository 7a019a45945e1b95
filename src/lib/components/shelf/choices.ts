import { areaOf, skillName, skillsOf, stageOf, type SkillAreas } from '$core/model/skill';
import type { Facet } from '$core/shelf';
import texts from '$texts/shelf';
import { called, type Message, type Say } from '$words';

/** A choice of a part of the filter, with how many drills it leaves. */
export interface Choice {
	value: string;
	name: string;
	count: number;
}

const CONTACT: readonly Message[] = [
	texts.contactNone,
	texts.contactTouch,
	texts.contactLight,
	texts.contactHard,
	texts.contactFull
];

/** Skills as a tree: each area, its stages set in below it, then skills that the team does not list. */
function skillChoices(counts: Facet['counts'], areas: SkillAreas): Choice[] {
	const countOf = new Map(counts.map(({ value, count }) => [value, count]));
	const listed = skillsOf(areas).filter((skill) => countOf.has(skill));
	const others = [...countOf.keys()]
		.filter((skill) => !listed.includes(skill))
		.toSorted((a, b) => (a < b ? -1 : 1));
	return [...listed, ...others].map((value) => {
		const stage = areas.find(({ id }) => id === areaOf(value))?.stages?.[(stageOf(value) ?? 0) - 1];
		const name = stage === undefined ? skillName(value, areas) : `– ${stage}`;
		return { value, name, count: countOf.get(value) ?? 0 };
	});
}

/** The choices of a part of the filter as a coach calls them. */
export function choicesOf(
	key: Facet['key'],
	facets: readonly Facet[],
	{ areas, say }: { areas: SkillAreas; say: Say }
): Choice[] {
	const counts = facets.find((facet) => facet.key === key)?.counts ?? [];
	if (key === 'skill') return skillChoices(counts, areas);
	const nameOf = (value: string) => {
		if (key === 'contact') return say(CONTACT[Number(value)]);
		if (key === 'unused') return say(texts.practices, { count: Number(value) });
		return key === 'frequency' ? called(value, say) : value;
	};
	return counts.map(({ value, count }) => ({ value, name: nameOf(value), count }));
}
