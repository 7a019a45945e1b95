import Type, { type Static } from 'typebox';
import { Spread } from '../drill';
import { Drill } from '../model/drill';
import { closed, Key, says } from '../model/fields';

/** Counts by item, their range not yet checked. */
const Counts = Type.Record(Type.String(), Type.Number());

const Zones = Type.Array(
	Type.Object(
		{
			id: says(Key, 'Id of the zone'),
			length: says(Type.Number(), 'Metres from left to right'),
			width: says(Type.Number(), 'Metres from top to bottom'),
			fixtures: Type.Optional(says(Counts, 'What stands in it, by name'))
		},
		closed
	)
);

/** What stands in the way of running copies; what is not given does not block. */
export const SizeLimits = Type.Object(
	{
		coaches: Type.Optional(says(Type.Number(), 'Adults who are free, 0 or more')),
		zones: Type.Optional(says(Zones, 'Zones that are free')),
		orZones: Type.Optional(
			says(Zones, 'Other zones on the same ground, taken where those hold too few copies')
		),
		kit: Type.Optional(says(Counts, 'What is free of the kit, by name')),
		maxCopies: Type.Optional(says(Type.Number(), 'Most copies that are looked at, 1 or more'))
	},
	closed
);

/** What `size` takes. Lengths in metres. */
export const SizeInput = Type.Object(
	{
		drill: says(Drill, 'What is to be run'),
		rung: Type.Optional(says(Key, 'Id of the rung; the drill itself where it is not said')),
		players: says(Type.Number(), 'How many players'),
		minutes: says(Type.Number(), 'Minutes that it runs, over 0'),
		limits: Type.Optional(says(SizeLimits, 'What there is for it; anything where it is not said')),
		aims: Type.Optional(
			says(
				Type.Object(
					{
						waitShare: Type.Optional(
							says(Type.Number(), 'Share of the time that a player may wait, 0 to 1')
						)
					},
					closed
				),
				'What is wanted'
			)
		)
	},
	closed
);

export type SizeLimits = Static<typeof SizeLimits>;
export type SizeInput = Static<typeof SizeInput>;
export type SizeZone = NonNullable<SizeLimits['zones']>[number];

/** Why an option cannot be run here, in the order in which reasons are listed. */
export const Block = Type.Enum(['size', 'coaches', 'zones', 'fixtures', 'kit']);

/** One way to run a drill: copies, the players in each, and what they get. */
export const SizeOption = Type.Object(
	{
		copies: says(Type.Number(), 'How many copies run side by side'),
		sizes: says(Type.Array(Type.Number()), 'Players of each copy, the larger first'),
		adultsAt: says(Type.Number(), 'Adults on `either` spots of each copy'),
		reps: says(Spread, 'Turns of a player: least, mean and most over the copies'),
		share: says(
			Type.Object(
				{
					active: says(Type.Number(), 'At work, 0 to 1'),
					help: says(Type.Number(), 'Serving, 0 to 1'),
					wait: says(Type.Number(), 'Waiting, 0 to 1')
				},
				closed
			),
			'Shares of the time of all players'
		),
		blockedBy: says(
			Type.Array(Block),
			'What there is too little of; empty where nothing stands in the way'
		),
		meetsAim: Type.Optional(
			says(Type.Boolean(), 'Whether waiting is within the aim, where one was given')
		)
	},
	closed
);

/** What `size` gives: every option, and the index of the best free one. */
export const SizeOutput = Type.Object(
	{
		options: says(Type.Array(SizeOption), 'Every way to run it, fewest copies first'),
		best: says(
			Type.Union([Type.Number(), Type.Null()]),
			'Place of the best free one among them, from 0; none where null'
		)
	},
	closed
);

export type Block = Static<typeof Block>;
export type SizeOption = Static<typeof SizeOption>;
export type SizeOutput = Static<typeof SizeOutput>;
