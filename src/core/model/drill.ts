import Type, { type Static } from 'typebox';
import { byKey, closed, Id, Key, Name, Point, SkillId, Text } from './fields';

export const Role = Type.Enum(['worker', 'opponent', 'feeder', 'helper']);
export const SpotHolder = Type.Enum(['player', 'adult', 'either']);

/** A place in a drill with a job: who stands there, how many, from which line. */
export const Spot = Type.Object(
	{
		id: Key,
		role: Role,
		count: Type.Number(),
		upTo: Type.Optional(Type.Number()),
		line: Type.Optional(Type.Boolean()),
		by: Type.Optional(SpotHolder),
		unit: Type.Optional(Key),
		joinsAtSeconds: Type.Optional(Type.Number()),
		repsPerTurn: Type.Optional(Type.Number()),
		job: Type.Optional(Text),
		x: Type.Optional(Type.Number()),
		y: Type.Optional(Type.Number())
	},
	closed
);

const Turn = Type.Object(
	{
		workSeconds: Type.Number(),
		headwaySeconds: Type.Number(),
		shortSeconds: Type.Optional(Type.Number()),
		longSeconds: Type.Optional(Type.Number())
	},
	closed
);

const Rotation = Type.Object(
	{
		moves: byKey(Key, Key),
		everyTurns: Type.Optional(Type.Number()),
		everySeconds: Type.Optional(Type.Number())
	},
	closed
);

const Path = Type.Object(
	{
		from: Type.Union([Key, Point]),
		to: Type.Union([Key, Point]),
		kind: Type.Enum(['flight', 'run', 'carry']),
		step: Type.Optional(Type.Number())
	},
	closed
);

const Success = Type.Object(
	{
		counts: Text,
		judge: Type.Enum(['outcome', 'decision', 'form', 'talk', 'effort']),
		by: Type.Optional(Type.Enum(['worker', 'opponent'])),
		window: Type.Optional(
			Type.Array(Type.Number({ minimum: 0, maximum: 1 }), { minItems: 2, maxItems: 2 })
		),
		ignores: Type.Optional(Type.Array(Text))
	},
	closed
);

/** The fields that a rung may replace as a whole. */
const changeable = {
	summary: Text,
	family: Type.Optional(Name),
	ages: Type.Optional(Type.Object({ from: Type.Number(), to: Type.Number() }, closed)),
	skills: Type.Array(
		Type.Object(
			{
				skill: SkillId,
				share: Type.Number({ minimum: 0, maximum: 1 }),
				focus: Type.Enum(['main', 'second'])
			},
			closed
		)
	),
	group: Type.Object({ min: Type.Number(), ideal: Type.Number(), max: Type.Number() }, closed),
	spots: Type.Array(Spot),
	turn: Turn,
	rotation: Rotation,
	sides: Type.Optional(
		Type.Object({ names: Type.Array(Name), everyTurns: Type.Optional(Type.Number()) }, closed)
	),
	paths: Type.Optional(Type.Array(Path)),
	ground: Type.Object(
		{
			length: Type.Number({ exclusiveMinimum: 0 }),
			width: Type.Number({ exclusiveMinimum: 0 }),
			perPlayer: Type.Optional(Type.Number({ minimum: 0 }))
		},
		closed
	),
	fixtures: Type.Optional(Type.Array(Type.Object({ item: Key, count: Type.Number() }, closed))),
	kit: Type.Array(
		Type.Object(
			{ item: Key, count: Type.Number({ minimum: 0 }), per: Type.Enum(['copy', 'player']) },
			closed
		)
	),
	setup: Type.Optional(
		Type.Object(
			{
				seconds: Type.Number({ minimum: 0 }),
				adults: Type.Optional(Type.Number({ minimum: 0 }))
			},
			closed
		)
	),
	explainSeconds: Type.Optional(Type.Number({ minimum: 0, maximum: 3600 })),
	coaches: Type.Object(
		{ min: Type.Number({ minimum: 0 }), ideal: Type.Number({ minimum: 0 }) },
		closed
	),
	contact: Type.Integer({ minimum: 0, maximum: 4 }),
	effort: Type.Number({ minimum: 1, maximum: 10 }),
	live: Type.Optional(Type.Boolean()),
	hazards: Type.Optional(
		Type.Object(
			{
				swing: Type.Optional(Type.Number({ minimum: 0 })),
				flight: Type.Optional(Type.Number({ minimum: 0 })),
				looksUp: Type.Optional(Type.Boolean())
			},
			closed
		)
	),
	partners: Type.Optional(Type.Enum(['like', 'unlike', 'any'])),
	needsRole: Type.Optional(
		Type.Array(Type.Object({ role: Key, count: Type.Number({ minimum: 0 }) }, closed))
	),
	restByDesign: Type.Optional(Type.Boolean()),
	frequency: Type.Enum(['daily', 'regular', 'vary']),
	cues: Type.Array(Type.Object({ say: Text, spot: Type.Optional(Key) }, closed)),
	faults: Type.Optional(
		Type.Array(Type.Object({ seen: Text, say: Text, rung: Type.Optional(Key) }, closed))
	),
	calls: Type.Optional(Type.Array(Text)),
	prompts: Type.Optional(Type.Array(Text)),
	praise: Type.Optional(Type.Array(Text)),
	cautions: Type.Array(Text),
	success: Type.Optional(Success)
};

export const RungChange = Type.Partial(Type.Object(changeable), closed);

/** A step of a drill's ladder: what changes, and the fields that it replaces. */
export const Rung = Type.Object(
	{
		id: Key,
		name: Name,
		change: Text,
		lever: Type.Enum([
			'opponents',
			'ground',
			'pace',
			'distance',
			'side',
			'touches',
			'target',
			'implement',
			'fatigue',
			'start',
			'score',
			'form'
		]),
		needs: Type.Optional(Type.Array(Key)),
		set: Type.Optional(RungChange)
	},
	closed
);

/** The open format of a drill, `fieldplan/drill@1`. Lengths in metres, times in seconds. */
export const Drill = Type.Object(
	{
		format: Type.Literal('fieldplan/drill@1'),
		id: Id,
		revision: Type.Optional(Type.Integer({ minimum: 1 })),
		name: Name,
		sports: Type.Array(Id),
		...changeable,
		rungs: Type.Array(Rung)
	},
	closed
);

export type Drill = Static<typeof Drill>;
export type Spot = Static<typeof Spot>;
export type Rung = Static<typeof Rung>;
export type RungChange = Static<typeof RungChange>;
