import { mainAreas } from '../model/skill';
import { overBlocks, type PlayedBlock } from './blockRule';
import { blocksBefore } from './shared';

/** The main areas of what a block runs, on all its rungs. */
const mainAreasRun = ({ steps }: PlayedBlock) => [
	...new Set(steps.flatMap(({ drill }) => mainAreas(drill)))
];

/** A period has the same main skill as an earlier one. Warm-ups and games are left out: they hold a bit of all. */
export const skillTwice = overBlocks({
	code: 'skill-twice',
	severity: 'hint',
	find(played) {
		const { period, fromSecond } = played.runs[0].run;
		if (period.kind === 'warm-up' || period.kind === 'scrimmage') return null;
		for (const other of blocksBefore(played)) {
			const { period: earlier } = other.runs[0].run;
			// The same drill again is its second half.
			if (other.drill.id === played.drill.id) continue;
			if (earlier.id === period.id || earlier.kind === 'warm-up' || earlier.kind === 'scrimmage')
				continue;
			const own = mainAreasRun(other);
			const skill = mainAreasRun(played).find((each) => own.includes(each));
			if (skill) return { values: { skill, first: other.runs[0].run.block.id }, fromSecond };
		}
		return null;
	},
	cause: ({ values }) => values.skill
});
