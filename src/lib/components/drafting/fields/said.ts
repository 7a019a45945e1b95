import type { Drill, RungChange } from '$core/model/drill';
import { cuesIn, cuesText, faultsIn, faultsText, linesOf, listOf } from '../lines';
import { number, orNone, type FieldGroup, type NumberInput } from './inputs';

type Listed = 'calls' | 'prompts' | 'praise';
const list = (field: Listed, name: string, hint: string): FieldGroup => ({
	id: field,
	name,
	fields: [field],
	inputs: [
		{
			kind: 'lines',
			label: name,
			hint,
			value: (drill) => (drill[field] ?? []).join('\n'),
			write: (_, typed) => ({ [field]: listOf(typed) })
		}
	]
});

type Success = NonNullable<Drill['success']>;
/** What counts with a part of it changed: there is one as soon as something is typed. */
const counting = (drill: Drill, change: Partial<Success>): RungChange => {
	const next = { counts: '', judge: 'outcome' as const, ...drill.success, ...change };
	return { success: next.counts === '' ? undefined : orNone(next) };
};
const JUDGES = ['outcome', 'decision', 'form', 'talk', 'effort'] as const;
const windowEnd = (end: 0 | 1, label: string): NumberInput =>
	number(
		label,
		['%', 0, 100],
		({ success }) => success?.window && Math.round(success.window[end] * 100),
		(drill, value) => {
			const before = drill.success?.window ?? [0.55, 0.75];
			const window = value === undefined ? undefined : before.with(end, value / 100);
			return counting(drill, { window });
		}
	);

/** What is said, and what counts. */
export const SAID: readonly FieldGroup[] = [
	{
		id: 'summary',
		name: 'In a sentence',
		fields: ['summary'],
		inputs: [
			{
				kind: 'text',
				label: 'In a sentence',
				value: ({ summary }) => summary,
				write: (_, summary) => ({ summary })
			}
		]
	},
	{
		id: 'cues',
		name: 'Cues',
		fields: ['cues'],
		inputs: [
			{
				kind: 'lines',
				label: 'Cues',
				hint: 'one a line; "spot: cue" for one spot',
				value: cuesText,
				write: (_, typed, calling) => ({ cues: cuesIn(typed, calling) })
			}
		]
	},
	{
		id: 'faults',
		name: 'What goes wrong',
		fields: ['faults'],
		inputs: [
			{
				kind: 'lines',
				label: 'What goes wrong',
				hint: 'seen > what to say > a rung that helps',
				value: faultsText,
				write: (drill, typed) => ({ faults: faultsIn(typed, drill) })
			}
		]
	},
	list('calls', 'Players call', 'one a line'),
	list('prompts', 'Called at random', 'one a line'),
	list('praise', 'Praise', 'one a line'),
	{
		id: 'cautions',
		name: 'Cautions',
		fields: ['cautions'],
		inputs: [
			{
				kind: 'lines',
				label: 'Cautions',
				hint: 'one a line',
				value: ({ cautions }) => cautions.join('\n'),
				write: (_, typed) => ({ cautions: linesOf(typed) })
			}
		]
	},
	{
		id: 'success',
		name: 'What counts',
		fields: ['success'],
		inputs: [
			{
				kind: 'text',
				label: 'Counts as clean',
				hint: 'what a watcher can see',
				value: ({ success }) => success?.counts ?? '',
				write: (drill, counts) => counting(drill, { counts })
			},
			{
				kind: 'choice',
				label: 'Judged by',
				options: JUDGES,
				value: ({ success }) => success?.judge ?? 'outcome',
				write: (drill, judge) => counting(drill, { judge: judge as Success['judge'] })
			},
			{
				kind: 'choice',
				label: 'Of',
				options: ['worker', 'opponent'],
				none: 'all',
				value: ({ success }) => success?.by ?? '',
				write: (drill, by) => counting(drill, { by: (by || undefined) as Success['by'] })
			},
			windowEnd(0, 'Clean from'),
			windowEnd(1, 'To'),
			{
				kind: 'text',
				label: 'Not counted, by comma',
				value: ({ success }) => (success?.ignores ?? []).join(', '),
				write: (drill, typed) => counting(drill, { ignores: listOf(typed.replaceAll(',', '\n')) })
			}
		]
	}
];
