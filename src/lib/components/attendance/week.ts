/** What is said of somebody at a practice, while it is typed in. */
export interface Said {
	state: 'comes' | 'late' | 'absent';
	/** Minutes late. */
	minutes: string;
	reason: string;
}

/** What is said, by practice and person; whoever is not here comes on time. */
export type Week = Readonly<Record<string, Readonly<Record<string, Said>>>>;

/** A practice as the server gives it: who is late or absent. */
export interface StoredPractice {
	id: string;
	said: Readonly<Record<string, { state: 'late' | 'absent'; minutes?: number; reason?: string }>>;
}

export const ON_TIME: Said = { state: 'comes', minutes: '', reason: '' };

/** A stored week as it is typed in. */
export const weekOfStored = (practices: readonly StoredPractice[]): Week =>
	Object.fromEntries(
		practices.map(({ id, said }) => [
			id,
			Object.fromEntries(
				Object.entries(said).map(([person, { state, minutes, reason }]) => [
					person,
					{ state, minutes: minutes === undefined ? '' : String(minutes), reason: reason ?? '' }
				])
			)
		])
	);

/** The week with something else said of one person at one practice. */
export function saying(
	week: Week,
	{ practice, person }: { practice: string; person: string },
	set: Partial<Said>
): Week {
	const before = week[practice]?.[person] ?? ON_TIME;
	return { ...week, [practice]: { ...week[practice], [person]: { ...before, ...set } } };
}

/** A week as the server takes it: a row for whoever is late or absent. */
export const sentOf = (week: Week): unknown =>
	Object.entries(week).map(([practice, said]) => ({
		practice,
		rows: Object.entries(said)
			.filter(([, { state }]) => state !== 'comes')
			.map(([person, { state, minutes, reason }]) => ({
				person,
				state,
				...(state === 'late' && minutes.trim() !== '' && { minutes: Number(minutes) }),
				...(reason.trim() !== '' && { reason: reason.trim() })
			}))
	}));

/** Who a refusal at `[0].rows[3].minutes` is about, and what is wrong with it. */
export function faultIn(week: Week, path: string): { practice: string; person: string } | null {
	const match = /^\[(\d+)\]\.rows\[(\d+)\]/.exec(path);
	const practice = match && Object.keys(week)[Number(match[1])];
	if (!match || !practice) return null;
	const named = Object.entries(week[practice]).filter(([, { state }]) => state !== 'comes');
	const person = named[Number(match[2])]?.[0];
	return person === undefined ? null : { practice, person };
}

/** Words for how somebody has come so far: `late 4 of 10, 9 min about`. */
export function habitWords({
	asked,
	late,
	absent,
	meanLateMinutes
}: {
	asked: number;
	late: number;
	absent: number;
	meanLateMinutes: number;
}): string {
	if (asked === 0) return '';
	const parts = [
		...(late > 0 ? [`late ${late} of ${asked}, ${Math.round(meanLateMinutes)} min about`] : []),
		...(absent > 0 ? [`absent ${absent}`] : [])
	];
	return parts.length > 0 ? parts.join(' · ') : `always there, ${asked} of ${asked}`;
}
