import { assertNever } from '$core/base';
import type { Evaluation, PlannedRun } from '$core/playing';
import type { Pivot } from '$lib/state/boardView.svelte';
import { bibLook } from '../bib/bibs';
import { columnsOf, layBlocks, shareColumns, type TapeBlock } from './layout';
import texts from '$texts/tape';
import type { Message, Say } from '$words';

/** All of them in the order of their keys. */
export const PIVOTS: readonly { pivot: Pivot; name: Message }[] = [
	{ pivot: 'zone', name: texts.zones },
	{ pivot: 'group', name: texts.groups },
	{ pivot: 'adult', name: texts.adults },
	{ pivot: 'player', name: texts.players }
];

/** A lane of the tape: what it stands for, with its zone or its bib where it has one. */
export interface TapeLane {
	id: string;
	name: string;
	detail: string;
	zone?: { x: number; y: number; length: number; width: number };
	bib?: number;
}

/** The lane of what has no adult, and of who has no bib beside groups. */
const NONE = '';

const metres = (value: number) => Math.round(value);

/** Whether a run has no bib in a period that goes in groups. */
const isBeside = ({ groups, period }: PlannedRun) =>
	groups.length === 0 && (period.groups ?? []).length > 0;

function groupLanes({ practice, runs }: Evaluation, say: Say): TapeLane[] {
	const beside = runs.some(({ run }) => isBeside(run));
	const bibs = practice.periods.flatMap(({ groups }) => (groups ?? []).map(({ bib }) => bib));
	const lanes = [...new Set(bibs)]
		.sort((a, b) => a - b)
		.map((bib): TapeLane => {
			const { letter, name } = bibLook(bib);
			return { id: String(bib), name: letter, detail: say(name), bib };
		});
	return beside
		? [...lanes, { id: NONE, name: say(texts.noBib), detail: say(texts.besideTheGroups) }]
		: lanes;
}

function adultLanes({ practice, context, runs }: Evaluation, say: Say): TapeLane[] {
	const lanes = practice.adults.map((id): TapeLane => {
		const adult = context.adultById.get(id);
		return { id, name: adult?.name ?? id, detail: adult?.role ?? '' };
	});
	const isAlone = runs.some(({ run }) => run.drill && run.adults.length === 0);
	return isAlone
		? [...lanes, { id: NONE, name: say(texts.nobody), detail: say(texts.noAdultThere) }]
		: lanes;
}

/** The lanes of the tape from left to right. */
export function lanesOf(evaluation: Evaluation, pivot: Pivot, say: Say): TapeLane[] {
	const { context, practice } = evaluation;
	switch (pivot) {
		case 'zone':
			return columnsOf(context).map(({ zone }) => ({
				id: zone.id,
				name: zone.name,
				detail: `${metres(zone.length)}×${metres(zone.width)} m`,
				zone
			}));
		case 'group':
			return groupLanes(evaluation, say);
		case 'adult':
			return adultLanes(evaluation, say);
		case 'player':
			return practice.expected.map((id) => {
				const [given, ...family] = (context.playerById.get(id)?.name ?? id).split(' ');
				return { id, name: given, detail: family.join(' ') };
			});
		default:
			return assertNever(pivot);
	}
}

/** The lanes in which a run is shown; all of them where it is the whole squad's. */
function lanesOfRun(run: PlannedRun, pivot: Exclude<Pivot, 'zone'>): string[] | 'all' {
	if (pivot === 'player') return [...run.players];
	if (pivot === 'adult') return run.adults.length > 0 ? [...run.adults] : [NONE];
	if (isBeside(run)) return [NONE];
	return run.groups.length > 0 ? run.groups.map(({ bib }) => String(bib)) : 'all';
}

/** Runs of one copy in one lane together, so that an adult who stays has one block for all slots. */
function cellsOf({ runs }: Evaluation, pivot: Exclude<Pivot, 'zone'>) {
	const cells = new Map<string, { lane: string | null; runs: PlannedRun[] }>();
	for (const { run } of runs) {
		const lanes = lanesOfRun(run, pivot);
		for (const lane of lanes === 'all' ? [null] : lanes) {
			const key = JSON.stringify([lane, run.block.id, run.copy.id]);
			const cell = cells.get(key);
			if (cell) cell.runs.push(run);
			else cells.set(key, { lane, runs: [run] });
		}
	}
	return cells;
}

/** Every block of a played practice laid out over the lanes of a pivot; copies of the one `opened` by themselves. */
export function layPivot(
	evaluation: Evaluation,
	pivot: Pivot,
	{ lanes, opened = null }: { lanes: readonly TapeLane[]; opened?: string | null }
): TapeBlock[] {
	const { context, windows } = evaluation;
	if (pivot === 'zone') return layBlocks(evaluation, columnsOf(context), opened);
	const blocks: TapeBlock[] = [];
	for (const [key, { lane, runs }] of cellsOf(evaluation, pivot)) {
		const [run] = runs;
		const column = lane === null ? 0 : lanes.findIndex(({ id }) => id === lane);
		const window = windows.find(({ period }) => period === run.period);
		if (column < 0 || lanes.length === 0 || !window) continue;
		blocks.push({
			key,
			window,
			blockId: run.block.id,
			where: context.zoneById.get(run.copy.zoneId)?.name,
			column,
			columns: lane === null ? lanes.length : 1,
			fromSecond: run.fromSecond,
			toSecond: runs[runs.length - 1].toSecond,
			runs,
			copies: 1,
			isStation: runs.length > 1
		});
	}
	return shareColumns(blocks);
}
