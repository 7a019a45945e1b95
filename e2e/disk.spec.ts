import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { open } from './fixtures';
import { startServer, type Server } from './server';
import { scratchFolder } from '../tests/support/scratch';

const run = (command: string, ...args: string[]) =>
	spawnSync(command, args, { encoding: 'utf8' }).status === 0;

let folder: string;
let disk: string;
let server: Server | null = null;
test.beforeEach(() => {
	folder = scratchFolder('fieldplan-disk');
	disk = join(folder, 'disk');
	mkdirSync(disk);
});
test.afterEach(async () => {
	await server?.stop('SIGKILL');
	run('umount', disk);
	rmSync(folder, { recursive: true, force: true });
});

/** Starts on a disk of its own that can be filled; null where this machine lets a test have none. */
async function onOwnDisk(): Promise<Server | null> {
	if (!run('mount', '-t', 'tmpfs', '-o', 'size=320m', 'tmpfs', disk)) return null;
	cpSync(process.env.FIELDPLAN_TEMPLATE as string, join(disk, 'data'), { recursive: true });
	return startServer(join(disk, 'data'));
}

/** Leaves no byte free. */
function fill(): void {
	for (let k = 0; ; k += 1)
		try {
			writeFileSync(join(disk, `fill-${k}`), Buffer.alloc(4 << 20));
		} catch {
			return;
		}
}
const free = () => run('sh', '-c', `rm -f ${disk}/fill-*`);

test('a full disk is said, nothing is lost, and all is saved once there is room', async ({
	page
}) => {
	server = await onOwnDisk();
	test.skip(!server, 'this machine mounts no disk for a test');
	const { url } = server as Server;
	await open(page, `${url}/saltmarsh/practices/2027-04-06`);
	fill();
	await page.getByRole('button', { name: '18:30 to 20:00, Estuary Ground' }).click();
	await page.getByRole('textbox', { name: 'Where' }).fill('Beach');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByRole('alert')).toContainText('The disk is full');
	await expect(page.getByRole('button', { name: '18:30 to 20:00, Beach' })).toBeVisible();
	const other = await page.context().newPage();
	await open(other, `${url}/saltmarsh/words`);
	await other.getByLabel('squad', { exact: true }).fill('crew');
	await other.getByRole('button', { name: 'Save the words' }).click();
	await expect(other.getByRole('alert')).toContainText('The disk is full');
	free();
	await expect(page.locator('[data-save]')).toHaveText('saved');
	await expect(other.getByText('Saved.', { exact: true })).toBeVisible();
	await open(page, `${url}/saltmarsh/practices/2027-04-06`);
	await expect(page.getByRole('button', { name: '18:30 to 20:00, Beach' })).toBeVisible();
});

test('a disk that turns read-only is said, and a start on one ends with a clear line', async () => {
	server = await onOwnDisk();
	test.skip(!server, 'this machine mounts no disk for a test');
	const { url } = server as Server;
	const save = () =>
		fetch(`${url}/saltmarsh/kit`, {
			method: 'POST',
			headers: { origin: url, 'x-sveltekit-action': 'true' },
			body: new URLSearchParams({ rows: '[]' })
		});
	await server?.stop();
	expect(run('mount', '-o', 'remount,ro', disk)).toBe(true);
	server = await startServer(join(disk, 'data'));
	expect(server.process.exitCode).toBe(1);
	expect(server.printed()).toContain('its disk is read-only');
	expect(server.printed()).not.toContain('    at ');
	expect(run('mount', '-o', 'remount,rw', disk)).toBe(true);
	server = await startServer(join(disk, 'data'), Number(new URL(url).port));
	expect((await save()).status).not.toBe(503);
});
