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
		/** Numbers and ids for the words; times in seconds or minutes as the name says, shares 0 to 1. */
		values: Type.Record(
			Type.String(),
			Type.Union([Type.String(), Type.Number(), Type.Array(Type.String())])
		),
		/** Edits that each mend it, the best first. */
		fixes: Type.Array(Edit)
	},
	closed
);

export type FindingCode = Static<typeof FindingCode>;
export type Severity = Static<typeof Severity>;
export type Place = Static<typeof Place>;
export type Finding = Static<typeof Finding>;

/** A rule looks at a played practice and says what it finds. */
export type Rule = (evaluation: Evaluation) => Finding[];
