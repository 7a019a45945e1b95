import { overBlocks } from './blockRule';

/** A group is smaller or larger than the drill takes. */
export const groupSize = overBlocks({
	code: 'group-size',
	severity: 'stop',
	find({ drill, runs }) {
		const { min, max } = drill.group;
		const off = runs.find(({ run: { players } }) => players.length < min || players.length > max);
		if (!off) return null;
		const values = { players: off.run.players.length, min, max };
		return { values, fromSecond: off.run.fromSecond };
	},
	accepts: ({ blockedBy }) => !blockedBy.includes('size')
});
