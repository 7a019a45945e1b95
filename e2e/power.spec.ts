import { rmSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { canMount, cutPower, type Moment } from './power';
import { scratchFolder } from '../tests/support/scratch';

const MOMENTS: Moment[] = [
	{ at: 'work', milliseconds: 1800 },
	{ at: 'import', milliseconds: 4000 },
	{ at: 'migration', milliseconds: 700 },
	{ at: 'clean stop', milliseconds: 5 },
	{ at: 'first start', milliseconds: 600 }
];

let folder: string;
test.beforeAll(() => {
	folder = scratchFolder('fieldplan-power');
});
test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

test.describe.configure({ mode: 'serial' });
for (const moment of MOMENTS)
	test(`a power cut at ${moment.at} loses nothing that was acknowledged`, async () => {
		test.skip(!canMount(folder), 'this machine mounts no disk in a file for a test');
		const template = process.env.FIELDPLAN_TEMPLATE as string;
		const outcome = await cutPower(folder, { moment, template, run: moment.at.replace(' ', '-') });
		expect(outcome.lost).toEqual([]);
		if (moment.at === 'work') expect(outcome.acknowledged).toBeGreaterThan(0);
	});
