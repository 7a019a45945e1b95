import Type, { type Static } from 'typebox';
import { ClimbStep } from '../drill';
import { Clock, closed, Day, Id, Minutes, Name, Text } from '../model/fields';
import { Block, Copy, GamePlan, Group, Lane, Period, PeriodKind, Slot } from '../model/practice';
import { Rank } from '../clock';

/** Null takes an optional field away. */
const orNone = <Schema extends Type.TSchema>(schema: Schema) =>
	Type.Optional(Type.Union([schema, Type.Null()]));

const IdOrFirst = Type.Union([Id, Type.Null()]);

const SetPractice = Type.Object(
	{
		type: Type.Literal('set-practice'),
		set: Type.Object(
			{
				date: Type.Optional(Day),
				start: Type.Optional(Clock),
				minutes: Type.Optional(Minutes),
				place: Type.Optional(Name),
				expected: Type.Optional(Type.Array(Id)),
				late: orNone(Type.Record(Type.String(), Minutes)),
				adults: Type.Optional(Type.Array(Id))
			},
			closed
		)
	},
	closed
);

/** Puts a whole period behind another (`after`), or first (null). */
const AddPeriod = Type.Object(
	{ type: Type.Literal('add-period'), period: Period, after: IdOrFirst },
	closed
);

const RemovePeriod = Type.Object({ type: Type.Literal('remove-period'), period: Id }, closed);

const MovePeriod = Type.Object(
	{ type: Type.Literal('move-period'), period: Id, after: IdOrFirst },
	closed
);

const SetPeriod = Type.Object(
	{
		type: Type.Literal('set-period'),
		period: Id,
		set: Type.Object(
			{
				name: Type.Optional(Name),
				kind: Type.Optional(PeriodKind),
				rank: Type.Optional(Rank),
				min: Type.Optional(Minutes),
				ideal: Type.Optional(Minutes),
				max: Type.Optional(Minutes),
				locked: orNone(Type.Boolean()),
				moveSeconds: orNone(Type.Integer({ minimum: 0, maximum: 600 })),
				adultsMove: orNone(Type.Enum(['stay', 'travel']))
			},
			closed
		)
	},
	closed
);

/** Minutes of periods and, with them, of the blocks within: all or none. */
const SetMinutes = Type.Object(
	{
		type: Type.Literal('set-minutes'),
		periods: Type.Record(Type.String(), Minutes),
		blocks: Type.Record(Type.String(), Minutes)
	},
	closed
);

/** The inside of a period as a whole: what a split into stations or copies comes to. */
const ArrangePeriod = Type.Object(
	{
		type: Type.Literal('arrange-period'),
		period: Id,
		kind: PeriodKind,
		lanes: Type.Array(Lane),
		groups: Type.Union([Type.Array(Group), Type.Null()]),
		slots: Type.Union([Type.Array(Slot), Type.Null()]),
		moveSeconds: Type.Union([Type.Integer({ minimum: 0, maximum: 600 }), Type.Null()])
	},
	closed
);

/** The zones of a lane and of its copies, by copy id. */
const PlaceLane = Type.Object(
	{
		type: Type.Literal('place-lane'),
		lane: Id,
		zoneIds: Type.Array(Id),
		copies: Type.Record(Type.String(), Id)
	},
	closed
);

const SetBlock = Type.Object(
	{
		type: Type.Literal('set-block'),
		block: Id,
		set: Type.Object(
			{
				drill: orNone(Block.properties.drill),
				climb: Type.Optional(Type.Array(ClimbStep)),
				copies: Type.Optional(Type.Array(Copy)),
				stopShare: Type.Optional(Type.Number({ minimum: 0, maximum: 0.9 })),
				lead: orNone(Id),
				eyes: orNone(Id),
				lineup: orNone(GamePlan),
				note: orNone(Text),
				why: orNone(Text)
			},
			closed
		)
	},
	closed
);

/** An edit that is not made of others. */
const SimpleEdit = Type.Union([
	SetPractice,
	AddPeriod,
	RemovePeriod,
	MovePeriod,
	SetPeriod,
	SetMinutes,
	ArrangePeriod,
	PlaceLane,
	SetBlock
]);

/** Several edits that are one step for the coach: all apply, or none. */
const All = Type.Object(
	{ type: Type.Literal('all'), edits: Type.Array(SimpleEdit, { minItems: 1 }) },
	closed
);

/** A change of a practice as data: it holds the outcome and addresses by id. */
export const Edit = Type.Union([SimpleEdit, All]);
export type Edit = Static<typeof Edit>;
export type EditOf<Kind extends Edit['type']> = Extract<Edit, { type: Kind }>;

/** An edit as it is sent: with an id that the client made, so that sending it twice does nothing more. */
export const SentEdit = Type.Object({ id: Id, edit: Edit }, closed);
export type SentEdit = Static<typeof SentEdit>;
