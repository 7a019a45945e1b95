import { spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdirSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { openEmbedded } from '../src/lib/server/database/embedded';
import { freePort, launchServer, startServer, type Server } from './server';
import {
	acknowledging,
	countOf,
	lostFrom,
	nothingYet,
	storm,
	type Acknowledged,
	type Deed
} from './storm';

const run = (command: string, ...args: string[]) =>
	spawnSync(command, args, { encoding: 'utf8' }).status === 0;

/** Whether this machine lets a test mount a disk of its own in a file. */
export function canMount(folder: string): boolean {
	const image = join(folder, 'probe.img');
	const at = join(folder, 'probe');
	mkdirSync(at, { recursive: true });
	const can =
		run('truncate', '-s', '16M', image) &&
		run('mkfs.ext4', '-q', image) &&
		run('mount', '-o', 'loop', image, at);
	if (can) run('umount', at);
	rmSync(image, { force: true });
	return can;
}

/** A disk in a file: what a power cut leaves is what is in the file. */
export class Disk {
	constructor(
		readonly image: string,
		readonly at: string
	) {}

	static make(folder: string, megabytes = 700): Disk {
		const disk = new Disk(join(folder, 'disk.img'), join(folder, 'disk'));
		mkdirSync(disk.at, { recursive: true });
		run('truncate', '-s', `${megabytes}M`, disk.image);
		run('mkfs.ext4', '-q', disk.image);
		return disk;
	}

	mount(): this {
		if (!run('mount', '-o', 'loop', this.image, this.at)) throw new Error('no mount');
		return this;
	}

	/** Writes all of it and lets go. */
	unmount(): void {
		if (!run('umount', this.at)) run('umount', '-l', this.at);
	}

	/**
	 * The disk as it is in its file at this moment, as after a power cut: what the system holds back in
	 * memory is not there. Copied until nothing was written meanwhile. Nobody may write to it by then.
	 */
	cut(folder: string): Disk {
		const image = join(folder, 'cut.img');
		const stamp = () => statSync(this.image).mtimeMs;
		for (let before = stamp(), tries = 0; ; tries += 1, before = stamp()) {
			run('cp', '--sparse=always', this.image, image);
			if (stamp() === before) break;
			if (tries === 50) throw new Error('The disk is never still: nothing can be said of a cut.');
		}
		const at = join(folder, 'cut');
		mkdirSync(at, { recursive: true });
		return new Disk(image, at);
	}
}

/** When the power is cut. */
export interface Moment {
	/**
	 * `work`: amid edits, new drills and attendance. `import`: amid imports. `first start`: on an empty
	 * folder, from the moment that it answers; `making`: from the moment that it is started. `migration`: from
	 * the start on data of an older schema. `clean stop`: from the end of a process that was told to stop.
	 */
	at: 'work' | 'import' | 'first start' | 'making' | 'migration' | 'clean stop';
	/** After so many milliseconds. */
	milliseconds: number;
}

/** What came of a cut. */
export interface CutOutcome {
	moment: Moment;
	acknowledged: number;
	/** Empty where the folder opened and nothing was lost. */
	lost: string[];
}

const wait = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** Brings data back to the schema before the newest step, which the next start then applies again. */
async function agedTo(data: string): Promise<void> {
	const pglite = await openEmbedded(join(data, 'postgres'));
	await pglite.exec(`drop trigger ledger_added on ledger;
		drop trigger ledger_removed on ledger;
		drop trigger person_added on person;
		drop trigger person_removed on person;
		drop trigger unit_added on person_unit;
		drop trigger unit_updated on person_unit;
		drop trigger unit_removed on person_unit;
		drop trigger season_moved on season;
		drop trigger season_planned on season;
		drop function sum_changed_ledger, sum_changed_people, sum_given, note_season_plan;
		drop table given, due_push, ruling, tally;
		alter table practice drop column slot, drop column cost, drop column cancelled_reason,
			drop column turnings;
		alter table season drop column plan;
		alter table ledger drop column side, drop column opposed;
		drop trigger season_changed on season;
		drop trigger team_changed on team;
		create trigger team_changed after update on team
			for each row execute function forget_team_summaries();
		create or replace function forget_summaries() returns trigger language plpgsql as
			'begin return null; end';
		create or replace function forget_team_summaries() returns trigger language plpgsql as
			'begin return null; end';
		create table kit (team_id text not null references team (id) on delete cascade, item text not null,
			count real not null, broken real not null default 0, kept text, place int not null default 0,
			primary key (team_id, item));
		insert into kit select team_id, item, count, coalesce(broken, 0), kept, 0
			from dated_setting, jsonb_to_recordset(body) as k (item text, count real, broken real, kept text)
			where what = 'kit';
		create table limit_setting (team_id text primary key references team (id) on delete cascade,
			body jsonb not null);
		insert into limit_setting select team_id, body from dated_setting where what = 'limits';
		drop table dated_setting;
		drop index staple_drills;
		alter table drill_revision drop column staple, drop column name, drop column asks;
		alter table team drop column version;
		drop sequence team_version;
		delete from schema_step where number >= 14`);
	await pglite.close();
}

/** Works a server until it is cut; what it acknowledged by then. */
async function cutAt(
	{ at, milliseconds }: Moment,
	{ server, run }: { server: Server; run: string }
): Promise<Acknowledged> {
	const seen = nothingYet();
	const { url, process: child } = server;
	const isStarting = at === 'making' || at === 'migration';
	let isOver = false;
	if (!isStarting) await server.ready();
	const deeds: Deed[] = at === 'import' ? ['imports'] : ['edits', 'drills', 'attendance'];
	const storming = isStarting ? null : storm(url, run, { deeds, isOver: () => isOver, seen });
	// The first requests of a process are slow: the clock runs from when some were acknowledged.
	if (at === 'work' || at === 'clean stop') await acknowledging(seen, 3);
	if (at === 'clean stop') {
		isOver = true;
		await storming;
		child.kill('SIGTERM');
		await once(child, 'exit');
		await wait(milliseconds);
	} else {
		await wait(milliseconds);
		child.kill('SIGSTOP');
	}
	isOver = true;
	storming?.catch(() => null);
	return structuredClone(seen);
}

/**
 * Cuts the power of a server at a moment: its process is stopped still, its disk copied as it is in its
 * file, and a server started on the copy. Everything acknowledged before must be there.
 */
export async function cutPower(
	folder: string,
	{ moment, template, run }: { moment: Moment; template: string; run: string }
): Promise<CutOutcome> {
	const disk = Disk.make(folder).mount();
	const data = join(disk.at, 'data');
	const isEmpty = moment.at === 'first start' || moment.at === 'making';
	if (!isEmpty) cpSync(template, data, { recursive: true });
	if (moment.at === 'migration') await agedTo(data);
	// What was there before is old: it has long been written.
	spawnSync('sync', ['-f', disk.at]);
	const server = launchServer(data, await freePort());
	try {
		const seen = await cutAt(moment, { server, run });
		const left = disk.cut(folder);
		await server.stop('SIGKILL');
		left.mount();
		try {
			const lost = await openedAgain(join(left.at, 'data'), seen);
			return { moment, acknowledged: countOf(seen), lost };
		} finally {
			left.unmount();
		}
	} finally {
		await server.stop('SIGKILL');
		disk.unmount();
		for (const name of ['disk.img', 'cut.img']) rmSync(join(folder, name), { force: true });
	}
}

/** What is lost in a folder that a cut has left; that it does not open at all, too. */
async function openedAgain(data: string, seen: Acknowledged): Promise<string[]> {
	const server = await startServer(data);
	try {
		const isOpen = await fetch(`${server.url}/health`).catch(() => null);
		if (!isOpen?.ok) return [`does not open: ${server.printed().slice(0, 400)}`];
		return await lostFrom(server.url, seen);
	} finally {
		await server.stop('SIGKILL');
	}
}
