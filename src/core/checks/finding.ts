import Type, { type Static } from 'typebox';
import { closed, Id, PartId } from '../model/fields';
import { Edit, type Evaluation } from '../practice';

/** What can be wrong with a practice; each has a rule of its own in this folder. */
export const FindingCode = Type.Enum([
	'player-twice',
	'adult-twice',
	'zone-twice',
	'zone-gone',
	'group-size',
	'too-few-players',
	'block-empty',
	'player-unplaced',
	'over-time',
	'under-time',
	'no-warm-up',
	'waiting',
	'move-short',
	'slot-length',
	'talk-long',
	'hard-after-hard',
	'kit-short',
	'fixture-short',
	'role-missing',
	'adults-few',
	'restricted-player',
	'contact-day',
	'water-gap',
	'stop-long',
	'second-eyes',
	'like-partners',
	'clear-space',
	'rung-skipped',
	'skill-twice',
	'daily-missing',
	'setup-clash'
]);

/** Worst first: what would stop the practice, what hurts it, what could be better. */
export const Severity = Type.Enum(['stop', 'warn', 'hint']);

/** Where a finding lies: ids, only those that apply. */
export const Place = Type.Object(
	{
		period: Type.Optional(PartId),
		block: Type.Optional(PartId),
		player: Type.Optional(Id),
		adult: Type.Optional(Id),
		zone: Type.Optional(Id),
		fromSecond: Type.Optional(Type.Number())
	},
	closed
);

/** Something that does not work, as data: the words are made in `messages.ts`. */
export const Finding = Type.Object(
	{
		code: FindingCode,
		severity: Severity,
		at: Place,
		/**
		 * Numbers and ids for the words; times in seconds or minutes as the name says, shares 0 to 1. What
		 * is told of several at once names them: `blocks`, `periods`, `players`, `adults`.
		 */
		values: Type.Record(
			Type.String(),
			Type.Union([Type.String(), Type.Number(), Type.Array(Type.String())])
		),
		/** Edits that each mend it and break nothing else, the best first. */
		fixes: Type.Array(Edit)
	},
	closed
);

export type FindingCode = Static<typeof FindingCode>;
export type Severity = Static<typeof Severity>;
export type Place = Static<typeof Place>;
export type Finding = Static<typeof Finding>;

/** One thing that is wrong at one place. */
export type Trouble = Omit<Finding, 'fixes'>;

/** What a rule looks for in a played practice, and what could be done about it. */
export interface Rule {
	/** Everything that is wrong, each place by itself. */
	find(evaluation: Evaluation): Trouble[];
	/** Edits that may mend one trouble, the best first: they are tried before they are offered. */
	propose(evaluation: Evaluation, trouble: Trouble): Iterable<Edit>;
	/** What is tried where none of these will do: the first that mends it is the only fix. */
	otherwise?(evaluation: Evaluation, trouble: Trouble): Iterable<Edit>;
	/** Edits that may mend several troubles of one cause at once; where there is none they are mended in turn. */
	proposeForAll?(evaluation: Evaluation, troubles: readonly Trouble[]): Iterable<Edit>;
	/** Troubles of one cause are told as one: what they have in common. Each is its own where it is not said. */
	cause?(trouble: Trouble, all: readonly Trouble[]): string;
	/** How bad a trouble is, to be compared with itself after an edit: more is worse. */
	weigh?(trouble: Trouble): number;
}

/** Troubles of one cause, told and mended as one. */
export interface Fault extends Trouble {
	readonly rule: Rule;
	readonly parts: readonly Trouble[];
}
