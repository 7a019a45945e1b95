import Type, { type Static } from 'typebox';
import { byKey, closed, Counts, Day, Id, Key, Name, Point, SkillId, Text, says } from './fields';

/** Something that a licensed practitioner keeps a player out of, or a coach for reasons of their own. */
export const Restriction = Type.Object(
	{
		from: says(
			Type.Enum(['all', 'contact', 'running', 'drills']),
			'What the player is kept out of: `all` is any training, `contact` live play too, `drills` are those that `drills` and `skills` name'
		),
		by: Type.Optional(
			says(
				Type.Enum(['practitioner', 'coach']),
				'Who has said so; a licensed practitioner where it is not said: only one lifts it'
			)
		),
		reason: Type.Optional(says(Name, 'Why, in a few words: cannot catch yet')),
		drills: Type.Optional(
			says(Type.Array(Id, { maxItems: 200 }), 'Ids of drills that they are kept out of')
		),
		skills: Type.Optional(
			says(
				Type.Array(Id, { maxItems: 40 }),
				'Ids of skill areas: every drill that trains one of them'
			)
		),
		since: Type.Optional(says(Day, 'The first day that it holds on; always where it is not said')),
		until: Type.Optional(
			says(
				Day,
				'The last day: a coach’s own ends with it, after a practitioner’s own somebody must clear the player; open where it is not said'
			)
		),
		setBy: says(Name, 'Who set it, by name'),
		cleared: Type.Optional(
			says(
				Type.Object(
					{
						by: says(Name, 'The licensed practitioner who lifted it'),
						on: says(Day, 'The day from which it is lifted')
					},
					closed
				),
				'Who lifted it, and from which day on: a licensed practitioner, never the application'
			)
		)
	},
	closed
);

/** What stands on a player's own page, beside the squad's table. */
export const PlayerFacts = Type.Object(
	{
		note: says(Text, 'What coaches should know'),
		restrictions: says(Type.Array(Restriction, { maxItems: 20 }), 'What practitioners have said')
	},
	closed
);

/** The year that a player was born in. */
export const BirthYear = Type.Integer({ minimum: 1900, maximum: 2100 });

/** Years of age, both ends included. */
export const Ages = Type.Object(
	{
		from: says(Type.Integer({ minimum: 0, maximum: 120 }), 'Youngest, in years'),
		to: says(Type.Integer({ minimum: 0, maximum: 120 }), 'Oldest, in years')
	},
	closed
);

/** A player as the engine needs one. Ratings run from 1 to 5 by skill area. */
export const Player = Type.Object(
	{
		id: says(Id, 'Id of the player'),
		name: says(Name, 'Name'),
		number: Type.Optional(
			says(Type.Integer({ minimum: 0, maximum: 999 }), 'Number on the shirt, 0 to 999')
		),
		unit: Type.Optional(says(Id, 'Id of their unit')),
		ratings: Type.Optional(
			says(byKey(Id, Type.Number({ minimum: 1, maximum: 5 })), 'Ratings by skill area, 1 to 5')
		),
		positions: Type.Optional(
			says(Type.Array(Id), 'Ids of positions that they may take in a game, the best first')
		),
		restrictions: Type.Optional(
			says(Type.Array(Restriction), 'What practitioners keep them out of')
		),
		usuallyLate: Type.Optional(says(Type.Boolean(), 'Whether they usually come late')),
		birthYear: Type.Optional(says(BirthYear, 'Year of birth')),
		leads: Type.Optional(
			says(Type.Boolean(), 'Whether they take others along: asked for where a group needs a leader')
		),
		note: Type.Optional(says(Text, 'What coaches should know'))
	},
	closed
);

/** A coach or a helper. */
export const Adult = Type.Object(
	{
		id: says(Id, 'Id of the adult'),
		name: says(Name, 'Name'),
		role: says(Name, 'What they do, such as coach or helper'),
		units: Type.Optional(says(Type.Array(Id), 'Ids of units that they look after')),
		days: Type.Optional(
			says(
				Type.Array(Type.Integer({ minimum: 1, maximum: 7 })),
				'Weekdays on which they usually come, Monday 1 to Sunday 7'
			)
		),
		skills: Type.Optional(
			says(Type.Array(Id), 'Ids of skill areas that they can lead; any where there is none')
		),
		ages: Type.Optional(
			says(Ages, 'Ages of players that they may have in charge, in years; any where it is not said')
		)
	},
	closed
);

/** A rectangle of the ground: `x`, `y` is its corner nearest the ground's origin. Metres. */
export const Zone = Type.Object(
	{
		id: says(Id, 'Its id on the ground'),
		name: says(Name, 'Its name, short'),
		x: says(Type.Number(), 'Metres from the left of the ground'),
		y: says(Type.Number(), 'Metres from the top of the ground'),
		length: says(Type.Number({ exclusiveMinimum: 0 }), 'Metres from left to right, over 0'),
		width: says(Type.Number({ exclusiveMinimum: 0 }), 'Metres from top to bottom, over 0'),
		fixtures: Type.Optional(says(Counts, 'What stands in it, by name'))
	},
	closed
);

