import { type Path } from '$core/base';
import type { Coming } from '$core/season';
import texts from '$texts/attendance';
import type { Say } from '$words';

/** How somebody comes to a practice, while it is typed in. */
export interface Said {
	state: Coming['state'];
	/** Minutes late. */
	minutes: string;
	reason: string;
}

/** What was changed of a stored week, by practice and person: the rest is as it is stored. */
export type Changes = Readonly<Record<string, Readonly<Record<string, Said>>>>;

/** A practice as the server gives it: how everyone comes. */
export interface StoredPractice {
	id: string;
	said: Readonly<Record<string, Coming>>;
}

/** Where something is said: a practice, and of whom. */
export interface At {
	practice: string;
	person: string;
}

const ABSENT: Coming = { state: 'absent' };

const storedAt = (practices: readonly StoredPractice[], { practice, person }: At): Coming =>
	practices.find(({ id }) => id === practice)?.said[person] ?? ABSENT;

const typed = ({ state, minutes, reason }: Coming): Said => ({
	state,
	minutes: minutes === undefined ? '' : String(minutes),
	reason: reason ?? ''
});

/** What is typed, as the server takes it: only what belongs to the state. */
function comingOf({ state, minutes, reason }: Said): Coming {
	return {
		state,
		...(state === 'late' && minutes.trim() !== '' && { minutes: Number(minutes) }),
		...(state !== 'here' && reason.trim() !== '' && { reason: reason.trim() })
	};
}

/** What is said of one person at one practice, changed or as it is stored. */
export const saidAt = (practices: readonly StoredPractice[], changes: Changes, at: At): Said =>
	changes[at.practice]?.[at.person] ?? typed(storedAt(practices, at));

/** The changes with something else said of one person at one practice. */
export function saying(
	practices: readonly StoredPractice[],
	changes: Changes,
	{ at, set }: { at: At; set: Partial<Said> }
): Changes {
	const next = { ...saidAt(practices, changes, at), ...set };
	return { ...changes, [at.practice]: { ...changes[at.practice], [at.person]: next } };
}

/** A change as it is sent: how somebody comes now, and how it was when it was changed. */
interface SentRow {
	person: string;
	is: Coming;
	was: Coming;
}

/** The changes as the server takes them; what was changed back is left out. */
export function sentOf(
	practices: readonly StoredPractice[],
	changes: Changes
): { practice: string; rows: SentRow[] }[] {
	return practices.flatMap(({ id: practice }) => {
		const rows = Object.entries(changes[practice] ?? {}).flatMap(([person, said]) => {
			const [is, was] = [comingOf(said), storedAt(practices, { practice, person })];
			const isSame = JSON.stringify(typed(is)) === JSON.stringify(typed(was));
			return isSame ? [] : [{ person, is, was }];
		});
		return rows.length > 0 ? [{ practice, rows }] : [];
	});
}

/** The changes that are not stored: the others are let go, so that they hide nothing that others say later. */
export function unstored(practices: readonly StoredPractice[], changes: Changes): Changes {
	const open = sentOf(practices, changes).map(({ practice, rows }) => {
		const people = rows.map(({ person }) => [person, changes[practice][person]] as const);
		return [practice, Object.fromEntries(people)] as const;
	});
	const shown = new Set(practices.map(({ id }) => id));
	const elsewhere = Object.entries(changes).filter(([practice]) => !shown.has(practice));
	return Object.fromEntries([...elsewhere, ...open]);
}

/** Who a refusal of what was sent is about: at `0, rows, 3`, the fourth of the first practice. */
export function faultIn(sent: ReturnType<typeof sentOf>, path: Path): At | null {
	const [practice, , row] = path;
	const of = sent[Number(practice)];
	const person = of?.rows[Number(row)]?.person;
	return of && person !== undefined ? { practice: of.practice, person } : null;
}

/** Words for how somebody has come so far: `late 4 of 10, 9 min about`. */
export function habitWords(
	{
		asked,
		late,
		absent,
		meanLateMinutes
	}: { asked: number; late: number; absent: number; meanLateMinutes: number },
	say: Say
): string {
	if (asked === 0) return '';
	const parts = [
		...(late > 0
			? [say(texts.lateTimes, { late, asked, minutes: Math.round(meanLateMinutes) })]
			: []),
		...(absent > 0 ? [say(texts.absentTimes, { absent })] : [])
	];
	return parts.length > 0 ? parts.join(' · ') : say(texts.alwaysThereOf, { asked });
}
