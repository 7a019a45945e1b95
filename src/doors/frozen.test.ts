import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { faultOf, ladderOf, withStandard } from '../core/drill';
import { Drill } from '../core/model/drill';
import { ExportLedger } from '../core/model/exportFiles';
import { Practice } from '../core/model/practice';
import { evaluate } from '../core/playing';
import { demoContext } from '../../tests/support/demo';
import { readShape } from '.';

const frozen = (name: string): unknown =>
	JSON.parse(readFileSync(new URL(`../../tests/frozen/${name}.json`, import.meta.url), 'utf8'));

/** Files as earlier versions wrote them: they are never changed, and open for ever. */
describe('a file of before', () => {
	test('of a drill opens as it is, and runs', () => {
		const drill = readShape(Drill, frozen('drill-1'));
		if (!drill.ok) throw new Error(drill.failure.message);
		expect(drill.value).toEqual(frozen('drill-1'));
		expect(faultOf(drill.value)).toBeNull();
	});

	test('of a drill that does not say where it stands in its ladder has the ladder that it had', () => {
		const drill = readShape(Drill, frozen('drill-1'));
		if (!drill.ok) throw new Error(drill.failure.message);
		const { rungs, standardAt } = withStandard(drill.value);
		expect(drill.value).not.toHaveProperty('standardAt');
		expect(standardAt).toBe(1);
		const ids = rungs.map(({ id }) => id);
		expect(ladderOf(drill.value)).toEqual([ids[0], null, ...ids.slice(1)]);
		expect(ladderOf(withStandard(drill.value))).toEqual(ladderOf(drill.value));
	});

	test('of a practice opens as it is, and is played', () => {
		const practice = readShape(Practice, frozen('practice-1'));
		if (!practice.ok) throw new Error(practice.failure.message);
		expect(practice.value).toEqual(frozen('practice-1'));
		const { runs, seconds } = evaluate(practice.value, demoContext());
		expect(runs.filter(({ fault }) => fault !== null)).toEqual([]);
		expect(seconds).toBe(90 * 60);
	});

	test('of the ledger opens as it is: rows without a side, and of which it is not known who opposed', () => {
		const ledger = readShape(ExportLedger, frozen('ledger-1'));
		expect(ledger.ok && ledger.value).toEqual(frozen('ledger-1'));
	});
});
