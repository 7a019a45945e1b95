import Type, { type Static, type TSchema } from 'typebox';
import { closed, Day, Id, Key, Name, PartId, SkillId, Text, says } from './fields';
import { Practice } from './practice';
import { Ages, BirthYear, Ground, KitItem, Restriction, Team } from './team';
import { Limits } from './limits';
import { Season } from './season';

/** What the whole export is, in its first file. */
export const ExportHead = Type.Object({ format: Type.Literal('fieldplan/export@1') }, closed);

/** A person with all that was ever said of them, dated. */
export const ExportPerson = Type.Object(
	{
		id: says(Id, 'Id of the person'),
		kind: says(Type.Enum(['player', 'adult']), 'Whether a player or an adult'),
		name: says(Name, 'Name'),
		number: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 999 }), 'Number on the shirt, 0 to 999')
		),
		usuallyLate: Type.Optional(says(Type.Boolean(), 'Whether they usually come late')),
		role: Type.Optional(says(Name, 'What an adult does')),
		leads: Type.Optional(says(Type.Array(Id), 'Ids of units that an adult looks after')),
		days: Type.Optional(
			says(
				Type.Array(Type.Integer({ minimum: 1, maximum: 7 })),
				'Weekdays on which an adult usually comes, Monday 1 to Sunday 7'
			)
		),
		positions: Type.Optional(
			says(Type.Array(Id), 'Ids of positions that a player plays, best first')
		),
		restrictions: Type.Optional(
			says(Type.Array(Restriction), 'What practitioners keep a player out of')
		),
		birthYear: Type.Optional(says(BirthYear, 'Year of birth')),
		leadsWell: Type.Optional(says(Type.Boolean(), 'Whether a player leads a group well')),
		note: Type.Optional(says(Text, 'What coaches should know')),
		skills: Type.Optional(says(Type.Array(Id), 'Ids of skill areas that an adult can lead')),
		ages: Type.Optional(says(Ages, 'Ages of players that an adult may have in charge, in years')),
		units: says(
			Type.Array(
				Type.Object(
					{
						since: says(Day, 'First day that it holds'),
						unit: says(Type.Union([Id, Type.Null()]), 'Id of the unit; none where null')
					},
					closed
				)
			),
			'Units of a player, from the day each holds'
		),
		ratings: says(
			Type.Array(
				Type.Object(
					{
						since: says(Day, 'First day that it holds'),
						skill: says(Id, 'Id of the skill area'),
						rating: says(
							Type.Union([Type.Number({ minimum: 1, maximum: 5 }), Type.Null()]),
							'1 to 5; none any more where null'
						)
					},
					closed
				)
			),
			'Ratings of a player, from the day each holds'
		)
	},
	closed
);

/** Values, each from a day on. */
const from = <Value extends TSchema>(value: Value) =>
	Type.Array(
		Type.Object(
			{ since: says(Day, 'First day that it holds'), value: says(value, 'What held') },
			closed
		),
		{
			maxItems: 1000
		}
	);

/** `teams/ID/team.json`: who and what there is. */
export const ExportTeam = Type.Object(
	{
		format: Type.Literal('fieldplan/team@1'),
		team: says(Team, 'The team'),
		seasons: says(Type.Array(Season, { minItems: 1 }), 'Its seasons'),
		people: says(Type.Array(ExportPerson, { maxItems: 2000 }), 'Players and adults'),
		gone: Type.Optional(
			says(
				Type.Array(Id, { maxItems: 5000 }),
				'Ids of people who were removed: practices keep a place for them, without a name'
			)
		),
		grounds: says(Type.Array(Ground, { minItems: 1 }), 'Its grounds, the usual one first'),
		kit: says(Type.Array(KitItem), 'What the team had at first'),
		kitFrom: Type.Optional(
			says(from(Type.Array(KitItem)), 'What it had from later days on, in order of time')
		),
		limits: Type.Optional(
			says(
				Type.Partial(Limits, closed),
				'What it set itself of the limits at first: from the day `limitsSince` on, or always'
			)
		),
		limitsSince: Type.Optional(says(Day, 'First day that they hold')),
		limitsFrom: Type.Optional(
			says(from(Type.Partial(Limits, closed)), 'What it set from later days on, in order of time')
		),
		archivedDrills: Type.Optional(
			says(Type.Array(Id, { maxItems: 10_000 }), 'Ids of drills that are archived')
		)
	},
	closed
);

