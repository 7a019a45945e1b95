import Type, { type Static } from 'typebox';
import { closed, Id, Key, Name, SkillId, Text, says } from './fields';
import { Path, Rotation, Sides, Spot, SpotIds, Turn } from './drillRun';
import { LEVERS } from './levers';

const Success = Type.Object(
	{
		counts: says(Text, 'What a watcher counts as clean'),
		judge: says(
			Type.Enum(['outcome', 'decision', 'form', 'talk', 'effort']),
			'What it is judged by'
		),
		by: Type.Optional(
			says(Type.Enum(['worker', 'opponent']), 'Whose it is; of all where it is not said')
		),
		window: Type.Optional(
			says(
				Type.Array(Type.Number({ minimum: 0, maximum: 1 }), { minItems: 2, maxItems: 2 }),
				'The least and the most share of clean turns that suits, 0 to 1'
			)
		),
		ignores: Type.Optional(
			says(Type.Array(Text), 'What is not counted, so that nobody coaches it now')
		)
	},
	closed
);

/** The fields that a rung may replace as a whole. */
const changeable = {
	summary: says(Text, 'What happens, in a sentence'),
	family: Type.Optional(
		says(Name, 'Drills of one family take turns: one of them in a practice is enough')
	),
	ages: Type.Optional(
		says(
			Type.Object(
				{
					from: says(Type.Number(), 'Youngest, in years'),
					to: says(Type.Number(), 'Oldest, in years')
				},
				closed
			),
			'Ages that it suits, in years'
		)
	),
	skills: says(
		Type.Array(
			Type.Object(
				{
					skill: says(SkillId, 'An area of skill of the team, or a stage of it'),
					share: says(
						Type.Number({ minimum: 0, maximum: 1 }),
						'Share of its time that the skill gets, 0 to 1; together 1 at most'
					),
					focus: says(
						Type.Enum(['main', 'second']),
						'Whether it is a main skill of the drill or a second one'
					),
					spots: Type.Optional(
						says(
							SpotIds,
							'Spots whose players learn it; workers and opponents where it is not said'
						)
					)
				},
				closed
			)
		),
		'What it trains'
	),
	group: says(
		Type.Object(
			{
				min: says(Type.Number(), 'Fewest, 1 or more'),
				ideal: says(Type.Number(), 'Best, from the fewest to the most'),
				max: says(Type.Number(), 'Most, at least the best')
			},
			closed
		),
		'Players of one copy'
	),
	spots: says(Type.Array(Spot), 'Where players stand, and what for'),
	turn: says(Turn, 'How long turns take'),
	rotation: says(Rotation, 'Who goes where after a turn'),
	sides: Type.Optional(says(Sides, 'Sides on which it is done in turn')),
	paths: Type.Optional(says(Type.Array(Path), 'Ways of players and of the ball in a turn')),
	ground: says(
		Type.Object(
			{
				length: says(Type.Number({ exclusiveMinimum: 0 }), 'Metres from left to right, over 0'),
				width: says(Type.Number({ exclusiveMinimum: 0 }), 'Metres from top to bottom, over 0'),
				perPlayer: Type.Optional(
					says(Type.Number({ minimum: 0 }), 'Square metres that each player needs at least')
				)
			},
			closed
		),
		'Ground of one copy'
	),
	fixtures: Type.Optional(
		says(
			Type.Array(
				Type.Object(
					{
						item: says(Key, 'Its name, one of it'),
						count: says(Type.Number(), 'How many, 1 or more')
					},
					closed
				)
			),
			'What must stand in the zone for each copy'
		)
	),
	kit: says(
		Type.Array(
			Type.Object(
				{
					item: says(Key, 'Its name, one of it'),
					count: says(Type.Number({ minimum: 0 }), 'How many, 0 or more'),
					per: says(Type.Enum(['copy', 'player']), 'Whether for each copy or for each player'),
					or: Type.Optional(says(Type.Array(Key), 'What may stand in for it, the best first'))
				},
				closed
			)
		),
		'What is carried to it'
	),
	setup: Type.Optional(
		says(
			Type.Object(
				{
					seconds: says(Type.Number({ minimum: 0 }), 'Seconds that it takes'),
					adults: Type.Optional(
						says(Type.Number({ minimum: 0 }), 'Adults who do it; 1 where it is not said')
					)
				},
				closed
			),
			'Laying it out'
		)
	),
	explainSeconds: Type.Optional(
		says(
			Type.Number({ minimum: 0, maximum: 3600 }),
			'Seconds that it takes to explain; nobody works meanwhile'
		)
	),
	coaches: says(
		Type.Object(
			{
				min: says(Type.Number({ minimum: 0 }), 'Fewest that it can be run with'),
				ideal: says(Type.Number({ minimum: 0 }), 'Best')
			},
			closed
		),
		'Adults of one copy'
	),
	notWithinDaysOfGame: Type.Optional(
		says(
			Type.Integer({ minimum: 0, maximum: 14 }),
			'Days before a game on which it is not run: 0 the day of the game alone, 2 that and the two days before'
		)
	),
	warmUpMinutes: Type.Optional(
		says(
			Type.Number({ minimum: 0, maximum: 60 }),
			'Minutes of warm-up that it needs before it, where that is more than the limits ask'
		)
	),
	contact: says(
		Type.Integer({ minimum: 0, maximum: 4 }),
		'How much contact it has: 0 none, 4 full'
	),
	effort: says(Type.Number({ minimum: 1, maximum: 10 }), 'How hard it is: 1 easy, 10 all out'),
	live: Type.Optional(
		says(Type.Boolean(), 'Whether it is live play, in which a second pair of eyes helps')
	),
	hazards: Type.Optional(
		says(
			Type.Object(
				{
					swing: Type.Optional(
						says(Type.Number({ minimum: 0 }), 'Metres to be kept clear of a swing')
					),
					flight: Type.Optional(
						says(Type.Number({ minimum: 0 }), 'Metres to be kept clear where balls fly')
					),
					looksUp: Type.Optional(says(Type.Boolean(), 'Whether players look up into the sky'))
				},
				closed
			),
			'What makes it dangerous to others'
		)
	),
	partners: Type.Optional(
		says(
			Type.Enum(['like', 'unlike', 'any']),
			'Whether partners are of like or unlike strength; as they come where it is not said'
		)
	),
	needsRole: Type.Optional(
		says(
			Type.Array(
				Type.Object(
					{
						role: says(Key, 'Id of a unit'),
						count: says(Type.Number({ minimum: 0 }), 'How many of it, 0 or more')
					},
					closed
				)
			),
			'Roles that each copy must have'
		)
	),
	restByDesign: Type.Optional(
		says(Type.Boolean(), 'Whether players rest in it on purpose: waiting is no fault then')
	),
	frequency: says(
		Type.Enum(['daily', 'regular', 'vary']),
		'How often it is wanted: in each practice, regularly, or now and then'
	),
	cues: says(
		Type.Array(
			Type.Object(
				{
					say: says(Text, 'The words, few'),
					spot: Type.Optional(
						says(Key, 'The spot that they are for; everyone where it is not said')
					),
					young: Type.Optional(says(Text, 'A plainer way to say it to the young'))
				},
				closed
			)
		),
		'What is said while it runs'
	),
	faults: Type.Optional(
		says(
			Type.Array(
				Type.Object(
					{
						seen: says(Text, 'What is seen'),
						say: says(Text, 'What to say then'),
						rung: Type.Optional(says(Key, 'Id of the rung that helps'))
					},
					closed
				)
			),
			'What goes wrong, and what helps'
		)
	),
	calls: Type.Optional(says(Type.Array(Text), 'What players call to each other')),
	questions: Type.Optional(
		says(
			Type.Array(
				Type.Object(
					{
						ask: says(Text, 'The question'),
						hope: says(Text, 'The answer that is hoped for')
					},
					closed
				)
			),
			'What to ask players, so that they find it themselves'
		)
	),
	prompts: Type.Optional(
		says(Type.Array(Text), 'What is called out at random, to be answered by what they do')
	),
	praise: Type.Optional(says(Type.Array(Text), 'What deserves praise')),
	cautions: says(Type.Array(Text), 'What to look after so that nobody is hurt'),
	success: Type.Optional(says(Success, 'What counts'))
};

