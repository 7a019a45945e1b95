import Type, { type Static } from 'typebox';
import { Drill } from '../model/drill';
import { closed, Key } from '../model/fields';

/** Counts by item, their range not yet checked. */
const Counts = Type.Record(Type.String(), Type.Number());

/** What stands in the way of running copies; what is not given does not block. */
export const SizeLimits = Type.Object(
	{
		coaches: Type.Optional(Type.Number()),
		zones: Type.Optional(
			Type.Array(
				Type.Object(
					{
						id: Key,
						length: Type.Number(),
						width: Type.Number(),
						fixtures: Type.Optional(Counts)
					},
					closed
				)
			)
		),
		kit: Type.Optional(Counts),
		maxCopies: Type.Optional(Type.Number())
	},
	closed
);

/** What `size` takes. Lengths in metres. */
export const SizeInput = Type.Object(
	{
		drill: Drill,
		rung: Type.Optional(Key),
		players: Type.Number(),
		minutes: Type.Number(),
		limits: Type.Optional(SizeLimits),
		aims: Type.Optional(Type.Object({ waitShare: Type.Optional(Type.Number()) }, closed))
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
		copies: Type.Number(),
		/** Players of each copy, the larger first. */
		sizes: Type.Array(Type.Number()),
		/** Adults on `either` spots of each copy. */
		adultsAt: Type.Number(),
		/** Turns of a player: least, mean and most over the copies. */
		reps: Type.Object({ min: Type.Number(), mean: Type.Number(), max: Type.Number() }, closed),
		share: Type.Object({ active: Type.Number(), help: Type.Number(), wait: Type.Number() }, closed),
		/** Empty where nothing stands in the way. */
		blockedBy: Type.Array(Block),
		/** Whether waiting is within the aim, where one was given. */
		meetsAim: Type.Optional(Type.Boolean())
	},
	closed
);

/** What `size` gives: every option, and the index of the best free one. */
export const SizeOutput = Type.Object(
	{ options: Type.Array(SizeOption), best: Type.Union([Type.Number(), Type.Null()]) },
	closed
);

export type Block = Static<typeof Block>;
export type SizeOption = Static<typeof SizeOption>;
export type SizeOutput = Static<typeof SizeOutput>;
