import Type, { type Static } from 'typebox';
import { badInput, dealByWeight, fail, ok, type Failure, type Outcome } from '../base';
import { closed, Id, says } from '../model/fields';
import { Rank } from '../model/practice';

/** What `fit` takes: whole minutes. */
export const FitInput = Type.Object(
	{
		minutes: says(Type.Number(), 'Minutes that there are, 0 to 600'),
		periods: says(
			Type.Array(
				Type.Object(
					{
						id: says(Id, 'Id of the period'),
						min: says(Type.Number(), 'Fewest whole minutes, 0 or more'),
						ideal: says(Type.Number(), 'Best whole minutes, at least the fewest'),
						max: says(Type.Number(), 'Most whole minutes, at least the best'),
						rank: says(Rank, 'How much it matters when time is short'),
						fixed: Type.Optional(says(Type.Boolean(), 'Whether it keeps its best minutes'))
					},
					closed
				)
			),
			'The periods, in order'
		)
	},
	closed
);
export type FitInput = Static<typeof FitInput>;
type FitPeriod = FitInput['periods'][number];

/** What `fit` gives: minutes by period without the dropped ones, and what is left over. */
export const FitOutput = Type.Object(
	{
		minutes: says(
			Type.Record(Type.String(), Type.Number()),
			'Minutes of each period that stays, by id'
		),
		dropped: says(Type.Array(Id), 'Ids of periods that have no time, in the order of dropping'),
		spare: says(Type.Number(), 'Minutes that no period can use')
	},
	closed
);
export type FitOutput = Static<typeof FitOutput>;

/** The most minutes a period may name: far over any practice, small enough for exact products. */
const MOST_MINUTES = 1_000_000;
const SHRINK_FIRST: readonly Rank[] = ['could', 'should', 'must'];
const STRETCH_FIRST: readonly Rank[] = ['must', 'should', 'could'];

const isMinutes = (value: number, least: number, most: number) =>
	Number.isSafeInteger(value) && value >= least && value <= most;

function checkInput(minutes: number, periods: readonly FitPeriod[]): Failure | null {
	if (!isMinutes(minutes, 0, 600))
		return badInput(['minutes'], `expected whole minutes from 0 to 600, got ${minutes}`);
	const ids = new Set<string>();
	for (const [index, { id, min, ideal, max }] of periods.entries()) {
		const path = ['periods', index];
		if (ids.has(id)) return badInput([...path, 'id'], `expected different ids, got "${id}" twice`);
		ids.add(id);
		if (!isMinutes(min, 0, MOST_MINUTES))
			return badInput([...path, 'min'], `expected whole minutes of at least 0, got ${min}`);
		if (!isMinutes(ideal, min, MOST_MINUTES))
			return badInput(
				[...path, 'ideal'],
				`expected whole minutes of at least min, ${min}, got ${ideal}`
			);
		if (!isMinutes(max, ideal, MOST_MINUTES))
			return badInput(
				[...path, 'max'],
				`expected whole minutes of at least ideal, ${ideal}, got ${max}`
			);
	}
	return null;
}

const total = (periods: readonly FitPeriod[], key: 'min' | 'ideal') =>
	periods.reduce((sum, period) => sum + period[key], 0);

/**
 * Changes ideal minutes by `amount` rank by rank, in proportion to each period's `room`, no further
 * than needed. Gives minutes by period and what no room was found for.
 */
function spreadOver(
	periods: readonly FitPeriod[],
	amount: number,
	{ ranks, room, sign }: { ranks: readonly Rank[]; room: (p: FitPeriod) => number; sign: 1 | -1 }
): { minutes: number[]; left: number } {
	const minutes = periods.map(({ ideal }) => ideal);
	let left = amount;
	for (const rank of ranks) {
		const rooms = periods.map((period) => (period.rank === rank ? room(period) : 0));
		const taken = Math.min(
			left,
			rooms.reduce((sum, each) => sum + each, 0)
		);
		dealByWeight(taken, rooms).forEach((share, index) => (minutes[index] += sign * share));
		left -= taken;
	}
	return { minutes, left };
}

const shrink = (periods: readonly FitPeriod[], amount: number) =>
	spreadOver(periods, amount, { ranks: SHRINK_FIRST, room: (p) => p.ideal - p.min, sign: -1 });

const stretch = (periods: readonly FitPeriod[], amount: number) =>
	spreadOver(periods, amount, { ranks: STRETCH_FIRST, room: (p) => p.max - p.ideal, sign: 1 });

/** The period that goes first when even the least minutes are too many, or undefined. */
function nextToDrop(periods: readonly FitPeriod[]): FitPeriod | undefined {
	return (
		periods.findLast(({ rank }) => rank === 'could') ??
		periods.findLast(({ rank }) => rank === 'should')
	);
}

/**
 * Fits periods to the minute: shrinks toward the least (could, should, must), drops whole periods
 * where that is not enough (never a must), stretches toward the most where time is over. Exact whole
 * minutes by largest remainder. Fails with `bad-input`, or `infeasible` with the minutes `short`.
 */
export function fit({ minutes, periods }: FitInput): Outcome<FitOutput> {
	const settled = periods.map((period) =>
		period.fixed ? { ...period, min: period.ideal, max: period.ideal } : period
	);
	const fault = checkInput(minutes, settled);
	if (fault) return fail(fault);
	let kept: FitPeriod[] = settled;
	const dropped: string[] = [];
	while (total(kept, 'min') > minutes) {
		const drop = nextToDrop(kept);
		if (!drop) {
			const short = total(kept, 'min') - minutes;
			const message = `the periods that must be there need ${short} more minutes`;
			return fail({ code: 'infeasible', short, message });
		}
		kept = kept.filter((period) => period !== drop);
		dropped.push(drop.id);
	}
	const over = total(kept, 'ideal') - minutes;
	const fitted = over > 0 ? shrink(kept, over) : stretch(kept, -over);
	return ok({
		minutes: Object.fromEntries(kept.map(({ id }, index) => [id, fitted.minutes[index]])),
		dropped,
		spare: over > 0 ? 0 : fitted.left
	});
}
