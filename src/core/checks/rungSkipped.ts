import type { Drill } from '../model/drill';
import { onRung } from '../playing';
import { overBlocks, type PlayedBlock } from './blockRule';

/**
 * The rungs between that a step up leaves out and that are no easier than where it comes from: those that
 * it says it needs, else all. The drill itself stands before its first rung.
 */
function leftOut(drill: Drill, before: readonly (string | undefined)[], to: string | undefined) {
	const rungs = drill.rungs;
	const from = before.at(-1);
	const place = (rung: string | undefined) => rungs.findIndex(({ id }) => id === rung);
	if (place(to) <= place(from)) return [];
	const { needs } = rungs[place(to)];
	const isMissing = (id: string) => (needs ? needs.includes(id) && !before.includes(id) : true);
	const { effort } = onRung(drill, from);
	return rungs
		.slice(place(from) + 1, place(to))
		.filter(({ id }) => isMissing(id) && onRung(drill, id).effort >= effort);
}

const nameOf = ({ rungs, name }: Drill, rung: string | undefined) =>
	rungs.find(({ id }) => id === rung)?.name ?? name;

/** The first step of a climb that leaves rungs out, and which. */
function jumpOf({ drill, runs }: PlayedBlock) {
	const climb = runs[0].run.block.climb.map(({ rung }) => rung);
	for (const [step, rung] of climb.entries()) {
		const missing = step === 0 ? [] : leftOut(drill, climb.slice(0, step), rung);
		if (missing.length > 0) return { step, missing, to: nameOf(drill, rung) };
	}
	return null;
}

/** A climb leaves a rung out. */
export const rungSkipped = overBlocks({
	code: 'rung-skipped',
	severity: 'warn',
	find(played) {
		const jump = jumpOf(played);
		if (!jump) return null;
		const values = { to: jump.to, missing: jump.missing[0].name };
		return { values, fromSecond: played.runs[0].run.fromSecond };
	},
	/** The rungs put in between, or the climb ended before the jump. */
	*propose(played) {
		const jump = jumpOf(played);
		if (!jump) return;
		const { block } = played.runs[0].run;
		const { turns } = block.climb[0];
		const length = turns === undefined ? { minutes: 1 } : { turns };
		const between = jump.missing.map(({ id }) => ({ rung: id, ...length }));
		const climb = block.climb.toSpliced(jump.step, 0, ...between);
		const lower = block.climb.slice(0, jump.step);
		for (const steps of [climb, lower])
			yield { type: 'set-block', block: block.id, set: { climb: steps } };
	}
});
