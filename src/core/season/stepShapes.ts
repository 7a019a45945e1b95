import Type, { type Static } from 'typebox';
import { closed, Name, says } from '../model/fields';

const Count = Type.Integer({ minimum: 0, maximum: 1_000_000 });

/** The least and the most share of clean turns that suits. */
export const SuccessWindow = Type.Array(Type.Number(), { minItems: 2, maxItems: 2 });

/** What `step` takes. */
export const StepInput = Type.Object(
	{
		tallies: says(
			Type.Array(
				Type.Object(
					{
						who: says(Name, 'Whose it is: a squad, unit, group or player'),
						clean: says(Count, 'Tries that were clean, whole'),
						tries: says(Count, 'Tries in all, whole')
					},
					closed
				),
				{ maxItems: 1000 }
			),
			'What was counted on the rung'
		),
		window: Type.Optional(
			says(SuccessWindow, 'Shares between which the rung suits, over 0 and under 1; 0.55 and 0.75')
		)
	},
	closed
);
export type StepInput = Static<typeof StepInput>;

const advice = {
	clean: says(Type.Number(), 'Tries that were clean'),
	tries: says(Type.Number(), 'Tries in all'),
	advice: says(Type.Enum(['up', 'down', 'stay']), 'Whether to step up, down, or to stay'),
	above: says(Type.Number(), 'Chance that the true share is over the window, 0 to 1'),
	below: says(Type.Number(), 'Chance that the true share is under the window, 0 to 1'),
	moreTries: says(
		Type.Union([Type.Number(), Type.Null()]),
		'The fewest tries, 1 to 50, that could give another advice; null where none could'
	)
};
const Advice = Type.Object(advice, closed);

/** What `step` gives. */
export const StepOutput = Type.Object(
	{
		whole: says(Advice, 'All tallies as one'),
		each: says(
			Type.Array(Type.Object({ who: says(Name, 'Whose it is'), ...advice }, closed)),
			'Each tally by itself, in order'
		),
		split: says(Type.Boolean(), 'The whole stays while one goes up and another down')
	},
	closed
);
export type StepOutput = Static<typeof StepOutput>;
export type StepAdvice = Static<typeof Advice>;
