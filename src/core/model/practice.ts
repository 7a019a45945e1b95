import Type, { type Static } from 'typebox';
import { byKey, Clock, closed, Day, Id, Key, Minutes, Name, PartId, Text, says } from './fields';
import { MOST_PLAYERS } from './squad';

/** How much a period matters when time is short. */
export const Rank = Type.Enum(['must', 'should', 'could']);

/**
 * A step of a climb: a rung of the drill, itself where none is named, and the minutes or the turns on it.
 * All steps of a climb have minutes, or all have turns: these run again from the first until time is over.
 */
export const ClimbStep = Type.Object(
	{
		rung: Type.Optional(says(Key, 'Id of the rung; the drill itself where it is not said')),
		minutes: Type.Optional(says(Type.Number(), 'Minutes on it, over 0; not beside turns')),
		turns: Type.Optional(
			says(Type.Number(), 'Turns until the next step, 1 to 500; not beside minutes')
		),
		side: Type.Optional(
			says(Name, 'Name of the side that all its turns are on; they change as the drill says else')
		)
	},
	closed
);

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

/**
 * The steps of a block's climb; their minutes are weights where a block is stretched or a slot is short.
 * All have minutes, or all have turns.
 */
export const Climb = Type.Array(
	Type.Object(
		{
			...ClimbStep.properties,
			minutes: Type.Optional(
				says(
					Type.Number({ exclusiveMinimum: 0, maximum: 600 }),
					'Minutes on it, over 0; weights where the block is stretched'
				)
			),
			turns: Type.Optional(
				says(
					Type.Integer({ minimum: 1, maximum: 500 }),
					'Turns until the next step, in place of minutes'
				)
			)
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
		id: says(PartId, 'Its id within the practice'),
		zoneId: says(Id, 'Id of the zone that it runs in'),
		group: Type.Optional(
			says(PartId, 'Id of a group of the period: its players run it, and `players` beside them')
		),
		players: says(Players, 'Ids of players who run it, beside those of the group'),
		adults: says(Adults, 'Ids of the adults who stand with it'),
		climb: Type.Optional(says(Climb, "Its own steps, in place of the block's"))
	},
	closed
);

/** Who plays where in each shift of a game; `at` is by `team:index` of the positions. */
export const GamePlan = Type.Object(
	{
		positions: says(
			Type.Array(Id, { maxItems: MOST.places }),
			'Ids of the positions of one team, one for each place'
		),
		shifts: says(
			Type.Array(
				Type.Object(
					{
						at: says(byKey(Key, Id), 'Ids of players by `team:index` of the positions'),
						sit: says(Players, 'Ids of players who sit')
					},
					closed
				),
				{
					maxItems: MOST.shifts
				}
			),
			'The shifts one after another'
		)
	},
	closed
);

/** What a game starts from: so that it is played as the last minutes of a close one, say. */
export const Scenario = Type.Object(
	{
		score: Type.Optional(says(Name, 'The score, such as 1-2')),
		secondsLeft: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 7200 }), 'Seconds left to play')
		),
		possession: Type.Optional(says(Name, 'Who has the ball')),
		restart: Type.Optional(says(Name, 'How play starts'))
	},
	closed
);

/** A drill in a period: its rungs one after another, its copies, who leads and who watches. */
export const Block = Type.Object(
	{
		id: says(PartId, 'Its id within the practice'),
		drill: Type.Optional(
			says(
				Type.Object(
					{
						id: says(Id, 'Id of the drill'),
						revision: says(Type.Integer({ minimum: 1 }), 'Its revision, from 1')
					},
					closed
				),
				'What is run; nothing yet where it is not said'
			)
		),
		climb: says(Climb, 'The rungs that it is run on, one after another'),
		minutes: says(Minutes, 'Minutes that it lasts'),
		copies: says(Type.Array(Copy, { maxItems: MOST.copies }), 'The copies that run side by side'),
		lead: Type.Optional(says(Id, 'Id of the adult who leads it')),
		eyes: Type.Optional(says(Id, 'Id of another adult who watches it')),
		voice: Type.Optional(
			says(Type.Enum(['coach', 'players']), 'Who talks: the coach, or the players among themselves')
		),
		stopShare: says(
			Type.Number({ minimum: 0, maximum: 0.9 }),
			'Share of its time that it is stopped to talk, 0 to 0.9'
		),
		side: Type.Optional(says(Name, 'The side on which it is done, where the drill has any')),
		scenario: Type.Optional(says(Scenario, 'What the game starts from')),
		shows: Type.Optional(says(Id, 'Id of the player who goes first and shows it')),
		counting: Type.Optional(says(Text, 'What is counted here')),
		lineup: Type.Optional(says(GamePlan, 'Who plays where in which shift of a game')),
		note: Type.Optional(says(Text, 'A note of the coach')),
		why: Type.Optional(says(Text, 'Why it is here'))
	},
	closed
);

/** Blocks one after another on the same zones. In a station period a lane is a station. */
export const Lane = Type.Object(
	{
		id: says(PartId, 'Its id within the practice'),
		zoneIds: says(Type.Array(Id, { maxItems: MOST.copies }), 'Ids of the zones that it uses'),
		unit: Type.Optional(says(Id, 'Id of the unit that works in it; everyone where it is not said')),
		blocks: says(Type.Array(Block, { maxItems: MOST.blocks }), 'Its blocks one after another')
	},
	closed
);

/** Bibs that can be told apart: one for each letter. */
export const MOST_BIBS = 26;