/** A line painted on the ground: straight through points, or an arc (degrees, 0 along the length). */
export const Marking = Type.Union([
	Type.Object(
		{ line: says(Type.Array(Point, { minItems: 2 }), 'A line through these points, in metres') },
		closed
	),
	Type.Object(
		{
			centre: says(Point, 'Middle of an arc, in metres'),
			radius: says(Type.Number({ exclusiveMinimum: 0 }), 'Radius of an arc in metres, over 0'),
			from: says(Type.Number(), 'Where an arc begins, degrees clockwise from the right'),
			to: says(Type.Number(), 'Where an arc ends, degrees clockwise from the right')
		},
		closed
	)
]);

/** The most zones of a ground. */
export const MOST_ZONES = 120;

/** A ground drawn to scale: `length` runs along x, `width` along y. Metres. */
export const Ground = Type.Object(
	{
		id: says(Id, 'Its id in the team'),
		name: says(Name, 'Its name'),
		length: says(
			Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
			'Metres from left to right, over 0'
		),
		width: says(
			Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
			'Metres from top to bottom, over 0'
		),
		markings: says(Type.Array(Marking, { maxItems: 500 }), 'Lines and arcs to be drawn'),
		zones: says(Type.Array(Zone, { maxItems: MOST_ZONES }), 'Parts of it that are planned with'),
		bearing: Type.Optional(
			says(
				Type.Number({ minimum: 0, exclusiveMaximum: 360 }),
				'The direction in which its length runs, x upwards: degrees clockwise from north, 0 to 360'
			)
		),
		place: Type.Optional(
			says(
				Type.Object(
					{
						latitude: says(Type.Number({ minimum: -90, maximum: 90 }), 'Degrees, north positive'),
						longitude: says(Type.Number({ minimum: -180, maximum: 180 }), 'Degrees, east positive')
					},
					closed
				),
				'Where it lies on the earth'
			)
		),
		indoors: Type.Optional(says(Type.Boolean(), 'Whether it is under a roof: no sun, no rain'))
	},
	closed
);

/** What a team has of one thing: how many, how many of them are broken, and where they are kept. */
export const KitItem = Type.Object(
	{
		item: says(Key, 'Its name, one of it'),
		count: says(Type.Number({ minimum: 0, maximum: 100_000 }), 'How many there are'),
		broken: Type.Optional(
			says(Type.Number({ minimum: 0, maximum: 100_000 }), 'How many of them are broken')
		),
		kept: Type.Optional(says(Name, 'Where it is kept'))
	},
	closed
);

/** The most places of one team in a game, and the most positions that there are. */
export const MOST_PLACES = 60;
export const MOST_POSITIONS = 80;

/** A team and the season it is in. */
export const Team = Type.Object(
	{
		id: says(Id, 'Id of the team, part of its address'),
		name: says(Name, 'Its name'),
		sport: says(Id, 'Id of its sport'),
		sportName: Type.Optional(says(Name, 'Name of its sport, where no kit of that id ships')),
		ages: says(Ages, 'Ages of its players, in years'),
		timeZone: says(Name, 'IANA name of its time zone, such as Europe/Dublin'),
		skillAreas: says(
			Type.Array(
				Type.Object(
					{
						id: says(Id, 'Id of the area'),
						name: says(Name, 'Its name'),
						stages: Type.Optional(
							says(Type.Array(Text), 'What is learned of it, one stage after another')
						),
						after: Type.Optional(
							says(
								Type.Array(SkillId, { maxItems: 40 }),
								'Skills, or stages of them, that must come first'
							)
						),
						retired: Type.Optional(
							says(
								Type.Boolean(),
								'Whether it is no longer trained: it is not offered, and what it had stays'
							)
						)
					},
					closed
				)
			),
			'What it trains'
		),
		units: says(
			Type.Array(
				Type.Object({ id: says(Id, 'Id of the unit'), name: says(Name, 'Its name') }, closed)
			),
			'Players of the same job'
		),
		positions: Type.Optional(
			says(
				Type.Array(Id),
				'Ids of positions, one for each place of one team in a game; one may come several times'
			)
		),
		places: Type.Optional(
			says(
				Type.Array(Point, { maxItems: MOST_PLACES }),
				'Where each of these places is when play starts, own end at x 0, in metres'
			)
		),
		positionList: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							id: says(Id, 'Id of the position'),
							name: says(Name, 'Its name'),
							unit: Type.Optional(says(Id, 'Id of the unit that plays it'))
						},
						closed
					),
					{ maxItems: MOST_POSITIONS }
				),
				'Positions that there are, in a line-up or not'
			)
		),
		loads: Type.Optional(
			says(
				Type.Array(Key, { maxItems: 50 }),
				'What turns cost a body and is counted: throws, jumps'
			)
		),
		cautions: Type.Optional(
			says(Type.Array(Text, { maxItems: 50 }), 'What is usually looked after in this sport')
		),
		note: Type.Optional(says(Text, 'A note of the coach')),
		today: Type.Optional(
			says(Day, 'The day that the team takes for today: a demo stands still on it')
		),
		words: Type.Optional(
			says(
				byKey(Key, Name),
				"The team's own words, by the word that stands in their place otherwise"
			)
		)
	},
	closed
);

export type Player = Static<typeof Player>;
export type Adult = Static<typeof Adult>;
export type Zone = Static<typeof Zone>;
export type Marking = Static<typeof Marking>;
export type Ground = Static<typeof Ground>;
export type KitItem = Static<typeof KitItem>;
export type PlayerFacts = Static<typeof PlayerFacts>;
export type Restriction = Static<typeof Restriction>;
export type Team = Static<typeof Team>;
