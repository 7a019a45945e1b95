import { messages } from '../message';

export default messages({
	drawingsOfTheDrills: 'Drawings of the {drills}',
	to: '{name} · {start} to {clockAt} · {place}{week, select, true { · week {week2}} other {}}',
	players: '{players} ·',
	adults: '{adults} ·',
	busy: 'busy ·',
	turnsEach: '{turns} each',
	clock: 'Clock',
	minZone: 'Min, {zone}',
	whatWhereWho: 'What, where, who',
	cues: '{Cues}',
	slotsOfWhistleAt:
		': {slotCount, plural, one {# {slot}} other {# {slots}}} of {floor}:{value}, whistle at {slice}',
	sides: 'sides: {sides}',
	adultCountAdultCount2TurnCountValue:
		'{adultCount, select, true {· {adultCount2}} other {}} {turnCount, select, true {· {value}} other {}}',
	care: 'Care: {cautions}',
	groupsIn: '{Groups} in {name}',
	lineUpOf: '{LineUp} of {name}',
	inNoPartOfIt: 'In no part of it:',
	checkYourLeaguesRulesOnlyA:
		"Check your league's rules. Only a licensed practitioner clears {aPlayer}.",
	sheetFieldPlan: '{dayWords}, sheet · Field Plan',
	backToTheBoard: 'Back to the board',
	withDrawingsOfTheDrills: 'with drawings of the {drills}',
	printThisSheet: 'Print this sheet',
	asItIs: 'as it is',
	firstThen: '{first}, then {then}',
	everyone: 'everyone'
});
