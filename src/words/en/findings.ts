import { messages } from '../message';

/**
 * What is wrong with a practice, one sentence a finding. `blocks`, `periods` and `people` are names with
 * commas between them, `many` is how many they are.
 */
export default messages({
	namesAndMore: '{names} and {more} more',
	twoBlocksOf: 'two {blocks} of {name}',
	oneAndInOther: '{one} and in {other}',
	playerTwice: '{people} {many, plural, one {is} other {are}} in {both} at {clock}.',
	adultTwice: '{person} is in {both} at {clock}.',
	adultInMore: '{person} is in {both} at {clock}, and in {more} more at once.',
	zoneTwice: '{Zone} {name} holds {first} and {second} from {from} to {to}.',
	zoneGone:
		'{where} {many, plural, one {stands in {aZone}} other {stand in {zones}}} that this {ground} does not have.',
	groupSize: '{name} takes {min} to {max} {players}; {aGroup} has {has}.',
	tooFewPlayers: '{name} cannot run: {reason}.',
	arrangeForHere: 'Arrange for who is here',
	notHere:
		'{young, plural, =0 {} one {# {player}} other {# {players}}}{young, plural, =0 {} other {{grown, plural, =0 {} other { and }}}}{grown, plural, =0 {} one {# {adult}} other {# {adults}}} who have a place here do not come: {places, plural, one {# part does} other {# parts do}} not run without them.',
	blockEmpty: '{name} has nobody or no {drill}.',
	periodEmpty: '{name} has no {drill} yet.',
	playerUnplaced: '{people} {many, plural, one {has} other {have}} no place in {where}.',
	overTime:
		'The {periods} take {planned, plural, one {# minute} other {# minutes}}: {over} over the {minutes} there are.',
	underTime:
		'{spare, plural, one {# minute of {minutes} is} other {# minutes of {minutes} are}} not used yet.',
	noWarmUp:
		'{name} is hard work (effort {effort}) after {minutes, plural, one {# minute} other {# minutes}} of warm-up; it needs {needed}.',
	waiting:
		'In {name} {count, plural, one {# {player} waits} other {# {players} wait}} {share} of the time, up to {longest} s at a stretch.',
	moveShort: '{name} leaves {seconds} s to change {stations}; {metres} m take {needed} s.',
	slotLength: '{Slots} of {length} min in {name}: {least} to {most} suit this age.',
	talkLong:
		'{name} lasts {minutes, plural, one {# minute} other {# minutes}}; {players} listen for {limit}.',
	hardAfterHard:
		'{first} (effort {effort}) and {second} (effort {nextEffort}) follow each other without a rest.',
	kitShort:
		'{where} and what runs beside {many, plural, one {it} other {them}} need {needed} × {item}; there are {has}.',
	fixtureShort:
		'{name} needs {items} for each copy; {zone} {zoneName} serves {serves} of {copies}.',
	roleMissing:
		'{where} {many, plural, one {needs} other {need}} {count} × {role} in each {group}; one has {has}.',
	zoneWithoutAdult:
		'Nobody watches the {players} in {where}: under {under}, {anAdult} must be in their {zone} or in the one beside it, for {sight, plural, one {# {station}} other {# {stations}}} at most.',
	adultsForCopies:
		'{where} {many, plural, one {needs} other {need}} {needed, plural, one {{anAdult}} other {# {adults}}} with each copy; one has {has, plural, =0 {none} other {#}}.',
	adultsInCharge:
		'{count, plural, one {# {player}} other {# {players}}} of this age need {needed, plural, one {# {adult}} other {# {adults}}} who may have them in charge (one for {each}); {has, plural, one {# is} other {# are}} there.',
	adultsInChargeUntil:
		'{count, plural, one {# {player}} other {# {players}}} of this age need {needed, plural, one {# {adult}} other {# {adults}}} who may have them in charge (one for {each}); {has, plural, one {# is} other {# are}} there until {clock}.',
	restrictedPlayer:
		'{person} is kept out of {from, select, all {all training} contact {contact and live play} running {running} other {some {drills}}}{isOpen, select, true {} other { up to and including {until}}} by {setBy}{isSaid, select, true { ({reason})} other {}}, and is in {where}.',
	contactDay:
		'With {where} {aPlayer} has {minutes, plural, one {# minute} other {# minutes}} of hard contact today; the limit is {limit}.',
	loadDay:
		'With {where} {person}{others, plural, =0 {} one { and # more} other { and # more}} {others, plural, =0 {has} other {have}} up to {count} {kind} today; the limit is {limit}. A league or a practitioner may allow less.',
	contactWeek:
		'With {where} {aPlayer} has {minutes, plural, one {# minute} other {# minutes}} of hard contact in seven days; the limit is {limit}.',
	contactRamp:
		'{where} {many, plural, one {has} other {have}} contact of level {level}, and {person} has come to {attended, plural, =0 {no {practice}} one {# {practice}} other {# {practices}}} of the season{others, plural, =0 {} one {, # more to too few} other {, # more to too few}}: {needed} must come before it.',
	loadWeek:
		'With {where} {person}{others, plural, =0 {} one { and # more} other { and # more}} {others, plural, =0 {has} other {have}} up to {count} {kind} in seven days; the limit is {limit}. A league or a practitioner may allow less.',
	contactRow:
		'With {where} {aPlayer} has {minutes, plural, one {# minute} other {# minutes}} of hard contact today after {before} yesterday; on two days in a row {limit} are the most.',
	tooHard:
		'{where} {many, plural, one {has} other {have}} {what, select, effort {effort} other {contact of level}} {has}; at {age} years {most} is the most.',
	ageUnsuited:
		'{where} {many, plural, one {is} other {are}} meant for {to, plural, =99 {{from} years and older} other {{from} to {to} years}}.',
	drillLong:
		'{Players} are at {where} for {minutes} minutes; at this age {limit} are the most for one {drill}.',
	hardLong:
		'{minutes} minutes of hard work from {from} without {easy} easy ones in between; {limit} are the most. A drink is no rest.',
	gameNear:
		'{where} {many, plural, one {is} other {are}} not meant for the last {within, plural, =0 {hours} one {day} other {# days}} before a game; the next one is {days, plural, =0 {today} one {tomorrow} other {in # days}}.',
	loadRest:
		'{person}{others, plural, =0 {} one { and # more} other { and # more}} had {count} {kind} on {day} and {others, plural, =0 {rests} other {rest}} from them until {until}: {where}. A league or a doctor may ask for more.',
	clearanceDue:
		'{person} is out of {from, select, all {all training} contact {contact and live play} running {running} other {some {drills}}} as set by {setBy} until {until}. Who cleared {person}, and from which day? It holds until the squad’s page says so.',
	sunOnCatch: 'In {where} {players} look up into a low sun.',
	standLong:
		'In {where} somebody stands in line for {seconds} seconds at a stretch; at this age {limit} are the most.',
	sunInEyes: '{name}: {players} look into a low sun.',
	waterGap:
		'{minutes, plural, one {# minute} other {# minutes}} without water from {from}; the limit is {limit}.',
	stopLong:
		'{where} {many, plural, one {is} other {are}} stopped for {share} of the time; {limit} is the limit.',
	secondEyes:
		'{where} {many, plural, one {is live and nobody else watches it} other {are live and nobody else watches them}}; {person} is free.',
	likePartners:
		'{name} is for {players} of like strength; two of {aGroup} are {apart} ratings apart.',
	clearSpace: '{name} needs {clear} m clear around it; {other} is {gap} m away.',
	clearSpaceNone: '{name} needs {clear} m clear around it; {other} is right beside it.',
	lookUpClose:
		'In {where} {players} look up for a catch with others {gap} m away; {clear} m should be clear.',
	rungSkipped: '{name} climbs to "{to}" without "{missing}" before it.',
	skillTwice:
		'{where} {many, plural, one {has} other {have}} the same main skill as {first}: {skill}.',
	floorShort:
		'{skill}: {got} of the {minutes, plural, one {# minute} other {# minutes}} that every {practice} of the season is to hold.',
	dailyMissing: '{name} is meant for every {practice} and is missing here.',
	zoneSmall:
		'{Zone} {zoneName} is too small for {name}: {copies, plural, one {one copy is} other {# copies are}} in it, {holds, plural, =0 {none fits} one {one fits} other {# fit}}.',
	setupClash: '{name} takes {seconds} s to lay out; {first} leaves its {ground} {free} s before.',
	setupClashMore:
		'{name} and {more} more beside it take {seconds} s to lay out; {first} leaves their {ground} {free} s before.',
	mustBeFixed: 'must be fixed',
	couldBeBetter: 'could be better',
	toFix: 'To fix',
	toFixCount: 'To fix: {count}',
	nothingToFix: 'Nothing to fix',
	addTheSquadFirst: 'Add the {squad} first.',
	everyoneHasAPlaceTheTime: 'Everyone has a place, the time is right, and nobody waits too long.',
	inNoPartOfIt: 'In no part of it:',
	thisPracticeIsEmptyPutA:
		'This {practice} is empty. Put a warm-up from the {shelf} on the tape first.',
	thisTeamHasNoPlayersYet: 'This team has no {players} yet.'
});
