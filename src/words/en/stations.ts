import { messages } from '../message';

export default messages({
	station: '{Station} {index}',
	nameMinMaxRunsWithNotWith:
		'{name} ({min}–{max}){runsWith, select, true {} other {, not with {playerCount}}}',
	zone: '{Zone}',
	tooSmall: '{name}, too small',
	adult: '{Adult}',
	nobody: 'nobody',
	waits: 'waits {percent}',
	doesNotRunWith: 'does not run with {playerCount}',
	stationsOf: '{Stations} of {name}',
	splitNameIntoStations: 'Split {name} into {stations}',
	useTheseStations: 'Use these {count, plural, one {# {station}} other {# {stations}}}',
	splitIntoStations: 'Split into {count, plural, one {# {station}} other {# {stations}}}',
	cancel: 'Cancel',
	howManyForWith: 'How many, for {name} with {peopleCount}?',
	players: '{playerCount, plural, one {# {player}} other {# {players}}}',
	inEvenGroupsOfSlotsOf:
		'in {count} even {groups} of {sizes} · {count, plural, one {# {slot}} other {# {slots}}} of',
	min: 'min',
	secondsToChange: 'Seconds to change',
	stations: '{Stations}',
	slotLastsMinToSuitThis:
		'{ASlot} lasts {clock} min; {least} to {most} suit this age. Take fewer {stations}, or give the {period} more minutes.',
	noMoreThanOfStationsCan:
		'No more than {foundCount} of {next} {stations} can run with these {groups}, {adults}, {zones} and {kit}.'
});
