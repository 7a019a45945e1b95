import type { State } from '$core/playing';

/** How a state is drawn and called, in the order of the legend. Told apart by tone and by texture. */
export const STATES: readonly { state: State; word: string; fill: string }[] = [
	{ state: 'active', word: 'working', fill: 'var(--action)' },
	{ state: 'help', word: 'helping', fill: 'var(--help)' },
	{ state: 'wait', word: 'waiting', fill: 'url(#strip-wait)' },
	{ state: 'listen', word: 'listening', fill: 'var(--listen)' },
	{ state: 'move', word: 'moving', fill: '#ffffff' },
	{ state: 'water', word: 'water', fill: 'var(--water)' },
	{ state: 'off', word: 'off', fill: 'url(#strip-off)' }
];
