import type { Edit, Evaluation } from '../practice';

/** What can be wrong with a practice; each has a rule of its own in this folder. */
export type FindingCode =
	| 'player-twice'
	| 'adult-twice'
	| 'zone-twice'
	| 'group-size'
	| 'too-few-players'
	| 'block-empty'
	| 'player-unplaced'
	| 'over-time'
	| 'under-time'
	| 'no-warm-up'
	| 'waiting'
	| 'move-short'
	| 'slot-length'
	| 'talk-long'
	| 'hard-after-hard'
	| 'kit-short'
	| 'fixture-short'
	| 'role-missing'
	| 'adults-few'
	| 'restricted-player'
	| 'contact-day'
	| 'water-gap'
	| 'stop-long'
	| 'second-eyes'
	| 'like-partners'
	| 'clear-space'
	| 'rung-skipped'
	| 'skill-twice'
	| 'daily-missing'
	| 'setup-clash';

/** Worst first: what would stop the practice, what hurts it, what could be better. */
export type Severity = 'stop' | 'warn' | 'hint';

/** Where a finding lies: ids, only those that apply. */
export interface Place {
	period?: string;
	block?: string;
	player?: string;
	adult?: string;
	zone?: string;
	fromSecond?: number;
}

/** Something that does not work, as data: the words are made in `messages.ts`. */
export interface Finding {
	code: FindingCode;
	severity: Severity;
	at: Place;
	/** Numbers and ids for the words; times in seconds or minutes as the name says, shares 0 to 1. */
	values: Record<string, string | number | string[]>;
	/** Edits that each mend it, the best first. */
	fixes: Edit[];
}

/** A rule looks at a played practice and says what it finds. */
export type Rule = (evaluation: Evaluation) => Finding[];
