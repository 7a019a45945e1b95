import { overBlocks, type PlayedBlock } from './blockRule';

/** The first step of a climb that goes up by more than one rung; the drill itself is rung -1. */
function jumpOf({ drill, runs }: PlayedBlock) {
	const { climb } = runs[0].run.block;
	const places = climb.map(({ rung }) => drill.rungs.findIndex(({ id }) => id === rung));
	const step = places.findIndex((place, index) => index > 0 && place > places[index - 1] + 1);
	return step < 0 ? null : { step, from: places[step - 1], to: places[step] };
}

/** A climb leaves a rung out. */
export const rungSkipped = overBlocks({
	code: 'rung-skipped',
	severity: 'warn',
	find(played) {
		const jump = jumpOf(played);
		if (!jump) return null;
		const { rungs } = played.drill;
		const values = { to: rungs[jump.to].name, missing: rungs[jump.from + 1].name };
		return { values, fromSecond: played.runs[0].run.fromSecond };
	},
	accepts: () => false,
	proposals(played) {
		const jump = jumpOf(played);
		if (!jump) return [];
		const { block } = played.runs[0].run;
		const between = played.drill.rungs
			.slice(jump.from + 1, jump.to)
			.map(({ id }) => ({ rung: id, minutes: 1 }));
		const climb = block.climb.toSpliced(jump.step, 0, ...between);
		const lower = block.climb.slice(0, jump.step);
		return [climb, lower].map((steps) => ({
			type: 'set-block',
			block: block.id,
			set: { climb: steps }
		}));
	}
});
