import type { Drill, RungChange } from '$core/model/drill';
import { linesOf, listOf } from '../lines';
import { number, orNone, type FieldGroup, type NumberInput } from './inputs';
import texts from '$texts/drafting';
import type { Message } from '$words';

type Listed = 'calls' | 'prompts' | 'praise';
const list = (field: Listed, name: Message, hint: Message): FieldGroup => ({
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
const windowEnd = (end: 0 | 1, label: Message): NumberInput =>
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
		name: texts.inASentence,
		fields: ['summary'],
		inputs: [
			{
				kind: 'text',
				label: texts.inASentence,
				value: ({ summary }) => summary,
				write: (_, summary) => ({ summary })
			}
		]
	},
	{
		id: 'cues',
		name: texts.cues,
		fields: ['cues'],
		inputs: []
	},
	{ id: 'questions', name: texts.questions, fields: ['questions'], inputs: [] },
	{
		id: 'faults',
		name: texts.whatGoesWrong,
		fields: ['faults'],
		inputs: []
	},
	list('calls', texts.playersCall, texts.oneALine),
	list('prompts', texts.calledAtRandom, texts.oneALine),
	list('praise', texts.praise, texts.oneALine),
	{
		id: 'cautions',
		name: texts.cautions,
		fields: ['cautions'],
		inputs: [
			{
				kind: 'lines',
				label: texts.cautions,
				hint: texts.oneALine,
				value: ({ cautions }) => cautions.join('\n'),
				write: (_, typed) => ({ cautions: linesOf(typed) })
			}
		]
	},
	{
		id: 'success',
		name: texts.whatCounts,
		fields: ['success'],
		inputs: [
			{
				kind: 'text',
				label: texts.countsAsClean,
				hint: texts.whatAWatcherCanSee,
				value: ({ success }) => success?.counts ?? '',
				write: (drill, counts) => counting(drill, { counts })
			},
			{
				kind: 'choice',
				label: texts.judgedBy,
				options: JUDGES,
				value: ({ success }) => success?.judge ?? 'outcome',
				write: (drill, judge) => counting(drill, { judge: judge as Success['judge'] })
			},
			{
				kind: 'choice',
				label: texts.of,
				options: ['worker', 'opponent'],
				none: texts.all,
				value: ({ success }) => success?.by ?? '',
				write: (drill, by) => counting(drill, { by: (by || undefined) as Success['by'] })
			},
			windowEnd(0, texts.cleanFrom),
			windowEnd(1, texts.to),
			{
				kind: 'text',
				label: texts.notCountedByComma,
				value: ({ success }) => (success?.ignores ?? []).join(', '),
				write: (drill, typed) => counting(drill, { ignores: listOf(typed.replaceAll(',', '\n')) })
			}
		]
	}
];
