import Type, { type Static } from 'typebox';
import { Drill } from '../model/drill';
import { ClimbStep } from '../model/practice';
import { closed, Key, says } from '../model/fields';

/** What `simulate` takes. */
export const SimulateInput = Type.Object(
	{
		drill: says(Drill, 'What is run'),
		players: says(
			Type.Union([
				Type.Number(),
				Type.Array(Key),
				Type.Array(
					Type.Object(
						{
							id: says(Key, 'Id of the player'),
							unit: Type.Optional(says(Key, 'Id of their unit'))
						},
						closed
					)
				)
			]),
			'How many players, or their ids in the order of the line, or ids with units'
		),
		minutes: Type.Optional(
			says(Type.Number(), 'Minutes that it runs, over 0; beside a climb by turns alone')
		),
		rung: Type.Optional(says(Key, 'Id of the rung; the drill itself where it is not said')),
		climb: Type.Optional(says(Type.Array(ClimbStep), 'Rungs one after another, instead of one')),
		adults: Type.Optional(says(Type.Number(), 'Adults who may hold spots, 0 or more')),
		start: Type.Optional(
			says(
				Type.Record(Type.String(), Type.Number()),
				'Players at each spot and its line at the start, by spot'
			)
		),
		stopShare: Type.Optional(says(Type.Number(), 'Share of the time that it is stopped, 0 to 0.9'))
	},
	closed
);

export type SimulateInput = Static<typeof SimulateInput>;

/** Least, mean and most over players. */
export const Spread = Type.Object(
	{
		min: says(Type.Number(), 'Least'),
		mean: says(Type.Number(), 'Mean'),
		max: says(Type.Number(), 'Most')
	},
	closed
);

/** What one player gets; seconds are of running time. */
export const PlayerSums = Type.Object(
	{
		id: says(Key, 'Id of the player'),
		reps: says(Type.Number(), 'Turns that count for them'),
		help: says(Type.Number(), 'Turns in which they served others'),
		activeSeconds: says(Type.Number(), 'Seconds at work'),
		helpSeconds: says(Type.Number(), 'Seconds in which they served'),
		waitSeconds: says(Type.Number(), 'Seconds in which they waited'),
		longestWaitSeconds: says(Type.Number(), 'Longest wait at a stretch, seconds'),
		sides: Type.Optional(
			says(Type.Record(Type.String(), Type.Number()), 'Turns on each side, by its name')
		),
		loads: Type.Optional(
			says(
				Type.Record(Type.String(), Type.Number()),
				'What the turns cost a body, by kind; where the drill says any'
			)
		),
		bySpot: says(
			Type.Record(
				Type.String(),
				Type.Object(
					{
						turns: says(Type.Number(), 'Full turns on it'),
						activeSeconds: says(Type.Number(), 'Busy seconds on it, helping too')
					},
					closed
				)
			),
			'Turns and busy time by spot'
		)
	},
	closed
);

/** What `simulate` gives. */
export const SimulateOutput = Type.Object(
	{
		turns: says(Type.Number(), 'Turns that were run'),
		perPlayer: says(Type.Array(PlayerSums), 'What each player had'),
		reps: says(Spread, 'Turns of a player'),
		share: says(
			Type.Object(
				{
					active: says(Type.Number(), 'At work, 0 to 1'),
					help: says(Type.Number(), 'Serving, 0 to 1'),
					wait: says(Type.Number(), 'Waiting, 0 to 1'),
					listen: says(Type.Number(), 'Listening, 0 to 1')
				},
				closed
			),
			'Shares of the time of all players, together 1'
		),
		steps: Type.Optional(
			says(
				Type.Array(
					Type.Object(
						{
							turns: says(Type.Number(), 'Turns that were run'),
							reps: says(Spread, 'Turns of a player')
						},
						closed
					)
				),
				'The same for each step of a climb'
			)
		)
	},
	closed
);

export type Spread = Static<typeof Spread>;
export type PlayerSums = Static<typeof PlayerSums>;
export type SimulateOutput = Static<typeof SimulateOutput>;
