import { overBlocks, type PlayedBlock } from './blockRule';
import { blocksBefore } from './shared';

const mainSkills = ({ drill }: PlayedBlock) =>
	drill.skills.filter(({ focus }) => focus === 'main').map(({ skill }) => skill);

/** A period has the same main skill as an earlier one. Warm-ups and games are left out: they hold a bit of all. */
export const skillTwice = overBlocks({
	code: 'skill-twice',
	severity: 'hint',
	find(played) {
		const { period, fromSecond } = played.runs[0].run;
		if (period.kind === 'warm-up' || period.kind === 'scrimmage') return null;
		for (const other of blocksBefore(played)) {
			const { period: earlier } = other.runs[0].run;
			if (earlier.id === period.id || earlier.kind === 'warm-up' || earlier.kind === 'scrimmage')
				continue;
			const own = mainSkills(other);
			const skill = mainSkills(played).find((each) => own.includes(each));
			if (skill) return { values: { skill, first: other.runs[0].run.block.id }, fromSecond };
		}
		return null;
	},
	accepts: () => false
});
