/** What a key does on the board. */
export interface KeyHelp {
	keys: string;
	does: string;
}

/** All keys of the board, as the help lists them. */
export const KEYS: readonly KeyHelp[] = [
	{ keys: 'J  K', does: 'next period, period before' },
	{ keys: '[  ]', does: 'a minute less, a minute more' },
	{ keys: '{  }', does: 'five minutes less, five more' },
	{ keys: 'Alt ↑  Alt ↓', does: 'move the period earlier, later' },
	{ keys: 'Alt ←  Alt →', does: 'move the block to the lane beside it' },
	{ keys: 'D', does: 'the period again, behind itself' },
	{ keys: 'X  M', does: 'cut the period in two, merge it with the same behind it' },
	{ keys: 'Shift X  Shift M', does: 'the same for the selected block on its lane' },
	{ keys: 'L', does: 'lock the minutes of the period, or let them go' },
	{ keys: ',  .', does: 'now-line a minute back, forward' },
	{ keys: 'Space', does: 'play, stop (when nothing has the focus)' },
	{ keys: '1  2  3  4', does: 'lanes by zone, group, adult, player' },
	{ keys: 'S', does: 'split the period into stations' },
	{ keys: 'G  R', does: 'groups of the period, the way through its stations' },
	{ keys: 'F', does: 'fit the periods to the time' },
	{ keys: '/', does: 'find a drill' },
	{ keys: 'Delete', does: 'remove the period' },
	{ keys: 'U  Shift U', does: 'undo, redo (also Ctrl or Cmd with Z)' },
	{ keys: 'Esc', does: 'let go of the selection' },
	{ keys: '?', does: 'this list' }
];

const TYPING =
	'input:not([type="range"]):not([type="checkbox"]), textarea, select, [contenteditable]';

/** Whether a key press belongs to a field that is being typed in. */
export function isTyping(event: KeyboardEvent): boolean {
	// The window, too, is a target of events, and it matches nothing.
	const target = event.target as Partial<Element> | null;
	return target?.matches?.(TYPING) === true;
}
