import Type, { type Static } from 'typebox';
import { byKey, Clock, closed, Day, Id, Minutes, Name, PartId, Text } from '../model/fields';
import {
	Block,
	Climb,
	GamePlan,
	Lane,
	Period,
	PeriodKind,
	Practice,
	Rank
} from '../model/practice';

/** Null takes an optional field away. */
const orNone = <Schema extends Type.TSchema>(schema: Schema) =>
	Type.Optional(Type.Union([schema, Type.Null()]));

const IdOrFirst = Type.Union([PartId, Type.Null()]);

const SetPractice = Type.Object(
	{
		type: Type.Literal('set-practice'),
		set: Type.Object(
			{
				date: Type.Optional(Day),
				start: Type.Optional(Clock),
				minutes: Type.Optional(Minutes),
				place: Type.Optional(Name),
				expected: Type.Optional(Practice.properties.expected),
				late: orNone(byKey(Id, Minutes)),
				adults: Type.Optional(Practice.properties.adults)
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

const RemovePeriod = Type.Object({ type: Type.Literal('remove-period'), period: PartId }, closed);

const MovePeriod = Type.Object(
	{ type: Type.Literal('move-period'), period: PartId, after: IdOrFirst },
	closed
);

const SetPeriod = Type.Object(
	{
		type: Type.Literal('set-period'),
		period: PartId,
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
				adultsMove: orNone(Type.Enum(['stay', 'travel'])),
				note: orNone(Text)
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
		periods: byKey(PartId, Minutes),
		blocks: byKey(PartId, Minutes)
	},
	closed
);

/** The inside of a period as a whole: what a split into stations or copies comes to. */
const ArrangePeriod = Type.Object(
	{
		type: Type.Literal('arrange-period'),
		period: PartId,
		kind: PeriodKind,
		lanes: Period.properties.lanes,
		groups: Type.Union([Period.properties.groups, Type.Null()]),
		slots: Type.Union([Period.properties.slots, Type.Null()]),
		moveSeconds: Type.Union([Type.Integer({ minimum: 0, maximum: 600 }), Type.Null()])
	},
	closed
);

/** The zones of a lane and of its copies, by copy id. */
const PlaceLane = Type.Object(
	{
		type: Type.Literal('place-lane'),
		lane: PartId,
		zoneIds: Lane.properties.zoneIds,
		copies: byKey(PartId, Id)
	},
	closed
);

const SetBlock = Type.Object(
	{
		type: Type.Literal('set-block'),
		block: PartId,
		set: Type.Object(
			{
				drill: orNone(Block.properties.drill),
				climb: Type.Optional(Climb),
				copies: Type.Optional(Block.properties.copies),
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
	{ type: Type.Literal('all'), edits: Type.Array(SimpleEdit, { minItems: 1, maxItems: 300 }) },
	closed
);

/** A change of a practice as data: it holds the outcome and addresses by id. */
export const Edit = Type.Union([SimpleEdit, All]);
export type Edit = Static<typeof Edit>;
export type EditOf<Kind extends Edit['type']> = Extract<Edit, { type: Kind }>;

/** An edit as it is sent: with an id that the client made, so that sending it twice does nothing more. */
export const SentEdit = Type.Object({ id: Id, edit: Edit }, closed);
export type SentEdit = Static<typeof SentEdit>;
