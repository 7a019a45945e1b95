import { ladderOf, type RungId } from '../drill';
import type { Drill } from '../model/drill';
import { overBlocks, type PlayedBlock } from './blockRule';

/** The rungs of the ladder that a step up leaves out: those that it says it needs, else all between. */
function leftOut(drill: Drill, before: readonly RungId[], to: RungId): RungId[] {
	const ladder = ladderOf(drill);
	const needs = drill.rungs.find(({ id }) => id === to)?.needs;
	const isMissing = (id: RungId) =>
		needs ? id !== null && needs.includes(id) && !before.includes(id) : true;
	const from = ladder.indexOf(before[before.length - 1]);
	return ladder.slice(from + 1, Math.max(from + 1, ladder.indexOf(to))).filter(isMissing);
}

const nameOf = ({ rungs, name }: Drill, rung: RungId) =>
	rungs.find(({ id }) => id === rung)?.name ?? name;

/** The first step of a climb that leaves rungs out, and which. */
function jumpOf({ drill, runs }: PlayedBlock) {
	const climb = runs[0].run.block.climb.map(({ rung = null }) => rung);
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
		const values = { to: jump.to, missing: nameOf(played.drill, jump.missing[0]) };
		return { values, fromSecond: played.runs[0].run.fromSecond };
	},
	/** The rungs put in between, or the climb ended before the jump. */
	*propose(played) {
		const jump = jumpOf(played);
		if (!jump) return;
		const { block } = played.runs[0].run;
		const { turns } = block.climb[0];
		const length = turns === undefined ? { minutes: 1 } : { turns };
		const between = jump.missing.map((id) => ({ ...(id !== null && { rung: id }), ...length }));
		const climb = block.climb.toSpliced(jump.step, 0, ...between);
		const lower = block.climb.slice(0, jump.step);
		for (const steps of [climb, lower])
			yield { type: 'set-block', block: block.id, set: { climb: steps } };
	}
});
