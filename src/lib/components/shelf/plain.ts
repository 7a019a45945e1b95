import type { Message } from '$words';
import texts from '$texts/shelf';

/** Periods without a drill that a coach adds with one press. */
export type PlainKind = 'water' | 'talk' | 'close' | 'units';

/** Each with its button; unit time only where a team has units. */
export const PLAIN_PERIODS: readonly { kind: PlainKind; label: Message }[] = [
	{ kind: 'water', label: texts.addWater },
	{ kind: 'talk', label: texts.addTalk },
	{ kind: 'close', label: texts.addClose },
	{ kind: 'units', label: texts.addUnits }
];
