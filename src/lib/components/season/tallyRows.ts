import type { Tally } from '$core/model/ladders';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import { TypedRows } from '../table/typedRows.svelte';
import texts from '$texts/ladders';
import type { Say } from '$words';

/** What was counted, while it is typed in: drill and rung in one cell, whose in one. */
export type TallyRow = TypedRow & {
	/** `drill|rung`; an empty rung is the drill itself. */
	what: string;
	judge: string;
	/** `squad`, or `unit|ID`, `group|ID`, `player|ID`. */
	whom: string;
	clean: string;
	tries: string;
};

/** Something that can be chosen. */
interface Option {
	id: string;
	name: string;
}

export const whatOf = (drill: string, rung: string | null) => `${drill}|${rung ?? ''}`;
const whomOf = ({ whom, whomId }: Pick<Tally, 'whom' | 'whomId'>) =>
	whomId === undefined ? whom : `${whom}|${whomId}`;

/** A row as the server takes it; what is no number stays so that the server names it. */
function sent({ what, judge, whom, clean, tries }: TallyRow) {
	const [drill, rung] = what.split('|');
	const [kind, id] = whom.split('|');
	const number = (typed: string) => (typed.trim() === '' ? null : Number(typed));
	return {
		drill,
		rung: rung === '' ? null : rung,
		judge,
		whom: kind,
		...(id !== undefined && { whomId: id }),
		clean: number(clean),
		tries: number(tries)
	};
}

/** What was counted, then what was planned and not counted yet, while it is typed in. */
export const tallyRows = (
	stored: () => {
		tallies: readonly Tally[];
		planned: readonly { drill: string; rung: string | null; judge: string }[];
	}
): TypedRows<TallyRow> =>
	new TypedRows<TallyRow>({
		stored: () => {
			const { tallies, planned } = stored();
			const counted = new Set(tallies.map(({ drill, rung }) => whatOf(drill, rung)));
			return [
				...tallies.map((tally, index) => ({
					key: `tally-${index}`,
					what: whatOf(tally.drill, tally.rung),
					judge: tally.judge,
					whom: whomOf(tally),
					clean: String(tally.clean),
					tries: String(tally.tries)
				})),
				...planned
					.filter(({ drill, rung }) => !counted.has(whatOf(drill, rung)))
					.map(({ drill, rung, judge }) => ({
						key: `planned-${whatOf(drill, rung)}`,
						what: whatOf(drill, rung),
						judge,
						whom: 'squad',
						clean: '',
						tries: ''
					}))
			];
		},
		empty: (key) => ({ key, what: '', judge: 'outcome', whom: 'squad', clean: '', tries: '' }),
		prefix: 'tally-',
		isNamed: ({ clean, tries }) => clean.trim() !== '' || tries.trim() !== '',
		sent,
		first: 'what'
	});

const JUDGES = ['outcome', 'decision', 'form', 'talk', 'effort'] as const;

/** The columns of what is counted. */
export function tallyColumns(
	{ whats, whoms }: { whats: readonly Option[]; whoms: readonly Option[] },
	say: Say
): Column<TallyRow>[] {
	const called = ({ what }: TallyRow) =>
		whats.find(({ id }) => id === what)?.name ?? say(texts.aNewOne);
	const column = (
		id: Exclude<keyof TallyRow, 'key'>,
		heading: string,
		facts: Partial<Column<TallyRow>>
	) =>
		fieldColumn<TallyRow, typeof id>(id, {
			heading,
			kind: 'choice',
			isNeeded: true,
			label: (row) => say(texts.of, { what: heading, name: called(row) }),
			...facts
		});
	return [
		column('what', say(texts.drill), { options: whats, isNeeded: false, least: 220 }),
		column('judge', say(texts.judge), {
			options: JUDGES.map((judge) => ({ id: judge, name: say(texts.judgeName, { judge }) }))
		}),
		column('whom', say(texts.whom), { options: whoms, least: 150 }),
		column('clean', say(texts.clean), { kind: 'number' }),
		column('tries', say(texts.tries), { kind: 'number' })
	];
}
