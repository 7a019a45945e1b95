import Type, { type Static } from 'typebox';
import { Rank } from '../clock';
import { ClimbStep } from '../drill';
import { Clock, closed, Day, Id, Minutes, Name, Text } from './fields';

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
		id: Id,
		zoneId: Id,
		/** The players are those of this group of the period, and `players` beside them. */
		group: Type.Optional(Id),
		players: Type.Array(Id),
		adults: Type.Array(Id)
	},
	closed
);

/** Who plays where in each shift of a game; `at` is by `team:index` of the positions. */
export const GamePlan = Type.Object(
	{
		positions: Type.Array(Id),
		shifts: Type.Array(
			Type.Object({ at: Type.Record(Type.String(), Id), sit: Type.Array(Id) }, closed)
		)
	},
	closed
);

/** A drill in a period: its rungs one after another, its copies, who leads and who watches. */
export const Block = Type.Object(
	{
		id: Id,
		drill: Type.Optional(Type.Object({ id: Id, revision: Type.Integer({ minimum: 1 }) }, closed)),
		/** At least one step; their minutes are weights where a block is stretched or a slot is short. */
		climb: Type.Array(ClimbStep),
		minutes: Minutes,
		copies: Type.Array(Copy),
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
		id: Id,
		zoneIds: Type.Array(Id),
		unit: Type.Optional(Id),
		blocks: Type.Array(Block)
	},
	closed
);

/** Players who go through a period together, told apart by a bib. */
export const Group = Type.Object(
	{
		id: Id,
		bib: Type.Integer({ minimum: 0, maximum: 7 }),
		players: Type.Array(Id),
		leader: Type.Optional(Id)
	},
	closed
);

/** Who is where in one slot of a station period: group ids by lane id; the others rest. */
export const Slot = Type.Record(Type.String(), Type.Array(Id));

/** A stretch of the practice in which everyone does something side by side. */
export const Period = Type.Object(
	{
		id: Id,
		name: Name,
		kind: PeriodKind,
		rank: Rank,
		min: Minutes,
		ideal: Minutes,
		max: Minutes,
		minutes: Minutes,
		locked: Type.Optional(Type.Boolean()),
		groups: Type.Optional(Type.Array(Group)),
		slots: Type.Optional(Type.Array(Slot)),
		moveSeconds: Type.Optional(Type.Integer({ minimum: 0, maximum: 600 })),
		adultsMove: Type.Optional(Type.Enum(['stay', 'travel'])),
		lanes: Type.Array(Lane)
	},
	closed
);

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
		expected: Type.Array(Id),
		/** Minutes after the start at which some of the expected come. */
		late: Type.Optional(Type.Record(Type.String(), Minutes)),
		adults: Type.Array(Id),
		periods: Type.Array(Period)
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
		periods: Type.Array(Period)
	},
	closed
);

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
