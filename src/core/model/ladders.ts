import Type, { type Static } from 'typebox';
import { closed, Day, Id, Key, PartId, says, SkillId, Text } from './fields';

/** What a try is judged by. */
export const Judge = Type.Enum(['outcome', 'decision', 'form', 'talk', 'effort']);

/** Whose tries they are; nobody is named for the whole squad. */
const whom = {
	whom: says(Type.Enum(['squad', 'unit', 'group', 'player']), 'Whose tries they are'),
	whomId: Type.Optional(says(PartId, 'Id of the unit, group or player; none for the squad'))
};

const Rung = says(Type.Union([Key, Type.Null()]), 'Id of the rung; the drill itself where null');

/** Clean tries on a rung in a practice. */
export const Tally = Type.Object(
	{
		practice: says(Id, 'Id of the practice'),
		drill: says(Id, 'Id of the drill'),
		rung: Rung,
		judge: says(Judge, 'What the tries were judged by'),
		...whom,
		clean: says(Type.Integer({ minimum: 0, maximum: 100_000 }), 'Tries that were clean'),
		tries: says(Type.Integer({ minimum: 1, maximum: 100_000 }), 'Tries in all')
	},
	closed
);

export const Advice = Type.Enum(['up', 'down', 'stay']);

/** A coach decided otherwise than the tallies advise. */
export const Ruling = Type.Object(
	{
		drill: says(Id, 'Id of the drill'),
		...whom,
		date: says(Day, 'The day on which it was decided'),
		rung: Rung,
		advice: says(Advice, 'What the tallies advised'),
		chosen: says(Advice, 'What was decided'),
		reason: says(Text, 'Why')
	},
	closed
);

/** What a coach has said of a skill that is due. */
export const Push = Type.Object(
	{
		season: says(Id, 'Id of the season'),
		skill: says(SkillId, 'The skill'),
		unit: Type.Optional(says(Id, 'Id of the unit that it is due for; everyone where not said')),
		push: says(
			Type.Enum(['up', 'off', 'day']),
			'`up`: first of all; `off`: not now; `day`: not before `day`'
		),
		day: Type.Optional(says(Day, 'The day that it is put off to')),
		since: says(Day, 'The day on which it was said')
	},
	closed
);

/** `teams/ID/ladders.json`: what was counted, and what a coach decided of it. */
export const LaddersFile = Type.Object(
	{
		format: Type.Literal('fieldplan/ladders@1'),
		tallies: says(Type.Array(Tally, { maxItems: 100_000 }), 'What was counted'),
		rulings: says(Type.Array(Ruling, { maxItems: 10_000 }), 'Where advice was overruled'),
		pushes: says(Type.Array(Push, { maxItems: 10_000 }), 'What was said of skills that are due')
	},
	closed
);

export type Tally = Static<typeof Tally>;
export type Ruling = Static<typeof Ruling>;
export type Push = Static<typeof Push>;
export type Advice = Static<typeof Advice>;
export type LaddersFile = Static<typeof LaddersFile>;
