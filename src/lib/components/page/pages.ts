/** A page of a team, by the last part of its address. */
export interface TeamPage {
	id: string;
	name: string;
}

/** Pages that belong together, reached by the name of the section. */
export interface Section {
	id: string;
	name: string;
	pages: readonly TeamPage[];
}

/** The pages of a team in the order of a coach's preparation; the first of a section is its own. */
export const SECTIONS: readonly Section[] = [
	{
		id: 'practices',
		name: 'Practices',
		pages: [
			{ id: 'practices', name: 'Practices' },
			{ id: 'practices/templates', name: 'Templates' }
		]
	},
	{ id: 'drills', name: 'Drills', pages: [{ id: 'drills', name: 'Shelf' }] },
	{
		id: 'squad',
		name: 'Squad',
		pages: [
			{ id: 'squad', name: 'Squad' },
			{ id: 'attendance', name: 'Attendance' },
			{ id: 'together', name: 'Together' },
			{ id: 'adults', name: 'Adults' }
		]
	},
	{
		id: 'ground',
		name: 'Ground',
		pages: [
			{ id: 'ground', name: 'Ground' },
			{ id: 'kit', name: 'Kit' }
		]
	},
	{
		id: 'limits',
		name: 'Settings',
		pages: [
			{ id: 'limits', name: 'Limits' },
			{ id: 'words', name: 'Words' }
		]
	}
];

/** The section that a page belongs to; undefined for pages of no team. */
export const sectionOf = (page: string): Section | undefined =>
	SECTIONS.find(({ pages }) => pages.some(({ id }) => id === page));
