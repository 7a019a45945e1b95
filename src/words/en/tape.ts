import { messages } from '../message';

export default messages({
	lanes: 'Lanes',
	lanes1Zones2Groups3: 'Lanes: 1 {zones}, 2 {groups}, 3 {adults}, 4 {players}',
	tape: 'Tape',
	end: '{clockAt} end',
	nameValueFaultFault2: '{name}: {value}{fault, select, true {, {fault2}} other {}}',
	nameValueAdultCountAdultCount2:
		'{name}: {value}{adultCount, select, true { · {adultCount2}} other {}}',
	nameValueWhere: '{name}{value, select, true { · {where}} other {}}',
	to: ' to ',
	players: '{playerCount, plural, one {# {player}} other {# {players}}}',
	waits: 'waits {percent}',
	minutes: '{name}, {minutes} minutes',
	min: '{name}, {minutes} min',
	min2: '{name} · {minutes} min',
	zones: '{Zones}',
	groups: '{Groups}',
	adults: '{Adults}',
	players2: '{Players}',
	noBib: 'No bib',
	besideTheGroups: 'beside the {groups}',
	nobody: 'Nobody',
	noAdultThere: 'no {adult} there',
	longer: '{name}: {minutes} min (+{by})',
	shorter: '{name}: {minutes} min (−{by})',
	drillAsPeriod: '{name}: {minutes} min, {copies, plural, one {# copy} other {# copies}}',
	turnsBetween: '{least} to {most} {turns}',
	turnsEach: '{count, plural, one {# {turn}} other {# {turns}}}',
	between: '{least} to {most}',
	either: '{most} or {second}',
	blockGives: '{sizes} · {reps} · waits {waits}'
});