/** Whether a practice is still to come, was held, or will not be. */
export const PracticeState = Type.Enum(['planned', 'held', 'cancelled']);
export type PracticeState = Static<typeof PracticeState>;

/** Day and start of a pattern: `2027-04-06 18:30`. */
const SlotName = Type.String({ pattern: '^\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d$' });

/** `teams/ID/practices/ID.json`. */
export const ExportPractice = Type.Object(
	{
		format: Type.Literal('fieldplan/stored-practice@1'),
		revision: says(Type.Integer({ minimum: 1 }), 'How often it was changed, from 1'),
		archived: says(Type.Boolean(), 'Whether it is out of the list'),
		state: Type.Optional(
			says(
				PracticeState,
				'Whether it is planned, was held or is cancelled; where it is not said, `held` says it'
			)
		),
		held: Type.Optional(
			says(
				Type.Boolean(),
				'Of older files: whether it was held; where it is not said either, it was if it has rows of what was done'
			)
		),
		cancelledReason: Type.Optional(says(Name, 'Why it is cancelled')),
		slot: Type.Optional(
			says(SlotName, 'Day and start of the pattern that it was made for: `2027-04-06 18:30`')
		),
		turnings: Type.Optional(
			says(Type.Integer({ minimum: 0 }), 'How often it was cancelled or called back')
		),
		practice: says(Practice, 'The practice')
	},
	closed
);

/** `teams/ID/ledger.json`: what every practice was planned to give and gave. */
export const ExportLedger = Type.Object(
	{
		format: Type.Literal('fieldplan/ledger@1'),
		rows: says(
			Type.Array(
				Type.Object(
					{
						practice: says(Id, 'Id of the practice'),
						period: says(PartId, 'Id of the period'),
						block: says(PartId, 'Id of the block'),
						drill: says(Id, 'Id of the drill'),
						revision: says(Type.Integer({ minimum: 1 }), 'Its revision, from 1'),
						rung: says(
							Type.Union([Key, Type.Null()]),
							'Id of the rung; the drill itself where null'
						),
						side: Type.Optional(
							says(
								Type.Union([Name, Type.Null()]),
								'Name of the side; null where there is none, or where it is not known'
							)
						),
						opposed: Type.Optional(
							says(
								Type.Union([Type.Boolean(), Type.Null()]),
								'Whether opponents held spots; null where it is not known'
							)
						),
						player: says(Id, 'Id of the player'),
						unit: says(Type.Union([Id, Type.Null()]), 'Id of the unit that they were in'),
						date: says(Day, 'Day of the practice'),
						skill: says(SkillId, 'The skill, or the stage of it'),
						focus: says(
							Type.Enum(['main', 'second']),
							'Whether it was a main skill of the drill or a second one'
						),
						seconds: says(
							Type.Number({ minimum: 0 }),
							'Seconds of the block that belong to the skill'
						),
						activeSeconds: says(
							Type.Number({ minimum: 0 }),
							'Seconds of them in which they worked'
						),
						turns: says(Type.Number({ minimum: 0 }), 'Turns that belong to the skill'),
						state: says(Type.Enum(['planned', 'done']), 'Whether it is planned or was done')
					},
					closed
				)
			),
			'What every player was given, by practice, block and skill'
		)
	},
	closed
);

export type ExportTeam = Static<typeof ExportTeam>;
export type ExportPerson = Static<typeof ExportPerson>;
export type ExportPractice = Static<typeof ExportPractice>;
export type ExportLedger = Static<typeof ExportLedger>;
