import Type, { type Static } from 'typebox';
import { byKey, Clock, closed, Day, Id, Minutes, Name, PartId, Text, says } from '../model/fields';
import {
	Block,
	BriefItem,
	Climb,
	GamePlan,
	Lane,
	Period,
	PeriodKind,
	Practice,
	Rank,
	Facing,
	Scenario
} from '../model/practice';

/** Null takes an optional field away. */
/** A field that may be taken away: null where there is to be none. */
const orNone = <Schema extends Type.TSchema>(schema: Schema, description: string) =>
	Type.Optional(says(Type.Union([schema, Type.Null()]), description));

const IdOrFirst = Type.Union([PartId, Type.Null()]);

const SetPractice = Type.Object(
	{
		type: Type.Literal('set-practice'),
		set: says(
			Type.Object(
				{
					date: Type.Optional(says(Day, 'The day that it is on')),
					start: Type.Optional(says(Clock, 'When it starts, local time')),
					minutes: Type.Optional(says(Minutes, 'Minutes that there are')),
					place: Type.Optional(says(Name, 'Where it is, in words')),
					groundId: orNone(Id, 'Id of the ground; null for the first of the team'),
					expected: Type.Optional(
						says(Practice.properties.expected, 'Ids of the players who are expected')
					),
					late: orNone(
						byKey(Id, Minutes),
						'Minutes after the start at which some come, by id; null for nobody'
					),
					adults: Type.Optional(says(Practice.properties.adults, 'Ids of the adults who come')),
					brief: orNone(
						Type.Array(BriefItem, { maxItems: 30 }),
						'What it is to hold by the plan of the season; null for nothing'
					)
				},
				closed
			),
			'What changes; what is not said stays'
		)
	},
	closed
);

/** Puts a whole period behind another (`after`), or first (null). */
const AddPeriod = Type.Object(
	{
		type: Type.Literal('add-period'),
		period: says(Period, 'The new period'),
		after: says(IdOrFirst, 'Id of the period before it; null for the start')
	},
	closed
);

const RemovePeriod = Type.Object(
	{ type: Type.Literal('remove-period'), period: says(PartId, 'Id of the period') },
	closed
);

const MovePeriod = Type.Object(
	{
		type: Type.Literal('move-period'),
		period: says(PartId, 'Id of the period'),
		after: says(IdOrFirst, 'Id of the period before it then; null for the start')
	},
	closed
);

const SetPeriod = Type.Object(
	{
		type: Type.Literal('set-period'),
		period: says(PartId, 'Id of the period'),
		set: says(
			Type.Object(
				{
					name: Type.Optional(says(Name, 'Its name')),
					kind: Type.Optional(says(PeriodKind, 'What it is for')),
					rank: Type.Optional(says(Rank, 'How much it matters when time is short')),
					min: Type.Optional(says(Minutes, 'Fewest minutes that make sense')),
					ideal: Type.Optional(says(Minutes, 'Best minutes')),
					max: Type.Optional(says(Minutes, 'Most minutes that make sense')),
					locked: orNone(Type.Boolean(), 'Whether it keeps its minutes; null to let them go'),
					moveSeconds: orNone(
						Type.Integer({ minimum: 0, maximum: 600 }),
						'Seconds to change stations; null for the usual'
					),
					adultsMove: orNone(
						Type.Enum(['stay', 'travel']),
						'Whether adults stay or travel; null for the usual'
					),
					zoneId: orNone(Id, 'Id of the zone in which a talk is held; null for nowhere'),
					facing: orNone(Facing, 'Where a talk faces; null for nowhere'),
					note: orNone(Text, 'What to remember of it; null for nothing')
				},
				closed
			),
			'What changes; what is not said stays'
		)
	},
	closed
);

/** Minutes of periods and, with them, of the blocks within: all or none. */
const SetMinutes = Type.Object(
	{
		type: Type.Literal('set-minutes'),
		periods: says(byKey(PartId, Minutes), 'Minutes of periods, by id'),
		blocks: says(byKey(PartId, Minutes), 'Minutes of blocks, by id')
	},
	closed
);

/** The inside of a period as a whole: what a split into stations or copies comes to. */
const ArrangePeriod = Type.Object(
	{
		type: Type.Literal('arrange-period'),
		period: says(PartId, 'Id of the period'),
		kind: says(PeriodKind, 'What it is for'),
		lanes: says(Period.properties.lanes, 'Its lanes as they are to be'),
		groups: says(
			Type.Union([Period.properties.groups, Type.Null()]),
			'Its groups as they are to be; null for none'
		),
		slots: says(
			Type.Union([Period.properties.slots, Type.Null()]),
			'Its slots as they are to be; null for none'
		),
		moveSeconds: says(
			Type.Union([Type.Integer({ minimum: 0, maximum: 600 }), Type.Null()]),
			'Seconds to change stations; null for the usual'
		)
	},
	closed
);

/** The zones of a lane and of its copies, by copy id. */
const PlaceLane = Type.Object(
	{
		type: Type.Literal('place-lane'),
		lane: says(PartId, 'Id of the lane'),
		zoneIds: says(Lane.properties.zoneIds, 'Ids of the zones that it uses then'),
		copies: says(byKey(PartId, Id), 'Id of the zone of each copy, by id of the copy')
	},
	closed
);

const SetBlock = Type.Object(
	{
		type: Type.Literal('set-block'),
		block: says(PartId, 'Id of the block'),
		set: says(
			Type.Object(
				{
					drill: orNone(Block.properties.drill, 'What is run; null for nothing yet'),
					climb: Type.Optional(says(Climb, 'The rungs that it is run on')),
					copies: Type.Optional(says(Block.properties.copies, 'The copies that run side by side')),
					stopShare: Type.Optional(
						says(
							Type.Number({ minimum: 0, maximum: 0.9 }),
							'Share of its time that it is stopped, 0 to 0.9'
						)
					),
					side: orNone(Name, 'The side on which it is done; null where it changes'),
					voice: orNone(Type.Enum(['coach', 'players']), 'Who talks; null for the usual'),
					shows: orNone(Id, 'Id of the player who shows it; null for nobody'),
					counting: orNone(Text, 'What is counted here; null for nothing'),
					scenario: orNone(Scenario, 'What the game starts from; null for nothing'),
					lead: orNone(Id, 'Id of the adult who leads it; null for nobody'),
					eyes: orNone(Id, 'Id of another adult who watches it; null for nobody'),
					lineup: orNone(GamePlan, 'Who plays where in which shift; null for no line-up'),
					note: orNone(Text, 'A note of the coach; null for none'),
					why: orNone(Text, 'Why it is here; null for no reason')
				},
				closed
			),
			'What changes; what is not said stays'
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
	{
		type: Type.Literal('all'),
		edits: says(
			Type.Array(SimpleEdit, { minItems: 1, maxItems: 300 }),
			'Edits that are one step, in order'
		)
	},
	closed
);

/** A change of a practice as data: it holds the outcome and addresses by id. */
export const Edit = Type.Union([SimpleEdit, All]);
export type Edit = Static<typeof Edit>;
export type EditOf<Kind extends Edit['type']> = Extract<Edit, { type: Kind }>;

/** An edit as it is sent: with an id that the client made, so that sending it twice does nothing more. */
export const SentEdit = Type.Object(
	{ id: says(Id, 'Id of the edit: sent twice it is applied once'), edit: says(Edit, 'The edit') },
	closed
);
export type SentEdit = Static<typeof SentEdit>;
