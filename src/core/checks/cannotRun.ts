import { overBlocks } from './blockRule';

/** A block's drill cannot run with the players of a copy. */
export const cannotRun = overBlocks({
	code: 'too-few-players',
	severity: 'stop',
	find({ runs }) {
		const broken = runs.find(({ fault }) => fault);
		if (!broken?.fault) return null;
		const { run, fault } = broken;
		const players = run.players.length;
		const needed = fault.code === 'too-few-players' ? fault.needed : players;
		return { values: { players, needed, reason: fault.message }, fromSecond: run.fromSecond };
	},
	weigh: ({ values }) => values.needed - values.players,
	accepts: () => true
});
