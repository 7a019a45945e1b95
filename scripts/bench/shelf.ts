import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer } from '../../e2e/server';
import { clubFile } from './clubFile';
import { report } from './report';

const SIZE = { practices: 11, drills: 2000, players: 24 };
const ROUNDS = 12;
/** Rounds in which a server that was just started reads all from the disk and compiles what it runs. */
const WARM = 3;
const SEARCHES = [
	'',
	'words=pass',
	'words=goal+line',
	'skill=receiving&effort=6',
	'words=ball&contact=1&unused=3'
];

const directory = mkdtempSync(join(tmpdir(), 'fieldplan-bench-shelf-'));
const [first, large] = [join(directory, 'demo'), join(directory, 'large')];
try {
	const demo = await startServer(first);
	const zip = await (await fetch(`${demo.url}/data/export`)).arrayBuffer();
	await demo.stop();
	const file = join(directory, 'large.zip');
	writeFileSync(file, clubFile(new Uint8Array(zip), SIZE));
	const imported = spawnSync('npm', ['run', '-s', 'fieldplan', '--', 'import', file], {
		encoding: 'utf8',
		env: { ...process.env, FIELDPLAN_DATA: large }
	});
	if (imported.status !== 0) throw new Error(imported.stdout);
	const server = await startServer(large);
	const taken: number[] = [];
	for (let round = 0; round < ROUNDS; round += 1)
		for (const search of SEARCHES) {
			const start = performance.now();
			const answer = await fetch(`${server.url}/saltmarsh/drills/__data.json?${search}`);
			await answer.text();
			if (round >= WARM) taken.push(performance.now() - start);
		}
	await server.stop();
	report({
		name: `Searching ${SIZE.drills} drills, the whole answer of the page`,
		milliseconds: taken,
		bound: 100,
		of: '95th'
	});
} finally {
	rmSync(directory, { recursive: true, force: true });
}
