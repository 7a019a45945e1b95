// The answers that a coach looks through, group sizes by rungs. Run by itself, it prints how many
// milliseconds they take in a process that has not done anything before.
import { fileURLToPath } from 'node:url';
import { simulate } from '../../src/core/drill';
import { demoContext } from '../../tests/support/demo';

/** Gives a function that simulates 30 group sizes on 4 rungs of a drill of five spots, 20 minutes each. */
export function sizeTableOf(context = demoContext()): () => void {
	const drill = context.shelf.find(({ id }) => id === 'turn-and-switch');
	if (!drill) throw new Error('The demo has no drill of five spots');
	const rungs = [undefined, ...drill.rungs.map(({ id }) => id)];
	return () => {
		for (let players = 5; players < 35; players += 1)
			for (let k = 0; k < 4; k += 1)
				simulate({ drill, players, minutes: 20, rung: rungs[k % rungs.length] });
	};
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
	const sizeTable = sizeTableOf();
	const start = performance.now();
	sizeTable();
	console.log(performance.now() - start);
}
