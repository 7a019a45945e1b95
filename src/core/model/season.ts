import Type, { type Static } from 'typebox';
import { Clock, closed, Day, Id, Key, Minutes, Name, says, SkillId } from './fields';
import { Fix, Seed } from './scene';

/** How much a season may hold of each: far more than one does. */
export const MOST_IN_SEASON = {
	phases: 30,
	patterns: 14,
	games: 200,
	daysOff: 100,
	targets: 2000,
	floors: 60,
	courses: 40,
	steps: 60,
	seeds: 200,
	fixes: 200
} as const;

/** A part of a season with its own aims. */
export const Phase = Type.Object(
	{
		id: says(Id, 'Its id in the season'),
		name: says(Name, 'Its name'),
		firstDay: says(Day, 'Its first day'),
		lastDay: says(Day, 'Its last day, included'),
		tapers: Type.Optional(
			says(
				Type.Boolean(),
				'Whether work gets less in it: its last week holds nothing new and nothing hard'
			)
		)
	},
	closed
);

/** Weekdays on which the team practises, from which empty practices are made. */
export const Pattern = Type.Object(
	{
		id: says(Id, 'Its id in the season'),
		weekdays: says(
			Type.Array(Type.Integer({ minimum: 1, maximum: 7 }), { minItems: 1, maxItems: 7 }),
			'Weekdays, Monday 1 to Sunday 7'
		),
		start: says(Clock, 'When it starts, local time'),
		minutes: says(Minutes, 'Minutes that there are'),
		place: says(Name, 'Where it is, in words'),
		groundId: Type.Optional(says(Id, "The ground; the team's first where it is not said")),
		firstDay: Type.Optional(says(Day, "The first day it holds; the season's where not said")),
		lastDay: Type.Optional(says(Day, "The last day it holds; the season's where not said"))
	},
	closed
);

/** A game of the season. */
export const Game = Type.Object(
	{
		id: says(Id, 'Its id in the season'),
		date: says(Day, 'The day that it is on'),
		start: Type.Optional(says(Clock, 'When it starts, local time; not known yet where not said')),
		opponent: says(Name, 'Whom it is against'),
		place: Type.Optional(says(Name, 'Where it is, in words')),
		uid: Type.Optional(says(Name, 'Its UID in the calendar file that it came from')),
		changes: Type.Optional(
			says(Type.Integer({ minimum: 0 }), 'How often it was changed: its SEQUENCE in calendar files')
		),
		cancelled: Type.Optional(says(Name, 'Why it is cancelled'))
	},
	closed
);

/** Days without practice. */
export const DayOff = Type.Object(
	{
		name: says(Name, 'Why'),
		firstDay: says(Day, 'The first of them'),
		lastDay: says(Day, 'The last of them, included')
	},
	closed
);

/** Minutes of a skill that each player is to have in a phase. */
export const Target = Type.Object(
	{
		skill: says(SkillId, 'An area of skill, or a stage of it'),
		phase: says(Id, 'Id of the phase'),
		unit: Type.Optional(says(Id, 'Id of the unit that it is for; everyone where it is not said')),
		minutes: says(
			Type.Integer({ minimum: 1, maximum: 10_000 }),
			'Minutes that each player is to have'
		)
	},
	closed
);

/** Minutes of a skill that every practice is to hold, from whatever period. */
export const SkillFloor = Type.Object(
	{
		skill: says(SkillId, 'An area of skill, or a stage of it'),
		minutes: says(Type.Integer({ minimum: 1, maximum: 600 }), 'Minutes a player in each practice')
	},
	closed
);

/** Drills and rungs that somebody works through from practice to practice. */
export const Course = Type.Object(
	{
		id: says(Id, 'Its id in the season'),
		name: says(Name, 'Its name'),
		unit: Type.Optional(says(Id, 'Id of the unit that works through it; everyone where not said')),
		steps: says(
			Type.Array(
				Type.Object(
					{
						drill: says(Id, 'Id of the drill'),
						rung: Type.Optional(says(Key, 'Id of the rung; the drill itself where not said'))
					},
					closed
				),
				{ minItems: 1, maxItems: MOST_IN_SEASON.steps }
			),
			'What is done, one after another'
		)
	},
	closed
);

const most = (maxItems: number) => ({ maxItems });

/** A season: when it is, and what was decided for it. */
export const Season = Type.Object(
	{
		id: says(Id, 'Its id in the team'),
		name: says(Name, 'Its name'),
		firstDay: says(Day, 'Its first day'),
		weeks: says(Type.Integer({ minimum: 1, maximum: 60 }), 'Weeks that it lasts, 1 to 60'),
		phases: Type.Optional(
			says(Type.Array(Phase, most(MOST_IN_SEASON.phases)), 'Its phases in order of time')
		),
		patterns: Type.Optional(
			says(Type.Array(Pattern, most(MOST_IN_SEASON.patterns)), 'When the team usually practises')
		),
		games: Type.Optional(says(Type.Array(Game, most(MOST_IN_SEASON.games)), 'Its games')),
		daysOff: Type.Optional(
			says(Type.Array(DayOff, most(MOST_IN_SEASON.daysOff)), 'Days without practice')
		),
		targets: Type.Optional(
			says(Type.Array(Target, most(MOST_IN_SEASON.targets)), 'Minutes of skills by phase')
		),
		floors: Type.Optional(
			says(
				Type.Array(SkillFloor, most(MOST_IN_SEASON.floors)),
				'Minutes of skills that every practice is to hold'
			)
		),
		courses: Type.Optional(
			says(Type.Array(Course, most(MOST_IN_SEASON.courses)), 'Courses that somebody works through')
		),
		prepares: Type.Optional(
			says(
				Type.Enum(['both', 'seeds', 'talk']),
				'How the team gets ready for an opponent: by seeds in live play, by a talk, or by both; both where it is not said'
			)
		),
		seeds: Type.Optional(
			says(Type.Array(Seed, most(MOST_IN_SEASON.seeds)), 'How opponents begin, for coaches alone')
		),
		fixes: Type.Optional(
			says(Type.Array(Fix, most(MOST_IN_SEASON.fixes)), 'What went wrong in games')
		),
		follows: Type.Optional(
			says(Id, 'Id of the season that it goes on from: its ladders stand where they stood there')
		)
	},
	closed
);

export type Phase = Static<typeof Phase>;
export type Pattern = Static<typeof Pattern>;
export type Game = Static<typeof Game>;
export type DayOff = Static<typeof DayOff>;
export type Target = Static<typeof Target>;
export type SkillFloor = Static<typeof SkillFloor>;
export type Course = Static<typeof Course>;
export type Season = Static<typeof Season>;
