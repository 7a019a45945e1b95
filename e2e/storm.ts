import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { plainPeriod } from '../src/core/building';
import type { Practice } from '../src/core/model/practice';

const TEAM = 'saltmarsh';
const EDITED = `/${TEAM}/practices/2027-04-06`;
const MODEL = 'harbour-minis';

/** What a server has acknowledged: each must be there ever after. */
export interface Acknowledged {
	edits: string[];
	drills: string[];
	practices: string[];
	teams: string[];
	/** Whether a player comes to the first new practice: acknowledged, and sent but not answered. */
	attendance: { isHere: boolean | null; sent: boolean | null };
}

export const nothingYet = (): Acknowledged => ({
	edits: [],
	drills: [],
	practices: [],
	teams: [],
	attendance: { isHere: true, sent: null }
});

/** How many things were acknowledged. */
export const countOf = ({ edits, drills, practices, teams }: Acknowledged): number =>
	edits.length + drills.length + practices.length + teams.length;

/** Waits until so many more things are acknowledged than were. */
export async function acknowledging(seen: Acknowledged, more: number): Promise<void> {
	const before = countOf(seen);
	for (let tries = 0; tries < 1000 && countOf(seen) < before + more; tries += 1)
		await new Promise((resolve) => setTimeout(resolve, 20));
}

const json = async (answer: Response) => (await answer.json()) as Record<string, unknown>;

/** Sends a form as the application's pages do; gives the result of its action, or throws where there is none. */
async function sendForm(url: string, path: string, fields: Record<string, string | File>) {
	const body = new FormData();
	for (const [name, value] of Object.entries(fields)) body.append(name, value);
	const answer = await fetch(`${url}${path}`, {
		method: 'POST',
		headers: { origin: url, 'x-sveltekit-action': 'true', accept: 'application/json' },
		body
	});
	const result = await json(answer);
	if (result.type === 'redirect' || result.type === 'success') return result;
	throw new Error(`${path} answered ${JSON.stringify(result).slice(0, 300)}`);
}

/** An exported team under another id, as a file to import. */
function asTeam(exported: Uint8Array, id: string): File {
	const files = Object.entries(unzipSync(exported))
		.filter(([name]) => name === 'fieldplan.json' || name.startsWith(`teams/${MODEL}/`))
		.map(([name, bytes]) => [
			name.replace(MODEL, id),
			strToU8(strFromU8(bytes).replaceAll(`"${MODEL}"`, `"${id}"`))
		]);
	return new File([zipSync(Object.fromEntries(files)) as BlobPart], `${id}.zip`);
}

/** What happens at once to a server: edits, new drills, new practices with attendance, and imports. */
export type Deed = 'edits' | 'drills' | 'attendance' | 'imports';

/**
 * Does one thing after another to a server until `isOver` says so or the server is gone, and notes what it
 * acknowledged. Names are made with `run`, so that several storms on one folder do not meet.
 */
export async function storm(
	url: string,
	run: string,
	{ deeds, isOver, seen }: { deeds: readonly Deed[]; isOver: () => boolean; seen: Acknowledged }
): Promise<void> {
	let made = 0;
	const next = () => `${run}-${(made += 1)}`;
	const forms: Record<Deed, () => Promise<void>> = {
		async edits() {
			const { practice, revision } = (await json(await fetch(`${url}${EDITED}/edits`))) as {
				practice: Practice;
				revision: number;
			};
			const id = next();
			const own = practice.periods.filter((period) => period.id.startsWith('storm-'));
			const edit =
				own.length > 5
					? { type: 'remove-period', period: own[0].id }
					: {
							type: 'add-period',
							after: null,
							period: plainPeriod('water', { id: `storm-${id}`, name: 'Water', minutes: 1 })
						};
			const answer = await fetch(`${url}${EDITED}/edits`, {
				method: 'POST',
				headers: { 'content-type': 'application/json', origin: url },
				body: JSON.stringify({ revision, edits: [{ id, edit }] })
			});
			if (answer.ok) seen.edits.push(id);
			await answer.arrayBuffer();
		},
		async drills() {
			const drill = await json(await fetch(`${url}/${TEAM}/drills/tide-lines/file`));
			const { location } = await sendForm(url, `/${TEAM}/drills/new`, {
				drill: JSON.stringify({ ...drill, name: `Storm ${next()}` })
			});
			seen.drills.push(String(location));
		},
		async attendance() {
			if (seen.practices.length === 0) {
				const { location } = await sendForm(url, `/${TEAM}/practices/new`, {
					date: '2027-06-01',
					start: '18:30',
					minutes: '60',
					place: `Storm ${next()}`,
					expected: 'p01',
					adults: 'head'
				});
				seen.practices.push(String(location));
			}
			const practice = seen.practices[0].split('/').at(-1) ?? '';
			const document = (await json(
				await fetch(`${url}/${TEAM}/practices/${practice}/document`)
			)) as unknown as Practice;
			const isHere = !document.expected.includes('p01');
			const states = (here: boolean) => ({ state: here ? 'here' : 'absent' });
			const rows = [{ person: 'p01', is: states(isHere), was: states(!isHere) }];
			seen.attendance.sent = isHere;
			await sendForm(url, `/${TEAM}/attendance`, { sent: JSON.stringify([{ practice, rows }]) });
			seen.attendance = { isHere, sent: null };
		},
		async imports() {
			const id = `team-${next()}`;
			const exported = new Uint8Array(await (await fetch(`${url}/data/export`)).arrayBuffer());
			await sendForm(url, '/data?/import', { file: asTeam(exported, id) });
			seen.teams.push(id);
		}
	};
	await Promise.all(
		deeds.map(async (deed) => {
			while (!isOver()) {
				try {
					await forms[deed]();
				} catch (error) {
					// A connection that is cut is the end; anything else is a fault of the server's.
					if (error instanceof TypeError || isOver()) return;
					if ((error as Error).name === 'SyntaxError') return;
					throw error;
				}
			}
		})
	);
}

/** Whether the player whose attendance is changed comes, as it is stored; null where there is no practice yet. */
export async function comesNow(url: string, { practices }: Acknowledged): Promise<boolean | null> {
	if (practices.length === 0) return true;
	const answer = await fetch(`${url}${practices[0]}/document`);
	const { expected } = (await json(answer)) as Partial<Practice>;
	return expected?.includes('p01') ?? null;
}

/** What was acknowledged and is not there; empty where nothing was lost. */
export async function lostFrom(url: string, seen: Acknowledged): Promise<string[]> {
	const lost: string[] = [];
	for (let k = 0; k < seen.edits.length; k += 200) {
		const ids = seen.edits.slice(k, k + 200);
		const answer = await fetch(`${url}${EDITED}/edits?ids=${ids.join(',')}`);
		const { known = [] } = (await json(answer)) as { known?: string[] };
		lost.push(...ids.filter((id) => !known.includes(id)).map((id) => `edit ${id}`));
	}
	const isThere = async (path: string) => (await fetch(`${url}${path}`)).ok;
	for (const path of seen.drills) if (!(await isThere(`${path}/file`))) lost.push(path);
	for (const path of seen.practices) if (!(await isThere(`${path}/document`))) lost.push(path);
	for (const id of seen.teams) if (!(await isThere(`/${id}/kit`))) lost.push(`team ${id}`);
	const isHere = await comesNow(url, seen);
	// One more change may have been on its way when the server went: either holds then.
	if (isHere !== seen.attendance.isHere && isHere !== seen.attendance.sent) lost.push('attendance');
	return lost;
}
