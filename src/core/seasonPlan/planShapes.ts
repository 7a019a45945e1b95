import Type, { type Static } from 'typebox';
import { Drill } from '../model/drill';
import { byKey, closed, Day, Id, Key, says, SkillId } from '../model/fields';
import { Limits } from '../model/limits';
import { BriefItem } from '../model/practice';
import { Ages } from '../model/team';
import { DueInput } from '../season';

/** A drill in a practice: what stands in its brief. */
const { locked: _locked, why: _why, ...item } = BriefItem.properties;
const PlanItem = Type.Object(item, closed);

const Items = Type.Array(PlanItem, { maxItems: 30 });

/** A practice to come, as the plan needs one. */
export const PlannedPractice = Type.Object(
	{
		id: says(Id, 'Its id'),
		date: says(Day, 'The day that it is on'),
		minutes: says(
			Type.Integer({ minimum: 0, maximum: 600 }),
			'Minutes for drills of the plan: without warm-up, water, talks, games'
		),
		players: says(Type.Integer({ minimum: 0, maximum: 500 }), 'Players who are expected'),
		adults: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 100 }), 'Adults who come; enough where not said')
		),
		locked: Type.Optional(says(Items, 'What stays as it is')),
		gives: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							skill: says(SkillId, 'The skill'),
							minutes: says(Type.Number({ minimum: 0, maximum: 600 }), 'Mean minutes of a player')
						},
						closed
					),
					{ maxItems: 500 }
				),
				'Minutes of skills that a player gets there beside the plan: of a warm-up, of a game'
			)
		),
		load: Type.Optional(
			says(
				Type.Number({ minimum: 0, maximum: 10_000 }),
				'Minutes times effort of what is there beside the plan; 0'
			)
		)
	},
	closed
);

/** What `plan` takes. */
export const SeasonPlanInput = Type.Object(
	{
		today: says(Day, 'The day that is planned on: practices are on it or later'),
		practices: says(
			Type.Array(PlannedPractice, { maxItems: 400 }),
			'The practices to come, each once'
		),
		players: says(Type.Array(Id, { maxItems: 500 }), 'Ids of the players'),
		ages: Type.Optional(
			says(Ages, 'Ages of the players, in years: what they may do, and for how long; adults')
		),
		units: Type.Optional(says(byKey(Id, Id), 'Unit of each player who has one, by id')),
		skills: says(
			Type.Array(
				Type.Object(
					{
						id: says(SkillId, 'An area of skill, or a stage of it'),
						unit: Type.Optional(says(Id, 'The unit that it is for; everyone where not said')),
						after: Type.Optional(
							says(
								Type.Array(SkillId, { maxItems: 30 }),
								'What must have been a main skill of an earlier practice first'
							)
						),
						weight: Type.Optional(
							says(
								Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
								'What a minute of it is worth; 1 where not said'
							)
						),
						targets: DueInput.properties.skills.items.properties.targets
					},
					closed
				),
				{ maxItems: 500 }
			),
			'Skills, each once for everyone and once a unit'
		),
		drills: says(Type.Array(Drill, { maxItems: 500 }), 'Drills to choose from, each once'),
		done: Type.Optional(says(DueInput.properties.rows, 'What was trained before today')),
		held: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							date: says(Day, 'Its day'),
							contactMinutes: Type.Optional(
								says(Type.Number({ minimum: 0, maximum: 600 }), 'Minutes of hard contact; 0')
							),
							load: Type.Optional(
								says(
									Type.Number({ minimum: 0, maximum: 10_000 }),
									'Minutes of its drills times their effort; 0'
								)
							),
							isHard: Type.Optional(says(Type.Boolean(), 'Whether it was a hard day'))
						},
						closed
					),
					{ maxItems: 400 }
				),
				'Practices of the season before today'
			)
		),
		ladders: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							drill: says(Id, 'Id of the drill'),
							rung: says(
								Type.Union([Key, Type.Null()]),
								'The rung it stands on; null is the drill itself'
							),
							last: Type.Optional(says(Day, 'The day that it was run last'))
						},
						closed
					),
					{ maxItems: 500 }
				),
				'Drills that were run, and where their ladders stand; others begin with their easiest rung'
			)
		),
		limits: Type.Optional(
			says(Type.Partial(Limits, closed), 'Limits that are not at their defaults')
		),
		games: Type.Optional(
			says(
				Type.Array(Type.Object({ date: says(Day, 'Its day') }, closed), { maxItems: 400 }),
				'Games'
			)
		),
		tapers: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{ firstDay: says(Day, 'The first'), lastDay: says(Day, 'The last, included') },
						closed
					),
					{ maxItems: 30 }
				),
				'Phases in which work gets less: in the last week of each nothing new and nothing hard'
			)
		),
		daysOff: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{ firstDay: says(Day, 'The first'), lastDay: says(Day, 'The last, included') },
						closed
					),
					{ maxItems: 400 }
				),
				'Days without practice: what is on one of them gets nothing but what is locked'
			)
		),
		plan: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{ id: says(Id, 'Id of the practice'), brief: says(Items, 'What was planned for it') },
						closed
					),
					{ maxItems: 400 }
				),
				'The plan before: as much of it stays as can'
			)
		),
		seed: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 1_000_000 }), 'Another number gives another plan')
		),
		secondsLimit: Type.Optional(
			says(Type.Number({ minimum: 0.01, maximum: 600 }), 'Seconds that may be searched; 2')
		)
	},
	closed
);

