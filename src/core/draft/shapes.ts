import Type, { type Static } from 'typebox';
import { Surroundings } from '../model/bundle';
import {
	byKey,
	Clock,
	closed,
	Day,
	Id,
	Key,
	Minutes,
	PartId,
	says,
	SkillId
} from '../model/fields';
import { Period, Practice } from '../model/practice';
import { MOST_PLAYERS } from '../model/squad';

const Share = Type.Number({ minimum: 0, maximum: 1 });

/** Seeds are under this. */
export const MOST_SEED = 1_000_000;

/** When, how long and with whom a practice is. */
export const Frame = Type.Object(
	{
		date: says(Day, 'The day that it is on'),
		start: says(Clock, 'When it starts, local time'),
		minutes: says(Minutes, 'Minutes that there are'),
		expected: says(
			Type.Array(Id, { maxItems: MOST_PLAYERS, uniqueItems: true }),
			'Ids of the players who are expected'
		),
		late: Type.Optional(
			says(byKey(Id, Minutes), 'Minutes after the start at which some of them come, by id')
		),
		adults: says(
			Type.Array(Id, { maxItems: 100, uniqueItems: true }),
			'Ids of the adults who come'
		),
		groundId: Type.Optional(says(Id, 'The ground that it is on'))
	},
	closed
);

/** What `draft` takes: the surroundings of a practice, its frame, and what is due. */
export const DraftInput = Type.Object(
	{
		...Surroundings.properties,
		frame: says(Frame, 'When, how long and with whom it is'),
		arc: says(
			Type.Enum(['build-up', 'play-first']),
			'How it is built: technique first, or play first'
		),
		due: says(
			Type.Array(
				Type.Object(
					{
						skill: says(SkillId, 'An area of skill, or a stage of it'),
						weight: says(
							Type.Number({ minimum: 0, maximum: 1000 }),
							'What a minute of it is worth'
						),
						minutes: says(Type.Number({ minimum: 0, maximum: 10_000 }), 'Minutes that are wanted')
					},
					closed
				),
				{ maxItems: 500 }
			),
			'What is due, in minutes of a player'
		),
		brief: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							drill: says(Id, 'Id of a drill'),
							rung: Type.Optional(says(Key, 'Id of its rung')),
							minutes: says(Minutes, 'Minutes that each player is to have of it')
						},
						closed
					),
					{ maxItems: 30 }
				),
				'Drills that it is to hold, in place of a choice by what is due'
			)
		),
		keep: Type.Optional(
			says(Type.Array(Period, { maxItems: 60 }), 'Periods that stay as they are, in their order')
		),
		scrimmage: Type.Optional(
			says(
				Type.Number({ minimum: 0, maximum: 600 }),
				'Minutes of scrimmage; as is usual for the arc where it is not said'
			)
		),
		unitTime: Type.Optional(says(Type.Boolean(), 'Whether units work by themselves for a while')),
		stations: Type.Optional(
			says(Type.Boolean(), 'Whether there are stations; as it comes best where it is not said')
		),
		recent: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{ drill: says(Id, 'Id of a drill'), date: says(Day, 'A day on which it was run') },
						closed
					),
					{ maxItems: 5000 }
				),
				'What the latest practices ran'
			)
		),
		ladders: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							drill: says(Id, 'Id of a drill'),
							rung: says(
								Type.Union([Key, Type.Null()]),
								'The rung to run; null is the drill itself'
							)
						},
						closed
					),
					{ maxItems: 5000 }
				),
				'Where ladders go on; a drill that is not listed is run as it is'
			)
		),
		met: Type.Optional(
			says(
				Type.Array(Type.Array(Type.Union([Id, Type.Number()])), { maxItems: 50_000 }),
				'How often two have been in a group together, each pair once: their ids and the number; even groups of those who have met least are made'
			)
		),
		alternatives: Type.Optional(
			says(Type.Integer({ minimum: 1, maximum: 5 }), 'How many are wanted; 3 where it is not said')
		),
		seed: Type.Optional(
			says(
				Type.Integer({ minimum: 0, maximum: MOST_SEED - 1 }),
				'Another seed leans to other drills, by a little'
			)
		)
	},
	closed
);

