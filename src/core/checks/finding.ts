import Type, { type Static, type TProperties, type TSchema } from 'typebox';
import { closed, Day, Id, PartId } from '../model/fields';
import type { Evaluation } from '../playing';
import { Edit } from '../practice';

const Seconds = Type.Number({ description: 'Seconds from the start of the practice' });
const Count = Type.Integer({ minimum: 0 });
const Minutes = Type.Number({ minimum: 0, description: 'Minutes' });
const Share = Type.Number({ minimum: 0, maximum: 1, description: 'A share, 0 to 1' });
const Label = Type.String({ description: 'A name as the coach gave it' });
const object = <Properties extends TProperties>(properties: Properties) =>
	Type.Object(properties, closed);

const twice = object({ first: PartId, second: PartId, atSecond: Seconds });

/** What can be wrong with a practice, with its numbers and ids; each has a rule of its own in this folder. */
export const VALUES = {
	'player-twice': twice,
	'adult-twice': twice,
	'zone-twice': object({ first: PartId, second: PartId, fromSecond: Seconds, toSecond: Seconds }),
	'zone-gone': object({ zone: Id }),
	'group-size': object({ players: Count, min: Count, max: Count }),
	'too-few-players': object({ players: Count, needed: Count, reason: Type.String() }),
	'block-empty': object({ name: Label }),
	'player-unplaced': object({}),
	'over-time': object({ overMinutes: Minutes, minutes: Minutes, planned: Minutes }),
	'under-time': object({ spareMinutes: Minutes, minutes: Minutes, planned: Minutes }),
	'no-warm-up': object({ minutes: Minutes, needed: Minutes, effort: Type.Number() }),
	waiting: object({
		players: Count,
		waitShare: Share,
		turns: Type.Number(),
		longestWaitSeconds: Type.Number()
	}),
	'move-short': object({
		moveSeconds: Type.Number(),
		needed: Type.Number({ description: 'Seconds' }),
		metres: Type.Number()
	}),
	'slot-length': object({ minutes: Type.Number(), least: Minutes, most: Minutes }),
	'talk-long': object({ minutes: Minutes, limit: Minutes }),
	'hard-after-hard': object({
		first: Label,
		second: Label,
		effort: Type.Number(),
		nextEffort: Type.Number()
	}),
	'kit-short': object({ item: Label, needed: Type.Number(), has: Type.Number() }),
	'fixture-short': object({
		zone: Id,
		copies: Count,
		serves: Count,
		items: Type.Array(Label)
	}),
	'role-missing': object({ role: Id, count: Count, has: Count }),
	'adults-few': Type.Union([
		object({
			players: Count,
			adults: Count,
			needed: Count,
			each: Type.Number({ description: 'Players that an adult may have in charge at this age' }),
			until: Type.Optional(Seconds)
		}),
		object({ adults: Count, needed: Count }),
		object({ zones: Type.Array(Id), under: Type.Number({ description: 'Years of age' }) })
	]),
	'restricted-player': object({
		from: Type.String(),
		setBy: Type.String(),
		until: Type.Optional(Day)
	}),
	'contact-day': object({ minutes: Minutes, limit: Minutes }),
	'water-gap': object({ minutes: Minutes, limit: Minutes, last: PartId }),
	'stop-long': object({ stopShare: Share, limit: Share }),
	'second-eyes': object({ adult: Id }),
	'like-partners': object({
		apart: Type.Number({ description: 'Ratings between two of a group' })
	}),
	'clear-space': object({
		other: PartId,
		gap: Type.Number({ description: 'Metres' }),
		clear: Type.Number({ description: 'Metres' })
	}),
	'rung-skipped': object({ to: Label, missing: Label }),
	'skill-twice': object({ skill: Type.String(), first: PartId }),
	'daily-missing': object({ drill: Id }),
	'setup-clash': object({
		seconds: Type.Number(),
		free: Type.Number({ description: 'Seconds' }),
		first: PartId,
		zone: Id
	})
} satisfies Record<string, TSchema>;

export type FindingCode = keyof typeof VALUES;
export type Values = { [Code in FindingCode]: Static<(typeof VALUES)[Code]> };
const CODES = Object.keys(VALUES) as FindingCode[];

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

/** Everything and everyone that a finding lies at, of what is told as one too; ids, each once. */
export const Among = object({
	blocks: Type.Array(PartId),
	periods: Type.Array(PartId),
	players: Type.Array(Id),
	adults: Type.Array(Id)
});

/** Something that does not work, as data: the words are made in `messages.ts`. */
export const Finding = object({
	code: Type.Enum(CODES),
	severity: Severity,
	at: Place,
	/** Those of its code. */
	values: Type.Union(Object.values<TSchema>(VALUES)),
	among: Among,
	/** Edits that each mend it and break nothing else, the best first. */
	fixes: Type.Array(Edit)
});

export type Severity = Static<typeof Severity>;
export type Place = Static<typeof Place>;
export type Among = Static<typeof Among>;

/** One thing that is wrong at one place. */
export type Trouble<Code extends FindingCode = FindingCode> = {
	[Each in Code]: { code: Each; severity: Severity; at: Place; values: Values[Each] };
}[Code];

export type Finding = Trouble & { among: Among; fixes: Edit[] };

/** What a rule looks for in a played practice, and what could be done about it. */
export interface Rule<Code extends FindingCode = FindingCode> {
	/** Everything that is wrong, each place by itself. */
	find(evaluation: Evaluation): Trouble<Code>[];
	/** Edits that may mend one trouble, the best first: they are tried before they are offered. */
	propose(evaluation: Evaluation, trouble: Trouble<Code>): Iterable<Edit>;
	/** What is tried where none of these will do: the first that mends it is the only fix. */
	otherwise?(evaluation: Evaluation, trouble: Trouble<Code>): Iterable<Edit>;
	/** Edits that may mend several troubles of one cause at once; where there is none they are mended in turn. */
	proposeForAll?(evaluation: Evaluation, troubles: readonly Trouble<Code>[]): Iterable<Edit>;
	/** Troubles of one cause are told as one: what they have in common. Each is its own where it is not said. */
	cause?(trouble: Trouble<Code>, all: readonly Trouble<Code>[]): string;
	/** How bad a trouble is, to be compared with itself after an edit: more is worse. */
	weigh?(trouble: Trouble<Code>): number;
}

/** Troubles of one cause, told and mended as one. */
export type Fault = Trouble & {
	readonly among: Among;
	readonly rule: Rule;
	readonly parts: readonly Trouble[];
};
