import Type, { type Static } from 'typebox';
import { byKey, closed, Counts, Day, Id, Key, Name, Point, Text } from './fields';

/** Something that a licensed practitioner keeps a player out of. */
export const Restriction = Type.Object(
	{
		from: Type.Enum(['contact', 'running']),
		/** The first day that it holds on; always where it is not said. */
		since: Type.Optional(Day),
		/** The last day that it holds on. */
		until: Type.Optional(Day),
		setBy: Name,
		/** Who lifted it, and from which day on: a licensed practitioner, never the application. */
		cleared: Type.Optional(Type.Object({ by: Name, on: Day }, closed))
	},
	closed
);

/** What stands on a player's own page, beside the squad's table. */
export const PlayerFacts = Type.Object(
	{ note: Text, restrictions: Type.Array(Restriction, { maxItems: 20 }) },
	closed
);

/** The year that a player was born in. */
export const BirthYear = Type.Integer({ minimum: 1900, maximum: 2100 });

/** Years of age, both ends included. */
export const Ages = Type.Object(
	{
		from: Type.Integer({ minimum: 0, maximum: 120 }),
		to: Type.Integer({ minimum: 0, maximum: 120 })
	},
	closed
);

/** A player as the engine needs one. Ratings run from 1 to 5 by skill area. */
export const Player = Type.Object(
	{
		id: Id,
		name: Name,
		number: Type.Optional(Type.Integer({ minimum: 0, maximum: 999 })),
		unit: Type.Optional(Id),
		ratings: Type.Optional(byKey(Id, Type.Number({ minimum: 1, maximum: 5 }))),
		/** Positions that the player may take in a game, the best first. */
		positions: Type.Optional(Type.Array(Id)),
		restrictions: Type.Optional(Type.Array(Restriction)),
		usuallyLate: Type.Optional(Type.Boolean()),
		birthYear: Type.Optional(BirthYear),
		/** Takes others along: asked for where a group needs a leader. */
		leads: Type.Optional(Type.Boolean()),
		note: Type.Optional(Text)
	},
	closed
);

/** A coach or a helper. */
export const Adult = Type.Object(
	{
		id: Id,
		name: Name,
		role: Name,
		units: Type.Optional(Type.Array(Id)),
		/** Weekdays on which they usually come, Monday 1. */
		days: Type.Optional(Type.Array(Type.Integer({ minimum: 1, maximum: 7 }))),
		/** Skill areas that they can lead; any where there is none. */
		skills: Type.Optional(Type.Array(Id)),
		/** Ages of the players that they may have in charge; any where it is not said. */
		ages: Type.Optional(Ages)
	},
	closed
);

/** A rectangle of the ground: `x`, `y` is its corner nearest the ground's origin. Metres. */
export const Zone = Type.Object(
	{
		id: Id,
		name: Name,
		x: Type.Number(),
		y: Type.Number(),
		length: Type.Number({ exclusiveMinimum: 0 }),
		width: Type.Number({ exclusiveMinimum: 0 }),
		fixtures: Type.Optional(Counts)
	},
	closed
);

/** A line painted on the ground: straight through points, or an arc (degrees, 0 along the length). */
export const Marking = Type.Union([
	Type.Object({ line: Type.Array(Point, { minItems: 2 }) }, closed),
	Type.Object(
		{
			centre: Point,
			radius: Type.Number({ exclusiveMinimum: 0 }),
			from: Type.Number(),
			to: Type.Number()
		},
		closed
	)
]);

/** The most zones of a ground. */
export const MOST_ZONES = 120;

