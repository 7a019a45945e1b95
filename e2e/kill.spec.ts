import { cpSync, rmSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { killInStorm, killWhileEditing } from './killing';
import { scratchFolder } from '../tests/support/scratch';

test('a server killed five times while a client edits loses no answered edit and applies none twice', async () => {
	const directory = scratchFolder('fieldplan-kill');
	cpSync(process.env.FIELDPLAN_TEMPLATE as string, directory, { recursive: true });
	try {
		const killed = await killWhileEditing(directory, { kills: 5, seed: 20270406 });
		expect(killed).toMatchObject({ kills: 5, inFlight: 5, isWhole: true });
		expect(killed.edits).toBeGreaterThanOrEqual(5);
	} finally {
		rmSync(directory, { recursive: true, force: true });
	}
});

test('a server killed four times amid edits, drills, attendance and imports loses none of them', async () => {
	const directory = scratchFolder('fieldplan-storm');
	cpSync(process.env.FIELDPLAN_TEMPLATE as string, directory, { recursive: true });
	try {
		const stormed = await killInStorm(directory, { kills: 4, seed: 4 });
		expect(stormed.lost).toEqual([]);
		expect(stormed.acknowledged).toBeGreaterThan(4);
	} finally {
		rmSync(directory, { recursive: true, force: true });
	}
});
