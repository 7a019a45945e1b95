import { messages } from '../message';

export default messages({
	drawingsOfTheDrills: 'Drawings of the {drills}',
	when: '{name} · {start} to {end} · {place}{week, plural, =0 {} other { · week #}}',
	players: '{players} ·',
	adults: '{adults} ·',
	busy: 'busy ·',
	turnsEach: '{turns} each',
	clock: 'Clock',
	minZone: 'Min, {zone}',
	whatWhereWho: 'What, where, who',
	cues: '{Cues}',
	slotsOfWhistleAt:
		'· {count, plural, one {# {slot}} other {# {slots}}} of {length}, whistle at {times}',
	sides: 'sides: {sides}',
	care: 'Care: {cautions}',
	groupsIn: '{Groups} in {name}',
	lineUpOf: '{LineUp} of {name}',
	inNoPartOfIt: 'In no part of it:',
	checkYourLeaguesRulesOnlyA:
		"Check your league's rules. Only a licensed practitioner clears {aPlayer}.",
	sheetFieldPlan: '{day}, sheet · Field Plan',
	backToTheBoard: 'Back to the board',
	withDrawingsOfTheDrills: 'with drawings of the {drills}',
	printThisSheet: 'Print this sheet',
	asItIs: 'as it is',
	firstThen: '{first}, then {then}',
	everyone: 'everyone'
});
