import { check } from '../../src/core/checks';
import { simulate } from '../../src/core/drill';
import { evaluate } from '../../src/core/practice';
import { demoContext, demoPractice } from '../../tests/support/demo';
import { report, time } from './report';

const context = demoContext();
const practice = demoPractice();
const evaluation = evaluate(practice, context);
const drill = context.shelf.find(({ id }) => id === 'turn-and-switch');
if (!drill) throw new Error('The demo has no drill of five spots');

report({
	name: 'evaluate, demo practice (90 min, 22 players), nothing remembered',
	milliseconds: time(() => evaluate(practice, context), 200),
	bound: 5,
	of: 'median'
});
report({
	name: 'check, demo practice, fixes tried',
	milliseconds: time(() => check(evaluation), 50),
	bound: 25,
	of: 'median'
});
report({
	name: 'simulate, 24 players, 5 spots, 20 min',
	milliseconds: time(() => simulate({ drill, players: 24, minutes: 20 }), 200),
	bound: 1,
	of: 'median'
});
