import { messages } from '../message';

export default messages({
	adults: '{Adults}',
	whoComesThisWeek: 'Who comes this week',
	addAdult: 'Add {aAdult}',
	saveTheAdults: 'Save the {adults}',
	noAdultIsHereYetAdd: 'No {adult} is here yet. Add who coaches and who helps.',
	nameRoleAndUnitsGoPractices:
		'Name, role and {units} go. {Practices} that asked for them say that somebody is missing.',
	coachesAndHelpersWhoeverMayNot:
		'Coaches and helpers. Whoever may not have {players} of this age in charge is not counted where {adults} are too few.',
	of: '{heading} of {name}',
	thatMayHaveInCharge: '{heading} that {name} may have in charge',
	name: 'Name',
	role: 'Role',
	units: '{Units}',
	canLead: 'Can lead',
	agesFrom: 'Ages from',
	agesTo: 'Ages to',
	usuallyComes: 'Usually comes',
	monday: 'Mon',
	tuesday: 'Tue',
	wednesday: 'Wed',
	thursday: 'Thu',
	friday: 'Fri',
	saturday: 'Sat',
	sunday: 'Sun',
	aNewAdult: 'a new {adult}'
});
