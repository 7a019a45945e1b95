import texts from '$texts/strip';
import type { Message } from '$words';
import type { State } from '$core/playing';

/** How a state is drawn and called, in the order of the legend. Told apart by tone and by texture. */
export const STATES: readonly { state: State; word: Message; fill: string }[] = [
	{ state: 'active', word: texts.working, fill: 'var(--action)' },
	{ state: 'help', word: texts.helping, fill: 'var(--help)' },
	{ state: 'wait', word: texts.waiting, fill: 'url(#strip-wait)' },
	{ state: 'listen', word: texts.listening, fill: 'var(--listen)' },
	{ state: 'move', word: texts.moving, fill: '#ffffff' },
	{ state: 'water', word: texts.water, fill: 'var(--water)' },
	{ state: 'off', word: texts.off, fill: 'url(#strip-off)' }
];
