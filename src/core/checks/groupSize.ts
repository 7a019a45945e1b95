import { overBlocks } from './blockRule';

/** A group is smaller or larger than the drill takes. */
export const groupSize = overBlocks({
	code: 'group-size',
	severity: 'stop',
	find({ steps }) {
		const off = steps.find(
			({ run: { players }, drill: { group } }) =>
				players.length < group.min || players.length > group.max
		);
		if (!off) return null;
		const { min, max } = off.drill.group;
		const values = { players: off.run.players.length, min, max };
		return { values, fromSecond: off.fromSecond };
	},
	weigh: ({ values: { players, min, max } }) =>
		Math.max(Number(min) - Number(players), Number(players) - Number(max)),
	accepts: ({ blockedBy }) => !blockedBy.includes('size')
});
