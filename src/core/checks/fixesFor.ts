import type { Period } from '../model/practice';
import { fitToTime, resizePeriods } from '../building';
import { evaluate, type Evaluation } from '../playing';
import { applyEdit, type Edit, plannedMinutes } from '../practice';
import { onceFor } from './onceFor';
import type { Fault, Rule, Severity, Trouble } from './finding';
import { harderBlock } from './harderBlock';
import { RANK, troublesIn } from './rules';

/** How many fixes of one finding are offered. */
const FIXES_SHOWN = 2;

/** How many proposals are played through before the finding stands without a fix. */
const PROPOSALS_TRIED = 12;

/** What tells a trouble from others before and after an edit; when it begins may change. */
function keyOf({ code, at: { period, block, player, adult, zone }, values }: Trouble): string {
	// What some codes have and others have not.
	const { first, second, drill, item, other, zones } = values as Readonly<Record<string, unknown>>;
	const where = block === undefined ? [period] : [block];
	const who = [player, adult, zone, first, second, drill, item, other];
	return JSON.stringify([code, zones !== undefined, ...where, ...who]);
}

/** Every trouble of a practice with its weight, by key. */
const weights = onceFor(
	(evaluation: Evaluation): ReadonlyMap<string, { severity: Severity; weight: number }> =>
		new Map(
			troublesIn(evaluation).flatMap(({ rule, troubles }) =>
				troubles.map((trouble) => [
					keyOf(trouble),
					{ severity: trouble.severity, weight: rule.weigh?.(trouble) ?? 0 }
				])
			)
		)
);

/**
 * The practice after an edit that mends some trouble and harms nothing: no new or worse trouble of its
 * severity, no new stop or warning, and nobody works harder or in more contact; for an edit that may hurt, no
 * new or worse stop. Null for any other edit.
 * Each fix leaves less of its severity and no more of what is worse, and so no row of fixes leads back
 * to where it began.
 */
function afterGoodEdit(
	before: Evaluation,
	edit: Edit,
	{ trouble, mayHurt }: { trouble: Trouble; mayHurt: boolean }
): Evaluation | null {
	const applied = applyEdit(before.practice, edit);
	if (!applied.ok) return null;
	const after = evaluate(applied.value.practice, before.context, before);
	const [old, now] = [weights(before), weights(after)];
	if (now.has(keyOf(trouble))) return null;
	const least = mayHurt ? RANK.stop : Math.max(RANK.warn, RANK[trouble.severity]);
	for (const [key, { severity, weight }] of now) {
		if (RANK[severity] > least) continue;
		const known = old.get(key);
		if (!known || weight > known.weight + 1e-9) return null;
	}
	return !mayHurt && harderBlock(after, before) ? null : after;
}

const stepsOf = (edit: Edit) => (edit.type === 'all' ? edit.edits : [edit]);

/** Several edits as one step. */
const inOne = (edits: readonly Edit[]): Edit =>
	edits.length === 1 ? edits[0] : { type: 'all', edits: edits.flatMap(stepsOf) };

/** From how many periods, the longest first, the minutes that an edit adds are taken as a whole. */
const PERIODS_TRIED = 3;

/**
 * An edit, and where it makes the practice too long, the edit with the minutes that it adds taken from
 * the other periods: by fitting all of them, or from one with minutes to spare.
 */
function* inTime({ practice, context }: Evaluation, edit: Edit): Generator<Edit> {
	const applied = applyEdit(practice, edit);
	if (!applied.ok) return;
	const after = applied.value.practice;
	const most = Math.max(plannedMinutes(practice), practice.minutes);
	const over = plannedMinutes(after) - most;
	if (over <= 0) {
		yield edit;
		return;
	}
	const fitting = fitToTime(after, context.limits);
	const isWhole = fitting.ok && fitting.value.edits.every(({ type }) => type !== 'remove-period');
	if (isWhole) yield inOne([edit, fitting.value]);
	const spare = ({ min, minutes, locked }: Period) => (locked ? 0 : minutes - min);
	const giving = after.periods
		.filter((period) => spare(period) >= over)
		.toSorted((a, b) => spare(b) - spare(a));
	for (const { id, minutes } of giving.slice(0, PERIODS_TRIED))
		yield inOne([edit, resizePeriods(after, new Map([[id, minutes - over]]))]);
}

interface Tried {
	edit: Edit;
	after: Evaluation;
}

/** The good ones of some proposals, as they are or within the time. */
function* goodOnes(
	before: Evaluation,
	{ trouble, mayHurt = false }: { trouble: Trouble; mayHurt?: boolean },
	proposals: Iterable<Edit>
) {
	let tried = 0;
	for (const proposal of proposals) {
		for (const edit of inTime(before, proposal)) {
			const after = afterGoodEdit(before, edit, { trouble, mayHurt });
			if (!after) continue;
			yield { edit, after } satisfies Tried;
			break;
		}
		tried += 1;
		if (tried === PROPOSALS_TRIED) return;
	}
}

/** The best fixes of one trouble, no more than are shown. */
function bestFor(before: Evaluation, trouble: Trouble, rule: Rule, proposals: Iterable<Edit>) {
	const best: Tried[] = [];
	const { mayHurt } = rule;
	for (const good of goodOnes(before, { trouble, mayHurt }, proposals)) {
		best.push(good);
		if (best.length === FIXES_SHOWN) return best;
	}
	if (best.length > 0 || !rule.otherwise) return best;
	for (const good of goodOnes(before, { trouble }, rule.otherwise(before, trouble))) return [good];
	return best;
}

/** One edit that mends as many troubles of a fault as it can, one after the other, the first among them. */
function* inTurn(before: Evaluation, { rule, parts }: Fault): Generator<Edit> {
	let now = before;
	const edits: Edit[] = [];
	for (const part of parts) {
		const isThere = weights(now).has(keyOf(part));
		const [mended] = isThere ? bestFor(now, part, rule, rule.propose(now, part)) : [];
		if (!mended) continue;
		edits.push(mended.edit);
		now = mended.after;
	}
	if (edits.length > 0) yield inOne(edits);
}

/**
 * Edits that mend a fault of a played practice, the best first, at most two: each has been played
 * through. None of them makes anything else wrong or worse, raises contact or effort, or needs who
 * or what is not there.
 */
export function fixesFor(evaluation: Evaluation, fault: Fault): Edit[] {
	const { rule, parts } = fault;
	const [first] = parts;
	if (parts.length === 1)
		return bestFor(evaluation, first, rule, rule.propose(evaluation, first)).map(
			({ edit }) => edit
		);
	const proposals = rule.proposeForAll?.(evaluation, parts) ?? inTurn(evaluation, fault);
	const { mayHurt } = rule;
	return [...goodOnes(evaluation, { trouble: first, mayHurt }, proposals)]
		.slice(0, FIXES_SHOWN)
		.map(({ edit }) => edit);
}

/** Whether an edit asks for other people than those who come. */
const asksPeople = (edit: Edit): boolean =>
	stepsOf(edit).some(
		(step) =>
			step.type === 'set-practice' &&
			(step.set.expected !== undefined || step.set.adults !== undefined)
	);

/** The fixes of a fault that make do with those who come: who is there is not for them to say. */
export const fixesWithoutAsking = (evaluation: Evaluation, fault: Fault): Edit[] =>
	fixesFor(evaluation, fault).filter((edit) => !asksPeople(edit));