export const RungChange = Type.Partial(Type.Object(changeable), closed);

/** A step of a drill's ladder: what changes, and the fields that it replaces. */
export const Rung = Type.Object(
	{
		id: says(Key, 'Its id within the drill'),
		name: says(Name, 'Its name'),
		change: says(Text, 'What changes, as players hear it'),
		lever: says(Type.Enum([...LEVERS]), 'What the change works on'),
		needs: Type.Optional(says(Type.Array(Key), 'Ids of rungs that come before it')),
		on: Type.Optional(
			says(Key, 'Id of an earlier rung whose changes hold on this one too; its own come on top')
		),
		set: Type.Optional(
			says(RungChange, 'The fields of the drill that it replaces, each as a whole')
		)
	},
	closed
);

/** The open format of a drill, `fieldplan/drill@1`. Lengths in metres, times in seconds. */
export const Drill = Type.Object(
	{
		format: Type.Literal('fieldplan/drill@1'),
		id: says(Id, 'Its id on the shelf of a team'),
		revision: Type.Optional(
			says(Type.Integer({ minimum: 1 }), 'Number of this revision, from 1; 1 where it is not said')
		),
		name: says(Name, 'Its name'),
		sports: says(Type.Array(Id), 'Ids of the sports that it is for; `any` for all'),
		...changeable,
		standardAt: Type.Optional(
			says(
				Type.Integer({ minimum: 0, maximum: 100 }),
				'How many rungs are easier than the drill itself, which stands behind them; where it is not said, the rungs at the front with less effort or contact'
			)
		),
		rungs: says(Type.Array(Rung), 'Its ladder, from the easiest on, without the drill itself')
	},
	closed
);

export type Drill = Static<typeof Drill>;
export type { Spot } from './drillRun';
export type Rung = Static<typeof Rung>;
export type RungChange = Static<typeof RungChange>;
