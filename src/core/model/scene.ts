import Type, { type Static } from 'typebox';
import { closed, Day, Id, Key, Name, Point, SkillId, Text, says } from './fields';
import { Path } from './drillRun';

/** How much a scene may hold of each: both teams, and some more. */
export const MOST_IN_SCENE = { tokens: 40, ways: 60, skills: 6 } as const;

/** Where somebody stands in a scene, called by position or number: a scene never names a player. */
export const Token = Type.Object(
	{
		id: says(Key, 'What it is called, the same in the ways: a position or a number'),
		side: says(Type.Enum(['ours', 'theirs']), 'Whether it is one of ours or of the other side'),
		x: says(Type.Number(), 'Metres from the near left corner, along the length'),
		y: says(Type.Number(), 'Metres from the near left corner, across'),
		unit: Type.Optional(
			says(Id, 'Id of the unit that plays there, a keeper say; anybody where it is not said')
		)
	},
	closed
);

/** The fields of a situation of a game, drawn on the ground: who stands where, and what happens then. */
const drawn = {
	name: says(Name, 'Its name, as players may hear it'),
	ground: says(
		Type.Object(
			{
				length: says(
					Type.Number({ minimum: 2, maximum: 300 }),
					'Metres from left to right, 2 to 300'
				),
				width: says(
					Type.Number({ minimum: 2, maximum: 300 }),
					'Metres from top to bottom, 2 to 300'
				)
			},
			closed
		),
		'The ground that it is drawn on'
	),
	groundId: Type.Optional(
		says(Id, 'Id of the ground of the team that it is drawn on; a bare grid where it is not said')
	),
	tokens: says(
		Type.Array(Token, { minItems: 1, maxItems: MOST_IN_SCENE.tokens }),
		'Who stands where as it begins'
	),
	ways: Type.Optional(
		says(
			Type.Array(Path, { maxItems: MOST_IN_SCENE.ways }),
			'Ways of players and of the ball, between tokens or points'
		)
	),
	ball: Type.Optional(says(Point, 'Where the ball is, in metres')),
	call: Type.Optional(says(Text, 'What is called')),
	skills: Type.Optional(
		says(
			Type.Array(SkillId, { maxItems: MOST_IN_SCENE.skills }),
			'What it asks for: areas of skill, or stages'
		)
	)
};

export const Scene = Type.Object(drawn, closed);

/** How the next opponent begins, seen by coaches alone: live play starts so without a word to the players. */
export const Seed = Type.Object(
	{
		id: says(Id, 'Its id in the season'),
		game: says(Id, 'Id of the game that it gets ready for'),
		...drawn
	},
	closed
);

/** What went wrong in a game, kept until it was set up again and ticked. */
export const Fix = Type.Object(
	{
		id: says(Id, 'Its id in the season'),
		...drawn,
		decided: Type.Optional(says(Text, 'What was decided: what it is to look like')),
		game: Type.Optional(says(Id, 'Id of the game that it was seen in')),
		since: says(Day, 'The day on which it was put on the list'),
		drill: Type.Optional(says(Id, 'Id of the drill that it was set up as')),
		closed: Type.Optional(says(Day, 'The day on which it was ticked; open where it is not said'))
	},
	closed
);

export type Token = Static<typeof Token>;
export type Scene = Static<typeof Scene>;
export type Seed = Static<typeof Seed>;
export type Fix = Static<typeof Fix>;