/** Why a drill is in a brief: a code with its values. */
export const BriefReason = Type.Union([
	Type.Object({ code: Type.Literal('locked') }, closed),
	Type.Object({ code: Type.Literal('daily') }, closed),
	Type.Object(
		{
			code: Type.Literal('due'),
			skill: says(SkillId, 'A skill that has a target'),
			unit: Type.Optional(says(Id, 'The unit that it is for')),
			minutes: says(Type.Number(), 'Minutes of it that this gives'),
			owed: says(Type.Number(), 'Minutes of it that were still owed before'),
			of: says(Type.Number(), 'Minutes of it that its targets ask for')
		},
		closed
	),
	Type.Object(
		{
			code: Type.Literal('rung'),
			rung: says(Type.Union([Key, Type.Null()]), 'It steps up to this')
		},
		closed
	),
	Type.Object(
		{
			code: Type.Literal('again'),
			skill: says(SkillId, 'A skill that was long not a main one'),
			days: says(Type.Integer(), 'Days since then')
		},
		closed
	),
	Type.Object(
		{
			code: Type.Literal('game'),
			date: says(Day, 'The day of the next game, for which its skill counts more'),
			practices: says(Type.Integer(), 'Practices that are left before it, this one among them')
		},
		closed
	),
	Type.Object({ code: Type.Literal('filler') }, closed)
]);

/** A rule that locked parts of a plan leave broken. */
export const BrokenRule = Type.Object(
	{
		rule: says(
			Type.Enum([
				'minutes',
				'twice',
				'runs',
				'rung',
				'needs',
				'daily',
				'vary',
				'after',
				'contact-day',
				'contact-week',
				'contact-ramp',
				'hard-days',
				'game-eve',
				'often',
				'long',
				'eased'
			]),
			'The rule, in the words of docs/engine.md'
		),
		practice: says(Id, 'Id of the practice'),
		drill: Type.Optional(says(Id, 'Id of the drill, where it is one'))
	},
	closed
);

/** What `plan` gives. */
export const SeasonPlanOutput = Type.Object(
	{
		practices: says(
			Type.Array(
				Type.Object(
					{
						id: says(Id, 'Id of the practice'),
						brief: says(
							Type.Array(
								Type.Object(
									{
										...PlanItem.properties,
										why: says(Type.Array(BriefReason), 'Why it is there')
									},
									closed
								)
							),
							'What it holds'
						)
					},
					closed
				)
			),
			'Each practice with its brief, in order of time'
		),
		measures: says(
			Type.Object(
				{
					targets: says(Type.Integer(), 'Targets that end today or later'),
					targetsMet: says(Type.Integer(), 'Those that are met'),
					weightedShort: says(Type.Number(), 'Weighted minutes under target'),
					weightedMinutes: says(Type.Number(), 'Weighted minutes that the targets ask for'),
					longestGap: says(
						Type.Integer(),
						'Most days from one time to the next that a skill with a target is a main one'
					),
					changedPractices: says(
						Type.Integer(),
						'Practices of the plan before whose drills, rungs or minutes are others now'
					),
					unmet: says(
						Type.Array(
							Type.Object(
								{
									skill: says(SkillId, 'The skill'),
									unit: Type.Optional(says(Id, 'The unit that it is for')),
									minutes: says(Type.Number(), 'Minutes of it that the plan cannot give')
								},
								closed
							)
						),
						'Skills with minutes under target that no drill to choose from trains'
					),
					changes: says(
						Type.Integer(),
						'Drills that came or went, in practices that the plan before has'
					),
					brokenRules: says(Type.Array(BrokenRule), 'Rules that locked parts leave broken')
				},
				closed
			),
			'What it is worth'
		),
		bound: says(
			Type.Number(),
			'Weighted minutes under target that no plan of these minutes can go below'
		)
	},
	closed
);

export type PlanItem = Static<typeof PlanItem>;
export type PlannedPractice = Static<typeof PlannedPractice>;
export type SeasonPlanInput = Static<typeof SeasonPlanInput>;
export type SeasonPlanOutput = Static<typeof SeasonPlanOutput>;
export type BriefReason = Static<typeof BriefReason>;
export type BrokenRule = Static<typeof BrokenRule>;
