import { messages } from '../message';

export default messages({
	of: '{start}, {coming} of {peopleCount} {isHeld, select, true {came} other {come}}',
	soFar: 'So far',
	on: '{name} on {day}',
	comes: 'comes',
	late: 'late',
	absent: 'absent',
	minutesIsLateOn: 'Minutes {name} is late on {day}',
	min: 'min',
	whyIsAbsentOn: 'Why {name} is absent on {day}',
	reason: 'reason',
	usuallyLate: 'usually late',
	attendance: 'Attendance',
	attendanceInWeek: 'Attendance in week {week}',
	week: 'Week {week}',
	thisWeek: 'This week',
	noPracticeIsPlannedInThis: 'No {practice} is planned this week.',
	createPractice: 'Create {aPractice}',
	saveAttendance: 'Save attendance',
	practiceThatIsToComeIs:
		'{APractice} still to come is planned again at once; for one that was held, {turns} and minutes are counted again.',
	usuallyLateAre: 'Usually late: {names}.',
	nobodyIsUsuallyLate: 'Nobody is usually late.',
	lateTimes: 'late {late} of {asked}, about {minutes} min',
	absentTimes: 'absent {absent}',
	alwaysThereOf: 'always there, {asked} of {asked}',
	players: '{Players}',
	adults: '{Adults}'
});
