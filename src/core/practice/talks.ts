import type { Limits } from '../model/limits';
import type { Period } from '../model/practice';

/** The most minutes that a talk may last: the one about the next opponent has a limit of its own. */
export const mostTalkMinutes = (
	{ about }: Pick<Period, 'about'>,
	limits: Pick<Limits, 'talkMinutes' | 'gameTalkMinutes'>
): number => Math.floor(about === 'game' ? limits.gameTalkMinutes : limits.talkMinutes);
