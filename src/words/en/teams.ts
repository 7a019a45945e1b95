import { messages } from '../message';

export default messages({
	teams: 'Teams',
	eachHasItsOwnSquadGround: 'Each has its own squad, ground, drills and practices.',
	newTeam: 'New team',
	madeUpToTryThings: 'made-up demo',
	removeNamed: 'Remove {name}',
	remove: 'Remove',
	thereIsNoTeamYet: 'There is no team yet.',
	createTheFirstOne: 'Create the first one',
	itsNameItsSportAndWho: ': its name, its sport, and who plays.',
	itsSquadDrillsPracticesAndWhat:
		'Its squad, drills, practices and what was counted go with it. To keep them, export everything under Data first.',
	removeTheTeamAndAllOf: 'Remove the team and all of it',
	numberMany: '{number, plural, one {# {one}} other {# {many}}}',
	itStartsWithTheGroundPositions:
		'It starts with the ground, positions and drills of its sport. You can change all of it later.',
	name: 'Name',
	sport: 'Sport',
	sportOfYourOwn: 'A sport of your own',
	itsName: 'What it is called',
	playedWith: 'Played with',
	playedWithHint: 'ball, disc, shuttle …',
	groundLength: 'Length of the ground, m',
	groundWidth: 'Width of the ground, m',
	indoors: 'Indoors',
	youngestYears: 'Youngest, years',
	oldestYears: 'Oldest, years',
	headCoach: 'Head coach',
	playersOneALine: 'Players, one per line ({lines})',
	pasteTheListThatYouHave: 'Paste the list that you have. A number before the name is kept.',
	createTeam: 'Create team',
	playersHint: '7 Ada Lind\n12 Bo Farrow'
});
