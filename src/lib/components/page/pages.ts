import texts from '$texts/page';
import type { Message } from '$words';

/** A page of a team, by the last part of its address. */
export interface TeamPage {
	id: string;
	name: Message;
}

/** Pages that belong together, reached by the name of the section. */
export interface Section {
	id: string;
	name: Message;
	pages: readonly TeamPage[];
}

/** The pages of a team in the order of a coach's preparation; the first of a section is its own. */
export const SECTIONS: readonly Section[] = [
	{
		id: 'season',
		name: texts.season,
		pages: [
			{ id: 'season', name: texts.season },
			{ id: 'plan', name: texts.plan },
			{ id: 'calendar', name: texts.calendar },
			{ id: 'dates', name: texts.dates },
			{ id: 'targets', name: texts.targets },
			{ id: 'ladders', name: texts.ladders },
			{ id: 'fixes', name: texts.fixes },
			{ id: 'game-week', name: texts.gameWeek }
		]
	},
	{
		id: 'practices',
		name: texts.practices,
		pages: [
			{ id: 'practices', name: texts.practices },
			{ id: 'practices/templates', name: texts.templates }
		]
	},
	{ id: 'drills', name: texts.drills, pages: [{ id: 'drills', name: texts.shelf }] },
	{
		id: 'squad',
		name: texts.squad,
		pages: [
			{ id: 'squad', name: texts.squad },
			{ id: 'attendance', name: texts.attendance },
			{ id: 'together', name: texts.together },
			{ id: 'adults', name: texts.adults }
		]
	},
	{
		id: 'ground',
		name: texts.ground,
		pages: [
			{ id: 'ground', name: texts.ground },
			{ id: 'kit', name: texts.kit }
		]
	},
	{
		id: 'limits',
		name: texts.settings,
		pages: [
			{ id: 'limits', name: texts.limits },
			{ id: 'sport', name: texts.sport },
			{ id: 'words', name: texts.words }
		]
	}
];

/** The section that a page belongs to; undefined for pages of no team. */
export const sectionOf = (page: string): Section | undefined =>
	SECTIONS.find(({ pages }) => pages.some(({ id }) => id === page));