/** A ground drawn to scale: `length` runs along x, `width` along y. Metres. */
export const Ground = Type.Object(
	{
		id: Id,
		name: Name,
		length: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
		width: Type.Number({ exclusiveMinimum: 0, maximum: 1000 }),
		markings: Type.Array(Marking, { maxItems: 500 }),
		zones: Type.Array(Zone, { maxItems: MOST_ZONES }),
		/** The direction in which its length runs, x upwards: degrees clockwise from north. */
		bearing: Type.Optional(Type.Number({ minimum: 0, exclusiveMaximum: 360 })),
		place: Type.Optional(
			Type.Object(
				{
					latitude: Type.Number({ minimum: -90, maximum: 90 }),
					longitude: Type.Number({ minimum: -180, maximum: 180 })
				},
				closed
			)
		),
		/** Under a roof: no sun, no rain. */
		indoors: Type.Optional(Type.Boolean())
	},
	closed
);

/** What a team has of one thing: how many, how many of them are broken, and where they are kept. */
export const KitItem = Type.Object(
	{
		item: Key,
		count: Type.Number({ minimum: 0, maximum: 100_000 }),
		broken: Type.Optional(Type.Number({ minimum: 0, maximum: 100_000 })),
		kept: Type.Optional(Name)
	},
	closed
);

/** Limits that a club may change; the defaults are in `limits.ts`. */
export const Limits = Type.Object(
	{
		overTimeMinutes: Type.Number({ minimum: 0 }),
		underTimeMinutes: Type.Number({ minimum: 0 }),
		warmUpMinutes: Type.Number({ minimum: 0 }),
		hardWarmUpEffort: Type.Number({ minimum: 1, maximum: 10 }),
		waitingShare: Type.Number({ minimum: 0, maximum: 1 }),
		waitingFromMinutes: Type.Number({ minimum: 0 }),
		walkMetresPerSecond: Type.Number({ exclusiveMinimum: 0 }),
		leastMoveSeconds: Type.Number({ minimum: 0 }),
		talkMinutes: Type.Number({ minimum: 0 }),
		stopShare: Type.Number({ minimum: 0, maximum: 0.9 }),
		hardEffort: Type.Number({ minimum: 1, maximum: 10 }),
		/** Players that one adult may have in charge, by age: the first entry that is over the age holds. */
		playersAnAdult: Type.Array(
			Type.Object(
				{ under: Type.Number({ minimum: 1 }), players: Type.Number({ minimum: 1 }) },
				closed
			)
		),
		/** Younger players are nowhere without an adult in their zone. */
		aloneFromAge: Type.Number({ minimum: 0, maximum: 18 }),
		contactLevel: Type.Number({ minimum: 1, maximum: 4 }),
		contactDayMinutes: Type.Number({ minimum: 0 }),
		/** From this level of contact, or effort, a player who is kept out of contact, or running, is out. */
		restrictedContact: Type.Number({ minimum: 1, maximum: 4 }),
		restrictedEffort: Type.Number({ minimum: 1, maximum: 10 }),
		waterMinutes: Type.Number({ minimum: 1 }),
		likeRatings: Type.Number({ minimum: 0, maximum: 4 }),
		swingMetres: Type.Number({ minimum: 0 })
	},
	closed
);

/** A team and the season it is in. */
export const Team = Type.Object(
	{
		id: Id,
		name: Name,
		sport: Id,
		ages: Ages,
		timeZone: Name,
		skillAreas: Type.Array(
			Type.Object(
				{
					id: Id,
					name: Name,
					/** What is learned of it, from the first on; `passing/2` is the second of passing. */
					stages: Type.Optional(Type.Array(Text))
				},
				closed
			)
		),
		units: Type.Array(Type.Object({ id: Id, name: Name }, closed)),
		/** The places of one team in a game; a position may come several times. */
		positions: Type.Optional(Type.Array(Id)),
		note: Type.Optional(Text),
		/** The day that the team takes for today: a demo stands still on it. */
		today: Type.Optional(Day),
		/** The team's own words, by the word that stands in their place otherwise. */
		words: Type.Optional(byKey(Key, Name))
	},
	closed
);

export const Season = Type.Object(
	{ id: Id, name: Name, firstDay: Day, weeks: Type.Integer({ minimum: 1, maximum: 60 }) },
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
export type Limits = Static<typeof Limits>;
export type Team = Static<typeof Team>;
export type Season = Static<typeof Season>;
