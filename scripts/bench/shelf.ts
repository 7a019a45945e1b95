import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync, strFromU8 } from 'fflate';
import { startServer } from '../../e2e/server';
import { report } from './report';

const DRILLS = 2000;
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

/** The demo with copies of its drills until there are enough, as an export. */
function manyDrills(exported: Uint8Array): Uint8Array {
	const files = unzipSync(exported);
	const own = Object.keys(files).filter((name) => name.startsWith('teams/saltmarsh/drills/'));
	for (let k = 0; k < DRILLS - own.length; k += 1) {
		const drill = JSON.parse(strFromU8(files[own[k % own.length]]));
		const copy = { ...drill, id: `${drill.id}-${k}`, name: `${drill.name} ${k}`, revision: 1 };
		files[`teams/saltmarsh/drills/${copy.id}@1.json`] = strToU8(JSON.stringify(copy));
	}
	return zipSync(files, { level: 1 });
}

const directory = mkdtempSync(join(tmpdir(), 'fieldplan-bench-shelf-'));
const [first, large] = [join(directory, 'demo'), join(directory, 'large')];
try {
	const demo = await startServer(first);
	const zip = await (await fetch(`${demo.url}/data/export`)).arrayBuffer();
	await demo.stop();
	const file = join(directory, 'large.zip');
	writeFileSync(file, manyDrills(new Uint8Array(zip)));
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
		name: `Searching ${DRILLS} drills, the whole answer of the page`,
		milliseconds: taken,
		bound: 100,
		of: '95th'
	});
} finally {
	rmSync(directory, { recursive: true, force: true });
}
