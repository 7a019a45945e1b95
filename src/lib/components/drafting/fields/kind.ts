import type { Drill } from '$core/model/drill';
import { number, type FieldGroup, type NumberInput } from './inputs';

const tick = (field: 'live' | 'restByDesign', name: string, label: string): FieldGroup => ({
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

const age = (field: 'from' | 'to', label: string): NumberInput =>
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
	{ id: 'skills', name: 'Skills', fields: ['skills'], inputs: [] },
	{
		id: 'effort',
		name: 'Effort',
		fields: ['effort'],
		inputs: [
			number(
				'Effort, 1 to 10',
				['', 1, 10],
				({ effort }) => effort,
				(drill, value) => ({ effort: value ?? drill.effort })
			)
		]
	},
	{
		id: 'contact',
		name: 'Contact',
		fields: ['contact'],
		inputs: [
			number(
				'Contact, 0 to 4',
				['', 0, 4],
				({ contact }) => contact,
				(drill, value) => ({ contact: Math.round(value ?? drill.contact) })
			)
		]
	},
	{
		id: 'frequency',
		name: 'How often',
		fields: ['frequency'],
		inputs: [
			{
				kind: 'choice',
				label: 'How often',
				options: ['daily', 'regular', 'vary'],
				value: ({ frequency }) => frequency,
				write: (_, value) => ({ frequency: value as Drill['frequency'] })
			}
		]
	},
	{
		id: 'partners',
		name: 'Partners',
		fields: ['partners'],
		inputs: [
			{
				kind: 'choice',
				label: 'Partners are',
				options: ['like', 'unlike', 'any'],
				none: 'as they come',
				value: ({ partners }) => partners ?? '',
				write: (_, value) => ({
					partners: value === '' ? undefined : (value as Drill['partners'])
				})
			}
		]
	},
	{
		id: 'ages',
		name: 'Ages',
		fields: ['ages'],
		inputs: [age('from', 'From age'), age('to', 'To age')]
	},
	{
		id: 'family',
		name: 'Family',
		fields: ['family'],
		inputs: [
			{
				kind: 'text',
				label: 'Family',
				hint: 'drills that take turns',
				value: ({ family }) => family ?? '',
				write: (_, typed) => ({ family: typed.trim() || undefined })
			}
		]
	},
	tick('live', 'Live play', 'live play: a second pair of eyes helps'),
	tick('restByDesign', 'Rest', 'they rest by design')
];
