import Type, { type Static } from 'typebox';
import { Drill } from '../model/drill';
import { closed, Id } from '../model/fields';

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
						id: Id,
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
		rung: Type.Optional(Id),
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
export type Block = 'size' | 'coaches' | 'zones' | 'fixtures' | 'kit';

/** One way to run a drill: copies, the players in each, and what they get. */
export interface SizeOption {
	copies: number;
	/** Players of each copy, the larger first. */
	sizes: number[];
	/** Adults on `either` spots of each copy. */
	adultsAt: number;
	reps: { min: number; mean: number };
	share: { active: number; help: number; wait: number };
	/** Empty where nothing stands in the way. */
	blockedBy: Block[];
	/** Whether waiting is within the aim, where one was given. */
	meetsAim?: boolean;
}

/** What `size` gives: every option, and the index of the best free one. */
export interface SizeOutput {
	options: SizeOption[];
	best: number | null;
}
