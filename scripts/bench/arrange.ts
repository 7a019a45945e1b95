// How long it takes to arrange a practice for who is here: 12 of the largest squad are missing.
import { randomLcg } from 'd3-random';
import { arrange } from '../../src/core/arrange';
import { faultsIn } from '../../src/core/checks';
import { evaluate } from '../../src/core/playing';
import type { Practice } from '../../src/core/model/practice';
import { toContext } from '../../src/core/practice';
import { demoPractices, demoSurroundings } from '../../tests/support/demo';
import { judge, median, slowness } from './report';

const MISSING = 12;
const TRIES = 25;

const around = demoSurroundings('skerryside');
const context = toContext(around);
const practices = demoPractices('skerryside');

/** A practice to which everybody comes: those who were away have a place in it. */
function forAll(practice: Practice) {
	const whole = arrange(evaluate(practice, context), {
		expected: around.players.map(({ id }) => id),
		adults: practice.adults
	});
	if (!whole.ok) throw new Error(whole.failure.message);
	return whole.value.evaluation;
}

const random = randomLcg(0.46);
let left = 0;
const times = Array.from({ length: TRIES }, (_, k) => {
	const before = forAll(practices[k % practices.length]);
	faultsIn(before);
	const { expected, adults } = before.practice;
	const gone = new Set(
		expected
			.map((id) => ({ id, order: random() }))
			.sort((a, b) => a.order - b.order)
			.slice(0, MISSING)
			.map(({ id }) => id)
	);
	const here = { expected: expected.filter((id) => !gone.has(id)), adults };
	const start = performance.now();
	const arranged = arrange(before, here);
	const taken = performance.now() - start;
	if (arranged.ok) left += arranged.value.left.length;
	return taken;
});
slowness();
console.log(`stops left in ${TRIES} practices that nothing fixes: ${left}`);
judge(
	`arranged for ${around.players.length - MISSING} of ${around.players.length} players, median`,
	median(times),
	100,
	'ms'
);
