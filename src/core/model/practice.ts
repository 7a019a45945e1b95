import Type, { type Static } from 'typebox';
import { byKey, Clock, closed, Day, Id, Key, Minutes, Name, PartId, Text } from './fields';
import { MOST_PLAYERS } from './squad';

/** How much a period matters when time is short. */
export const Rank = Type.Enum(['must', 'should', 'could']);

/** A step of a climb: a rung of the drill, itself where none is named, and the minutes on it. */
export const ClimbStep = Type.Object({ rung: Type.Optional(Key), minutes: Type.Number() }, closed);

/** How much a practice may hold of each: far more than a ground does, and still played in good time. */
const MOST = {
	adults: 100,
	blocks: 30,
	copies: 100,
	groups: 200,
	lanes: 40,
	periods: 60,
	places: 60,
	shifts: 100,
	slots: 60,
	steps: 20
} as const;

/** Players of a practice, or of a part of it. */
const Players = Type.Array(Id, { maxItems: MOST_PLAYERS });
const Adults = Type.Array(Id, { maxItems: MOST.adults });

/** The steps of a block's climb; their minutes are weights where a block is stretched or a slot is short. */
export const Climb = Type.Array(
	Type.Object(
		{
			...ClimbStep.properties,
			minutes: Type.Number({ exclusiveMinimum: 0, maximum: 600 })
		},
		closed
	),
	{ minItems: 1, maxItems: MOST.steps }
);

/** What a period is for. `before` and `room` lie outside the ground's time with the ball. */
export const PeriodKind = Type.Enum([
	'before',
	'room',
	'warm-up',
	'together',
	'units',
	'stations',
	'scrimmage',
	'talk',
	'water',
	'close'
]);

/** One running copy of a drill: where, who beside the group named, which adults. */
export const Copy = Type.Object(
	{
		id: PartId,
		zoneId: Id,
		/** The players are those of this group of the period, and `players` beside them. */
		group: Type.Optional(PartId),
		players: Players,
		adults: Adults
	},
	closed
);

/** Who plays where in each shift of a game; `at` is by `team:index` of the positions. */
export const GamePlan = Type.Object(
	{
		positions: Type.Array(Id, { maxItems: MOST.places }),
		shifts: Type.Array(Type.Object({ at: byKey(Key, Id), sit: Players }, closed), {
			maxItems: MOST.shifts
		})
	},
	closed
);

/** A drill in a period: its rungs one after another, its copies, who leads and who watches. */
export const Block = Type.Object(
	{
		id: PartId,
		drill: Type.Optional(Type.Object({ id: Id, revision: Type.Integer({ minimum: 1 }) }, closed)),
		climb: Climb,
		minutes: Minutes,
		copies: Type.Array(Copy, { maxItems: MOST.copies }),
		lead: Type.Optional(Id),
		eyes: Type.Optional(Id),
		voice: Type.Optional(Type.Enum(['coach', 'players'])),
		stopShare: Type.Number({ minimum: 0, maximum: 0.9 }),
		side: Type.Optional(Name),
		lineup: Type.Optional(GamePlan),
		note: Type.Optional(Text),
		why: Type.Optional(Text)
	},
	closed
);

/** Blocks one after another on the same zones. In a station period a lane is a station. */
export const Lane = Type.Object(
	{
		id: PartId,
		zoneIds: Type.Array(Id, { maxItems: MOST.copies }),
		unit: Type.Optional(Id),
		blocks: Type.Array(Block, { maxItems: MOST.blocks })
	},
	closed
);

/** Players who go through a period together, told apart by a bib. */
export const Group = Type.Object(
	{
		id: PartId,
		bib: Type.Integer({ minimum: 0, maximum: 7 }),
		players: Players,
		leader: Type.Optional(Id)
	},
	closed
);

/** Who is where in one slot of a station period: group ids by lane id; the others rest. */
export const Slot = byKey(PartId, Type.Array(PartId, { maxItems: MOST.groups }));

/** A stretch of the practice in which everyone does something side by side. */
export const Period = Type.Object(
	{
		id: PartId,
		name: Name,
		kind: PeriodKind,
		rank: Rank,
		min: Minutes,
		ideal: Minutes,
		max: Minutes,
		minutes: Minutes,
		locked: Type.Optional(Type.Boolean()),
		groups: Type.Optional(Type.Array(Group, { maxItems: MOST.groups })),
		slots: Type.Optional(Type.Array(Slot, { maxItems: MOST.slots })),
		moveSeconds: Type.Optional(Type.Integer({ minimum: 0, maximum: 600 })),
		adultsMove: Type.Optional(Type.Enum(['stay', 'travel'])),
		/** What the coach wants to remember of it. */
		note: Type.Optional(Text),
		lanes: Type.Array(Lane, { maxItems: MOST.lanes })
	},
	closed
);

const Periods = Type.Array(Period, { maxItems: MOST.periods });

/** A practice as one value: the document that is edited, evaluated, stored and printed. */
export const Practice = Type.Object(
	{
		format: Type.Literal('fieldplan/practice@1'),
		id: Id,
		teamId: Id,
		seasonId: Id,
		date: Day,
		start: Clock,
		timeZone: Name,
		minutes: Minutes,
		arc: Type.Optional(Type.Enum(['build-up', 'play-first'])),
		place: Name,
		/** The ground that it is planned on; the team's first where it is not said. */
		groundId: Type.Optional(Id),
		expected: Players,
		/** Minutes after the start at which some of the players and adults come. */
		late: Type.Optional(byKey(Id, Minutes)),
		adults: Adults,
		periods: Periods
	},
	closed
);

/** The periods of a practice without its day: what a new practice can start with. */
export const Template = Type.Object(
	{
		format: Type.Literal('fieldplan/template@1'),
		id: Id,
		name: Name,
		minutes: Minutes,
		periods: Periods
	},
	closed
);

export type Rank = Static<typeof Rank>;
export type ClimbStep = Static<typeof ClimbStep>;
export type PeriodKind = Static<typeof PeriodKind>;
export type GamePlan = Static<typeof GamePlan>;
export type Copy = Static<typeof Copy>;
export type Block = Static<typeof Block>;
export type Lane = Static<typeof Lane>;
export type Group = Static<typeof Group>;
export type Slot = Static<typeof Slot>;
export type Period = Static<typeof Period>;
export type Practice = Static<typeof Practice>;
export type Template = Static<typeof Template>;
