import type { Drill } from '$core/model/drill';
import { fieldColumn, type Column, type TypedRow } from '../table/columns';
import { numberIn, type SpotCalling } from './lines';
import texts from '$texts/drafting';
import type { Say } from '$words';

type Way = NonNullable<Drill['paths']>[number];
export type WayEnd = Way['from'];
export type WayKind = Way['kind'];

/** The way of a ball or a player in a turn, while it is typed in. */
export interface WayRow extends TypedRow {
	from: string;
	to: string;
	kind: string;
	step: string;
}

const endText = (end: WayEnd, { nameOf }: SpotCalling) =>
	typeof end === 'string' ? nameOf(end) : end.join('; ');

/** A spot by its name, or a point as `4; 7.5`; what is neither stays as it is typed. */
function endIn(typed: string, { keyOf }: SpotCalling): WayEnd {
	const [x, y, ...more] = typed.split(';').map(numberIn);
	const isPoint = Number.isFinite(x) && Number.isFinite(y) && more.length === 0;
	return keyOf(typed.trim()) ?? (isPoint ? [x, y] : typed);
}

export const wayRows = ({ paths = [] }: Drill, calling: SpotCalling): WayRow[] =>
	paths.map(({ from, to, kind, step }, index) => ({
		key: `way-${index}`,
		from: endText(from, calling),
		to: endText(to, calling),
		kind,
		step: step === undefined ? '' : String(step)
	}));

/** The ways that rows say; undefined where there is none. */
export function waysIn(rows: readonly WayRow[], calling: SpotCalling): Drill['paths'] {
	const ways = rows.map(({ from, to, kind, step }): Way => ({
		from: endIn(from, calling),
		to: endIn(to, calling),
		kind: kind as WayKind,
		...(step.trim() !== '' && { step: numberIn(step) })
	}));
	return ways.length > 0 ? ways : undefined;
}

/** The drill's ways with another, which comes after all that are there. */
export function withWay(
	{ paths = [] }: Drill,
	way: Omit<Way, 'step'>
): NonNullable<Drill['paths']> {
	const last = Math.max(0, ...paths.map(({ step }) => step ?? 1));
	return [...paths, { ...way, step: last + 1 }];
}

/** The columns of the ways' table. */
export function wayColumns(say: Say): Column<WayRow>[] {
	const of = ({ from, to }: WayRow) =>
		say(texts.theWayFromTo, { from: from || '?', to: to || '?' });
	return [
		fieldColumn<WayRow, 'kind'>('kind', {
			heading: say(texts.way),
			kind: 'choice',
			isNeeded: true,
			label: (row) => say(texts.kindOf, { way: of(row) }),
			options: [
				{ id: 'flight', name: say(texts.ballInFlight) },
				{ id: 'run', name: say(texts.run) },
				{ id: 'carry', name: say(texts.ballCarried) }
			]
		}),
		fieldColumn<WayRow, 'from'>('from', {
			heading: say(texts.from),
			kind: 'text',
			label: (row) => say(texts.fromOf, { way: of(row) }),
			hint: say(texts.wayEndHint)
		}),
		fieldColumn<WayRow, 'to'>('to', {
			heading: say(texts.to),
			kind: 'text',
			label: (row) => say(texts.toOf, { way: of(row) }),
			hint: say(texts.wayEndHint)
		}),
		fieldColumn<WayRow, 'step'>('step', {
			heading: say(texts.step),
			kind: 'number',
			label: (row) => say(texts.stepOf, { way: of(row) })
		})
	];
}
