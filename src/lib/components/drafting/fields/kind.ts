import type { Drill } from '$core/model/drill';
import { number, type FieldGroup, type NumberInput } from './inputs';
import texts from '$texts/drafting';
import type { Message } from '$words';

const tick = (field: 'live' | 'restByDesign', name: Message, label: Message): FieldGroup => ({
	id: field,
	name,
	fields: [field],
	inputs: [
		{
			kind: 'tick',
			label,
			value: (drill) => drill[field] ?? false,
			write: (_, is) => ({ [field]: is })
		}
	]
});

const age = (field: 'from' | 'to', label: Message): NumberInput =>
	number(
		label,
		['', 3, 120],
		(drill) => drill.ages?.[field],
		({ ages }, value) => {
			if (value === undefined) return { ages: undefined };
			return { ages: { ...(ages ?? { from: value, to: value }), [field]: value } };
		}
	);

/** What sort of drill it is: skills have a table of their own. */
export const KIND: readonly FieldGroup[] = [
	{ id: 'skills', name: texts.skills, fields: ['skills'], inputs: [] },
	{
		id: 'effort',
		name: texts.effort,
		fields: ['effort'],
		inputs: [
			number(
				texts.effortOneToTen,
				['', 1, 10],
				({ effort }) => effort,
				(drill, value) => ({ effort: value ?? drill.effort })
			)
		]
	},
	{
		id: 'contact',
		name: texts.contact,
		fields: ['contact'],
		inputs: [
			number(
				texts.contactNoneToFour,
				['', 0, 4],
				({ contact }) => contact,
				(drill, value) => ({ contact: Math.round(value ?? drill.contact) })
			)
		]
	},
	{
		id: 'before',
		name: texts.beforeIt,
		fields: ['warmUpMinutes', 'notWithinDaysOfGame'],
		inputs: [
			number(
				texts.ownWarmUp,
				['min', 0, 60],
				({ warmUpMinutes }) => warmUpMinutes,
				(_, value) => ({ warmUpMinutes: value })
			),
			number(
				texts.daysBeforeAGame,
				['', 0, 14],
				({ notWithinDaysOfGame }) => notWithinDaysOfGame,
				(_, value) => ({
					notWithinDaysOfGame: value === undefined ? undefined : Math.round(value)
				})
			)
		]
	},
	{
		id: 'frequency',
		name: texts.howOften,
		fields: ['frequency'],
		inputs: [
			{
				kind: 'choice',
				label: texts.howOften,
				options: ['daily', 'regular', 'vary'],
				value: ({ frequency }) => frequency,
				write: (_, value) => ({ frequency: value as Drill['frequency'] })
			}
		]
	},
	{
		id: 'partners',
		name: texts.partners,
		fields: ['partners'],
		inputs: [
			{
				kind: 'choice',
				label: texts.partnersAre,
				options: ['like', 'unlike', 'any'],
				none: texts.asTheyCome,
				value: ({ partners }) => partners ?? '',
				write: (_, value) => ({
					partners: value === '' ? undefined : (value as Drill['partners'])
				})
			}
		]
	},
	{
		id: 'ages',
		name: texts.ages,
		fields: ['ages'],
		inputs: [age('from', texts.fromAge), age('to', texts.toAge)]
	},
	{
		id: 'family',
		name: texts.family,
		fields: ['family'],
		inputs: [
			{
				kind: 'text',
				label: texts.family,
				hint: texts.drillsThatTakeTurns,
				value: ({ family }) => family ?? '',
				write: (_, typed) => ({ family: typed.trim() || undefined })
			}
		]
	},
	tick('live', texts.livePlay, texts.livePlayASecondPairOf),
	tick('restByDesign', texts.rest, texts.theyRestByDesign)
];
