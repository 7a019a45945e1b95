import { messages } from '../message';

export default messages({
	kit: '{Kit}',
	addAThing: 'Add a thing',
	saveTheKit: 'Save the {kit}',
	thereIsNoKitYetAdd: 'There is no {kit} yet. Add what you carry to the {ground}.',
	drillsAskForTheseAndThere: '{Drills} ask for these, and there are none',
	sliceDrillCount: '{slice}{drillCount, select, true { …} other {}}',
	whatCanBeUsedIsPlanned:
		'What can be used is planned with: what is there, less what is broken. {Drills} ask for things by these names.',
	aNewThing: 'a new thing',
	thing: 'Thing',
	thereAre: 'There are',
	howManyOf: 'How many of {thing}',
	broken: 'Broken',
	howManyOfAreBroken: 'How many of {thing} are broken',
	whereItIsKept: 'Where it is kept',
	whereIsKept: 'Where {thing} is kept',
	drillsThatAskForIt: '{Drills} that ask for it'
});
