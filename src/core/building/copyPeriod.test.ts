import { expect, test } from 'vitest';
import { demoContext, demoPractice } from '../../../tests/support/demo';
import { evaluate } from '../playing';
import { applyEdit, idMaker, idsIn } from '../practice';
import { copyPeriod } from '.';

test('a period copied into its own practice shares no id with it and gives just the same', () => {
	const practice = demoPractice();
	for (const period of practice.periods) {
		const again = copyPeriod(period, idMaker(practice.periods.flatMap(idsIn)));
		const applied = applyEdit(practice, { type: 'add-period', period: again, after: period.id });
		if (!applied.ok) throw new Error(applied.failure);
		const { runs } = evaluate(applied.value.practice, demoContext());
		const sums = (id: string) =>
			runs
				.filter(({ run }) => run.period.id === id)
				.map(({ run }) => [run.copy.zoneId, run.players, run.groups.map(({ bib }) => bib)]);
		expect(sums(again.id)).toEqual(sums(period.id));
	}
});