/** Why a block is in a draft: a code with its values. */
export const Reason = Type.Union([
	Type.Object(
		{
			code: Type.Literal('due'),
			skill: says(SkillId, 'The skill that is due'),
			minutes: says(Type.Number(), 'Minutes of it that the block gives a player')
		},
		closed
	),
	Type.Object({ code: Type.Literal('daily') }, closed),
	Type.Object({ code: Type.Literal('warm-up') }, closed),
	Type.Object({ code: Type.Literal('cool-down') }, closed),
	Type.Object({ code: Type.Literal('game') }, closed),
	Type.Object({ code: Type.Literal('brief') }, closed),
	Type.Object(
		{ code: Type.Literal('busy'), share: says(Share, 'Share of its time at work') },
		closed
	),
	Type.Object(
		{ code: Type.Literal('ladder'), rung: says(Key, 'The rung that comes next') },
		closed
	),
	Type.Object(
		{ code: Type.Literal('unit'), unit: says(Id, 'The unit that works by itself') },
		closed
	)
]);

/** What was asked for and is not in a draft, with the reason. */
export const Undone = Type.Object(
	{
		what: says(
			Type.Enum(['brief', 'daily', 'stations', 'units', 'game', 'due']),
			'What it is: a drill of the brief or for every day, stations, time by unit, a game, or the skill that is owed most'
		),
		drill: Type.Optional(says(Id, 'Id of the drill')),
		skill: Type.Optional(says(SkillId, 'The skill')),
		because: says(
			Type.Enum([
				...['shelf', 'players', 'adults', 'kit', 'ground', 'ages', 'units'],
				...['game-near', 'together', 'time', 'finding']
			]),
			'Why not: nothing on the shelf does it; too few or too many players, adults, kit, ground; the ages; players without a unit; a game too near; only some can do it at once; no time; something that would stop the practice'
		)
	},
	closed
);

/** How a draft differs from the first one: a code with its values. */
export const Unlike = Type.Union([
	Type.Object({ code: Type.Literal('most-due') }, closed),
	Type.Object(
		{
			code: Type.Literal('skill'),
			skill: says(SkillId, 'The skill that it gives more of'),
			minutes: says(Type.Number(), 'Minutes more of it')
		},
		closed
	),
	Type.Object({ code: Type.Literal('stations') }, closed),
	Type.Object({ code: Type.Literal('no-stations') }, closed),
	Type.Object(
		{ code: Type.Literal('drills'), drills: says(Type.Integer(), 'Drills that it has') },
		closed
	),
	Type.Object(
		{ code: Type.Literal('busy'), share: says(Share, 'Share of the time that players work') },
		closed
	),
	Type.Object(
		{ code: Type.Literal('other'), minutes: says(Type.Number(), 'Minutes of other drills') },
		closed
	)
]);

/** One draft of a practice. */
export const Alternative = Type.Object(
	{
		practice: says(Practice, 'The practice'),
		why: says(byKey(PartId, Type.Array(Reason)), 'Why each block is there, by its id'),
		covers: says(
			Type.Array(
				Type.Object(
					{
						skill: says(SkillId, 'A skill that is due'),
						minutes: says(Type.Number(), 'Mean minutes of it that a player gets')
					},
					closed
				)
			),
			'What it gives of what is due, in the order of what is due'
		),
		undone: says(Type.Array(Undone), 'What was asked for and is not in it, with the reason'),
		unlike: says(Unlike, 'How it differs from the first draft'),
		figures: says(
			Type.Object(
				{
					busyShare: says(Share, 'Share of the time that players work'),
					turns: says(Type.Number(), 'Mean turns of a player'),
					stops: says(Type.Integer(), 'Findings that stop it'),
					warnings: says(Type.Integer(), 'Findings that warn'),
					dueMinutes: says(Type.Number(), 'Weighted minutes of what is due that it covers'),
					openMinutes: says(Type.Number(), 'Minutes of the practice that nothing fills')
				},
				closed
			),
			'Its figures'
		)
	},
	closed
);

/** What `draft` gives. */
export const DraftOutput = Type.Object(
	{ alternatives: says(Type.Array(Alternative), 'The drafts, the best first') },
	closed
);

export type Frame = Static<typeof Frame>;
export type DraftInput = Static<typeof DraftInput>;
export type Reason = Static<typeof Reason>;
export type Undone = Static<typeof Undone>;
export type Unlike = Static<typeof Unlike>;
export type Alternative = Static<typeof Alternative>;
export type DraftOutput = Static<typeof DraftOutput>;