/** Players who go through a period together, told apart by a bib. */
export const Group = Type.Object(
	{
		id: says(PartId, 'Its id within the practice'),
		bib: says(
			Type.Integer({ minimum: 0, maximum: MOST_BIBS - 1 }),
			'Number of its bib, 0 to 25: a pattern and a letter'
		),
		players: says(Players, 'Ids of its players'),
		leader: Type.Optional(says(Id, 'Id of the player who leads it'))
	},
	closed
);

/** Who is where in one slot of a station period: group ids by lane id; the others rest. */
export const Slot = byKey(PartId, Type.Array(PartId, { maxItems: MOST.groups }));

/** A direction in degrees from north, clockwise: 90 is east. */
export const Facing = Type.Integer({ minimum: 0, maximum: 359 });

/** A stretch of the practice in which everyone does something side by side. */
export const Period = Type.Object(
	{
		id: says(PartId, 'Its id within the practice'),
		name: says(Name, 'Its name'),
		kind: says(PeriodKind, 'What it is for'),
		rank: says(Rank, 'How much it matters when time is short'),
		min: says(Minutes, 'Fewest minutes that make sense'),
		ideal: says(Minutes, 'Best minutes'),
		max: says(Minutes, 'Most minutes that make sense'),
		minutes: says(Minutes, 'Minutes that it has'),
		locked: Type.Optional(
			says(Type.Boolean(), 'Whether it keeps its minutes when the practice is fitted')
		),
		groups: Type.Optional(
			says(Type.Array(Group, { maxItems: MOST.groups }), 'Groups that go through it together')
		),
		slots: Type.Optional(
			says(Type.Array(Slot, { maxItems: MOST.slots }), 'Who is at which station in each slot')
		),
		moveSeconds: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 600 }), 'Seconds to change stations')
		),
		adultsMove: Type.Optional(
			says(
				Type.Enum(['stay', 'travel']),
				'Whether adults stay at their station or travel with a group'
			)
		),
		zoneId: Type.Optional(says(Id, 'Id of the zone in which a talk is held')),
		facing: Type.Optional(says(Facing, 'Where players look in a talk, degrees from north')),
		about: Type.Optional(
			says(
				Type.Enum(['game']),
				'What a talk is about: `game` for the one about the next opponent, which may be longer'
			)
		),
		note: Type.Optional(says(Text, 'What the coach wants to remember of it')),
		lanes: says(Type.Array(Lane, { maxItems: MOST.lanes }), 'What runs side by side')
	},
	closed
);

const Periods = Type.Array(Period, { maxItems: MOST.periods });

/** A drill that a practice is to hold by the plan of its season. */
export const BriefItem = Type.Object(
	{
		drill: says(Id, 'Id of the drill'),
		rung: Type.Optional(says(Key, 'Id of its rung; the drill itself where it is not said')),
		minutes: says(Minutes, 'Minutes that each player is to have of it'),
		why: Type.Optional(says(Text, 'Why the plan has put it there, in words')),
		locked: Type.Optional(says(Type.Boolean(), 'Whether it stays when the season is planned again'))
	},
	closed
);

/** A practice as one value: the document that is edited, evaluated, stored and printed. */
export const Practice = Type.Object(
	{
		format: Type.Literal('fieldplan/practice@1'),
		id: says(Id, 'Its id in the team'),
		teamId: says(Id, 'Id of the team'),
		seasonId: says(Id, 'Id of the season that it belongs to'),
		date: says(Day, 'The day that it is on'),
		start: says(Clock, 'When it starts, local time'),
		timeZone: says(Name, 'IANA name of its time zone, such as Europe/Dublin'),
		minutes: says(Minutes, 'Minutes that there are'),
		arc: Type.Optional(
			says(Type.Enum(['build-up', 'play-first']), 'How it is built: technique first, or play first')
		),
		place: says(Name, 'Where it is, in words'),
		groundId: Type.Optional(
			says(Id, "The ground that it is planned on; the team's first where it is not said")
		),
		expected: says(Players, 'Ids of the players who are expected'),
		late: Type.Optional(
			says(
				byKey(Id, Minutes),
				'Minutes after the start at which some of the players and adults come, by id'
			)
		),
		adults: says(Adults, 'Ids of the adults who come'),
		brief: Type.Optional(
			says(
				Type.Array(BriefItem, { maxItems: 30 }),
				'What it is to hold by the plan of the season, for whoever builds it'
			)
		),
		periods: says(Periods, 'What is done, in order')
	},
	closed
);

/** The periods of a practice without its day: what a new practice can start with. */
export const Template = Type.Object(
	{
		format: Type.Literal('fieldplan/template@1'),
		id: says(Id, 'Its id in the team'),
		name: says(Name, 'Its name'),
		minutes: says(Minutes, 'Minutes that it is made for'),
		periods: says(Periods, 'What is done, in order')
	},
	closed
);

export type Rank = Static<typeof Rank>;
export type ClimbStep = Static<typeof ClimbStep>;
export type PeriodKind = Static<typeof PeriodKind>;
export type Scenario = Static<typeof Scenario>;
export type GamePlan = Static<typeof GamePlan>;
export type Copy = Static<typeof Copy>;
export type Block = Static<typeof Block>;
export type Lane = Static<typeof Lane>;
export type Group = Static<typeof Group>;
export type Slot = Static<typeof Slot>;
export type Period = Static<typeof Period>;
export type BriefItem = Static<typeof BriefItem>;
export type Practice = Static<typeof Practice>;
export type Template = Static<typeof Template>;
