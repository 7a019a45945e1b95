import Type, { type Static } from 'typebox';
import { byKey, closed, Key, Name, Point, Text, says } from './fields';

export const Role = Type.Enum(['worker', 'opponent', 'feeder', 'helper']);
export const SpotHolder = Type.Enum(['player', 'adult', 'either', 'marker']);

export const SpotIds = Type.Array(Key);

/** A place in a drill with a job: who stands there, how many, from which line. */
export const Spot = Type.Object(
	{
		id: says(Key, 'Its name, the same in moves, ways and cues'),
		role: says(
			Role,
			'What is done there: `worker` the turn is for, `opponent` works against them, `feeder` starts it, `helper` serves'
		),
		count: says(Type.Number(), 'Players who stand at it in a turn, 1 to 50'),
		upTo: Type.Optional(
			says(
				Type.Number(),
				'The most who may stand at it, at least `count`: it keeps a line of its own and takes who is there'
			)
		),
		line: Type.Optional(
			says(Type.Boolean(), 'Whether those who wait stand in a line of its own here')
		),
		by: Type.Optional(
			says(
				SpotHolder,
				'Who holds it: a player, an adult, either, or a marker (a cone, a mannequin) that needs nobody; players where it is not said'
			)
		),
		unit: Type.Optional(
			says(Key, 'Id of the only unit whose players hold it; anybody where it is not said')
		),
		joinsAtSeconds: Type.Optional(
			says(
				Type.Number(),
				'Seconds of a turn after which they come in, under `workSeconds`; 0 where it is not said'
			)
		),
		repsPerTurn: Type.Optional(
			says(
				Type.Number(),
				'Turns that are counted for one turn here, 0 or more; 1 where it is not said'
			)
		),
		job: Type.Optional(says(Text, 'What whoever stands here does, in a sentence')),
		x: Type.Optional(
			says(Type.Number(), 'Metres from the near left corner of its copy, along the length')
		),
		y: Type.Optional(says(Type.Number(), 'Metres from the near left corner of its copy, across'))
	},
	closed
);

/** What a full turn costs a body: so many throws, jumps, metres of sprint. */
const Load = Type.Object(
	{
		kind: says(Key, 'What is counted, a word of the team: throws, jumps, sprint metres'),
		count: says(Type.Number(), 'How many of it a full turn takes, over 0'),
		spots: Type.Optional(
			says(SpotIds, 'Spots whose players it costs; workers and opponents where it is not said')
		)
	},
	closed
);

export const Turn = Type.Object(
	{
		workSeconds: says(Type.Number(), 'Seconds that a turn lasts, 0.5 to 3600'),
		headwaySeconds: says(
			Type.Number(),
			'Seconds from the start of a turn to the start of the next, 0.5 to 3600'
		),
		shortSeconds: Type.Optional(says(Type.Number(), 'Seconds of a short turn, where they differ')),
		longSeconds: Type.Optional(says(Type.Number(), 'Seconds of a long turn, where they differ')),
		loads: Type.Optional(
			says(Type.Array(Load), 'What a full turn costs a body; entries of one kind add up')
		)
	},
	closed
);

export const Rotation = Type.Object(
	{
		moves: says(
			byKey(Key, Key),
			'The spot that the players of a spot go to, by spot; who is not in it stays'
		),
		everyTurns: Type.Optional(
			says(Type.Number(), 'Turns after which they move on, 1 or more; 1 where it is not said')
		),
		everySeconds: Type.Optional(
			says(Type.Number(), 'Seconds after which they move on, over 0, instead of turns')
		),
		result: Type.Optional(
			says(
				Type.Object(
					{
						share: says(Type.Number(), 'Share of turns that go so, over 0 and under 1'),
						moves: says(
							byKey(Key, Key),
							'The spot that they go to after such a turn, by spot; who is not in it plays on, one named to itself joins the back of its line'
						)
					},
					closed
				),
				'Other moves after a share of the turns: the winner stays, say'
			)
		)
	},
	closed
);

export const Path = Type.Object(
	{
		from: says(Type.Union([Key, Point]), 'Where it begins: a spot, or a point in metres'),
		to: says(Type.Union([Key, Point]), 'Where it ends: a spot, or a point in metres'),
		kind: says(
			Type.Enum(['flight', 'run', 'carry']),
			'What goes along it: the ball in `flight`, a player on the `run`, a player who `carry`s the ball'
		),
		step: Type.Optional(
			says(Type.Number(), 'Its place in the order of a turn, from 1; 1 where it is not said')
		)
	},
	closed
);

/** Sides on which a drill is done, one after another or as a climb says. */
export const Sides = Type.Object(
	{
		names: says(Type.Array(Name), 'Their names, such as left and right'),
		everyTurns: Type.Optional(says(Type.Number(), 'Turns after which the side changes, 1 or more')),
		mirror: Type.Optional(
			says(
				byKey(Name, Type.Enum(['x', 'y'])),
				'Sides that are drawn and played mirrored, by name: `x` left and right change places, `y` near and far'
			)
		)
	},
	closed
);

export type Spot = Static<typeof Spot>;
