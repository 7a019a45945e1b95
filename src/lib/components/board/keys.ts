import texts from '$texts/board';
import type { Message } from '$words';

/** What a key does on the board. */
export interface KeyHelp {
	keys: string;
	does: Message;
}

/** All keys of the board, as the help lists them. */
export const KEYS: readonly KeyHelp[] = [
	{ keys: 'J  K', does: texts.nextPeriodPeriodBefore },
	{ keys: '[  ]', does: texts.aMinuteLessAMinuteMore },
	{ keys: '{  }', does: texts.fiveMinutesLessFiveMore },
	{ keys: 'Alt ↑  Alt ↓', does: texts.moveThePeriodEarlierLater },
	{ keys: 'Alt ←  Alt →', does: texts.moveTheBlockToTheLane },
	{ keys: 'D', does: texts.thePeriodAgainBehindItself },
	{ keys: 'X  M', does: texts.cutThePeriodInTwoMerge },
	{ keys: 'Shift X  Shift M', does: texts.theSameForTheSelectedBlock },
	{ keys: 'L', does: texts.lockTheMinutesOfThePeriod },
	{ keys: ',  .', does: texts.nowLineAMinuteBackForward },
	{ keys: 'Space', does: texts.playStopWhenNothingHasThe },
	{ keys: '1  2  3  4', does: texts.lanesByZoneGroupAdultPlayer },
	{ keys: 'S', does: texts.splitThePeriodIntoStations },
	{ keys: 'G  R', does: texts.groupsOfThePeriodTheWay },
	{ keys: 'F', does: texts.fitThePeriodsToTheTime },
	{ keys: '/', does: texts.findDrill },
	{ keys: 'Delete', does: texts.removeThePeriod },
	{ keys: 'U  Shift U', does: texts.undoRedoAlsoCtrlOrCmd },
	{ keys: 'Esc', does: texts.letGoOfTheSelection },
	{ keys: '?', does: texts.thisList }
];

const TYPING =
	'input:not([type="range"]):not([type="checkbox"]), textarea, select, [contenteditable]';

/** Whether a key press belongs to a field that is being typed in. */
export function isTyping(event: KeyboardEvent): boolean {
	// The window, too, is a target of events, and it matches nothing.
	const target = event.target as Partial<Element> | null;
	return target?.matches?.(TYPING) === true;
}
