import { shuffler } from 'd3-array';
import { randomLcg } from 'd3-random';

/**
 * What is called turn by turn, `turns` long: no player can tell what comes next, and yet after any number of
 * turns every prompt was called as often as any other, give or take one. Never the same twice in a row where
 * there are several. The same seed gives the same calls.
 */
export function callsOf(prompts: readonly string[], turns: number, seed: number): string[] {
	const shuffle = shuffler(randomLcg(seed));
	const calls: string[] = [];
	while (prompts.length > 0 && calls.length < turns) {
		const round = shuffle([...prompts]);
		if (round[0] === calls.at(-1)) round.reverse();
		calls.push(...round);
	}
	return calls.slice(0, turns);
}
