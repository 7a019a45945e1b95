import Type, { type Static, type TSchema } from 'typebox';
import { closed, Day, Id, Key, Name, PartId, SkillId, Text } from './fields';
import { Practice } from './practice';
import { Ages, BirthYear, Ground, KitItem, Limits, Restriction, Season, Team } from './team';

/** What the whole export is, in its first file. */
export const ExportHead = Type.Object({ format: Type.Literal('fieldplan/export@1') }, closed);

/** A person with all that was ever said of them, dated. */
export const ExportPerson = Type.Object(
	{
		id: Id,
		kind: Type.Enum(['player', 'adult']),
		name: Name,
		number: Type.Optional(Type.Integer({ minimum: 0, maximum: 999 })),
		usuallyLate: Type.Optional(Type.Boolean()),
		role: Type.Optional(Name),
		leads: Type.Optional(Type.Array(Id)),
		days: Type.Optional(Type.Array(Type.Integer({ minimum: 1, maximum: 7 }))),
		positions: Type.Optional(Type.Array(Id)),
		restrictions: Type.Optional(Type.Array(Restriction)),
		birthYear: Type.Optional(BirthYear),
		leadsWell: Type.Optional(Type.Boolean()),
		note: Type.Optional(Text),
		skills: Type.Optional(Type.Array(Id)),
		ages: Type.Optional(Ages),
		/** Null from the day on that the player is of no unit any more. */
		units: Type.Array(Type.Object({ since: Day, unit: Type.Union([Id, Type.Null()]) }, closed)),
		/** Null from the day on that the player is not rated any more. */
		ratings: Type.Array(
			Type.Object(
				{
					since: Day,
					skill: Id,
					rating: Type.Union([Type.Number({ minimum: 1, maximum: 5 }), Type.Null()])
				},
				closed
			)
		)
	},
	closed
);

/** Values, each from a day on. */
const from = <Value extends TSchema>(value: Value) =>
	Type.Array(Type.Object({ since: Day, value }, closed), { maxItems: 1000 });

/** `teams/ID/team.json`: who and what there is. */
export const ExportTeam = Type.Object(
	{
		format: Type.Literal('fieldplan/team@1'),
		team: Team,
		seasons: Type.Array(Season, { minItems: 1 }),
		people: Type.Array(ExportPerson, { maxItems: 2000 }),
		/** Ids of people who were removed: practices keep a place for them, without a name. */
		gone: Type.Optional(Type.Array(Id, { maxItems: 5000 })),
		grounds: Type.Array(Ground, { minItems: 1 }),
		/** What the team had at first. */
		kit: Type.Array(KitItem),
		/** What it had from later days on, in order of time. */
		kitFrom: Type.Optional(from(Type.Array(KitItem))),
		/** What it set itself of the limits at first: from the day `limitsSince` on, or always. */
		limits: Type.Optional(Type.Partial(Limits, closed)),
		limitsSince: Type.Optional(Day),
		/** What it set from later days on, in order of time. */
		limitsFrom: Type.Optional(from(Type.Partial(Limits, closed))),
		/** Ids of drills that are archived. */
		archivedDrills: Type.Optional(Type.Array(Id, { maxItems: 10_000 }))
	},
	closed
);

/** Whether a practice is still to come, was held, or will not be. */
export const PracticeState = Type.Enum(['planned', 'held', 'cancelled']);
export type PracticeState = Static<typeof PracticeState>;

/** `teams/ID/practices/ID.json`. */
export const ExportPractice = Type.Object(
	{
		format: Type.Literal('fieldplan/stored-practice@1'),
		revision: Type.Integer({ minimum: 1 }),
		archived: Type.Boolean(),
		/** Where it is not said, `held` says it. */
		state: Type.Optional(PracticeState),
		/** Of older files; where it is not said either, a practice was held if it has rows of what was done. */
		held: Type.Optional(Type.Boolean()),
		practice: Practice
	},
	closed
);

/** `teams/ID/ledger.json`: what every practice was planned to give and gave. */
export const ExportLedger = Type.Object(
	{
		format: Type.Literal('fieldplan/ledger@1'),
		rows: Type.Array(
			Type.Object(
				{
					practice: Id,
					period: PartId,
					block: PartId,
					drill: Id,
					revision: Type.Integer({ minimum: 1 }),
					rung: Type.Union([Key, Type.Null()]),
					player: Id,
					unit: Type.Union([Id, Type.Null()]),
					date: Day,
					skill: SkillId,
					focus: Type.Enum(['main', 'second']),
					seconds: Type.Number({ minimum: 0 }),
					activeSeconds: Type.Number({ minimum: 0 }),
					turns: Type.Number({ minimum: 0 }),
					state: Type.Enum(['planned', 'done'])
				},
				closed
			)
		)
	},
	closed
);

export type ExportTeam = Static<typeof ExportTeam>;
export type ExportPerson = Static<typeof ExportPerson>;
export type ExportPractice = Static<typeof ExportPractice>;
export type ExportLedger = Static<typeof ExportLedger>;
