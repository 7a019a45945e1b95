import Type, { type Static } from 'typebox';
import { closed, Key, says } from './fields';

/** Limits that a club may change; their defaults are `DEFAULT_LIMITS`. */
export const Limits = Type.Object(
	{
		overTimeMinutes: says(
			Type.Number({ minimum: 0 }),
			'Minutes that periods may go over the time there is'
		),
		underTimeMinutes: says(
			Type.Number({ minimum: 0 }),
			'Minutes that may be left over before it is said'
		),
		warmUpMinutes: says(Type.Number({ minimum: 0 }), 'Minutes of warm-up before hard work'),
		hardWarmUpEffort: says(
			Type.Number({ minimum: 1, maximum: 10 }),
			'Effort from which a warm-up must have come before, 1 to 10'
		),
		waitingShare: says(
			Type.Number({ minimum: 0, maximum: 1 }),
			'Share of a block that a player may wait, 0 to 1'
		),
		waitingFromMinutes: says(
			Type.Number({ minimum: 0 }),
			'Minutes from which on waiting in a block is said'
		),
		walkMetresPerSecond: says(
			Type.Number({ exclusiveMinimum: 0 }),
			'How fast groups walk, metres per second, over 0'
		),
		leastMoveSeconds: says(Type.Number({ minimum: 0 }), 'Least seconds to change stations'),
		talkMinutes: says(Type.Number({ minimum: 0 }), 'Minutes that a talk may last'),
		gameTalkMinutes: says(
			Type.Number({ minimum: 0 }),
			'Minutes that the one talk about the next opponent may last'
		),
		stopShare: says(
			Type.Number({ minimum: 0, maximum: 0.9 }),
			'Share of a block that it may be stopped, 0 to 0.9'
		),
		hardEffort: says(
			Type.Number({ minimum: 1, maximum: 10 }),
			'Effort of hard work, 1 to 10: two such periods in a row need a rest between'
		),
		playersAnAdult: says(
			Type.Array(
				Type.Object(
					{
						under: says(Type.Number({ minimum: 1 }), 'Under this age in years'),
						players: says(Type.Number({ minimum: 1 }), 'Players for each adult, 1 or more')
					},
					closed
				)
			),
			'Players that one adult may have in charge, by age: the first entry that is over the age holds'
		),
		loads: says(
			Type.Array(
				Type.Object(
					{
						kind: says(Key, 'What is counted, as drills name it: throws, kicks'),
						under: Type.Optional(
							says(Type.Integer({ minimum: 1, maximum: 99 }), 'Under this age; all where not said')
						),
						day: Type.Optional(
							says(Type.Number({ minimum: 0 }), 'The most of it for a player in a day')
						),
						week: Type.Optional(
							says(Type.Number({ minimum: 0 }), 'The most of it for a player in seven days')
						)
					},
					closed
				),
				{ maxItems: 50 }
			),
			'Caps on what turns cost a body, by kind and age; the lowest that is meant for a player holds'
		),
		rest: says(
			Type.Array(
				Type.Object(
					{
						kind: says(Key, 'What is counted, as drills name it: pitches'),
						under: Type.Optional(
							says(Type.Integer({ minimum: 1, maximum: 99 }), 'Under this age; all where not said')
						),
						from: says(Type.Number({ minimum: 1 }), 'From so many of it in a day'),
						days: says(
							Type.Integer({ minimum: 1, maximum: 6 }),
							'Days without any of it that follow, 1 to 6'
						)
					},
					closed
				),
				{ maxItems: 50 }
			),
			'Days of rest after much of a kind; the longest that is meant for a player holds'
		),
		effortCaps: says(
			Type.Array(
				Type.Object(
					{
						under: says(Type.Number({ minimum: 1 }), 'Under this age in years'),
						effort: says(Type.Number({ minimum: 1, maximum: 10 }), 'Hardest effort, 1 to 10')
					},
					closed
				)
			),
			'The hardest work by age: the first entry that is over the age holds'
		),
		contactCaps: says(
			Type.Array(
				Type.Object(
					{
						under: says(Type.Number({ minimum: 1 }), 'Under this age in years'),
						contact: says(Type.Integer({ minimum: 0, maximum: 4 }), 'Most contact, 0 to 4')
					},
					closed
				)
			),
			'The most contact by age: the first entry that is over the age holds'
		),
		drillMinutes: says(
			Type.Array(
				Type.Object(
					{
						under: says(Type.Number({ minimum: 1 }), 'Under this age in years'),
						minutes: says(Type.Number({ minimum: 1 }), 'Minutes of one drill, 1 or more')
					},
					closed
				)
			),
			'Minutes of one drill that a player has in a practice, games and the steps of a climb apart, by age: the first entry that is over the age holds'
		),
		hardMinutes: says(
			Type.Number({ minimum: 1 }),
			'Minutes of hard work without an easy stretch in between; a drink is none'
		),
		easyMinutes: says(Type.Number({ minimum: 1 }), 'Minutes of easier work that count as a rest'),
		eyesUnderAge: says(
			Type.Number({ minimum: 0, maximum: 100 }),
			'Age in years: younger players have contact and catch under the sky only where an adult watches'
		),
		lookUpMetres: says(
			Type.Number({ minimum: 0 }),
			'Metres kept clear around players who look up into the sky'
		),
		aloneFromAge: says(
			Type.Number({ minimum: 0, maximum: 18 }),
			'Age in years: younger players are nowhere without an adult in their zone'
		),
		contactLevel: says(
			Type.Number({ minimum: 1, maximum: 4 }),
			'Contact that counts as hard, 1 to 4'
		),
		lightContactShare: says(
			Type.Number({ minimum: 0, maximum: 1 }),
			'What a minute of contact one level below counts of a minute of hard contact, 0 to 1'
		),
		contactRowShare: says(
			Type.Number({ minimum: 0, maximum: 1 }),
			'Share of the minutes of a day over which contact is not had on two days in a row, 0 to 1'
		),
		contactDayMinutes: says(
			Type.Number({ minimum: 0 }),
			'Minutes of hard contact that a player may have in a day'
		),
		contactWeekMinutes: says(
			Type.Number({ minimum: 0 }),
			'Minutes of hard contact that a player may have in seven days'
		),
		contactAfter: says(
			Type.Integer({ minimum: 0 }),
			'Practices of the season that a player must have come to before hard contact'
		),
		fullContactAfter: says(
			Type.Integer({ minimum: 0 }),
			'Practices of the season that a player must have come to before full contact, level 4'
		),
		rampAwayDays: says(
			Type.Integer({ minimum: 1, maximum: 200 }),
			'Days away after which a player builds up to contact anew'
		),
		standSeconds: says(
			Type.Array(
				Type.Object(
					{
						under: says(Type.Number({ minimum: 1 }), 'Under this age in years'),
						seconds: says(Type.Number({ minimum: 1 }), 'Seconds at a stretch, 1 or more')
					},
					closed
				)
			),
			'The longest that a player may stand in line at a stretch, by age: the first entry that is over the age holds'
		),
		loadJump: says(
			Type.Number({ minimum: 1, maximum: 3 }),
			'How many times the mean of the four weeks before a week may cost, 1 to 3'
		),
		stationsInSight: says(
			Type.Integer({ minimum: 1, maximum: 4 }),
			'Stations of players under 12 that one adult may have in sight, 1 to 4'
		),
		restrictedContact: says(
			Type.Number({ minimum: 1, maximum: 4 }),
			'Contact from which a player kept out of contact is out, 1 to 4'
		),
		restrictedEffort: says(
			Type.Number({ minimum: 1, maximum: 10 }),
			'Effort from which a player kept out of running is out, 1 to 10'
		),
		waterMinutes: says(Type.Number({ minimum: 1 }), 'Minutes that may pass without water'),
		likeRatings: says(
			Type.Number({ minimum: 0, maximum: 4 }),
			'How far apart mean ratings of like partners may be'
		),
		swingMetres: says(
			Type.Number({ minimum: 0 }),
			'Metres kept clear between a drill that swings and others'
		)
	},
	closed
);

export type Limits = Static<typeof Limits>;
