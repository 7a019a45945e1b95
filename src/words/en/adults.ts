import { messages } from '../message';

export default messages({
	adults: '{Adults}',
	whoComesThisWeek: 'Who comes this week',
	addAdult: 'Add {anAdult}',
	saveTheAdults: 'Save the {adults}',
	noAdultIsHereYetAdd: 'No {adult} is here yet. Add who coaches and who helps.',
	nameRoleAndUnitsGoPractices:
		'Their name, role and {units} are deleted. {Practices} that they were planned for will say that {anAdult} is missing.',
	coachesAndHelpersWhoeverMayNot:
		'Coaches and helpers. Those who may not have {players} of this age in charge do not count as supervision.',
	of: '{heading} of {name}',
	thatMayHaveInCharge: '{heading} that {name} may have in charge',
	name: 'Name',
	role: 'Role',
	units: '{Units}',
	canLead: 'Can lead',
	agesFrom: 'Ages from',
	agesTo: 'Ages to',
	usuallyComes: 'Usually comes',
	aNewAdult: 'a new {adult}'
});
