import { rollup } from 'd3-array';
import type { LedgerRow } from '$core/season';
import type { Queryable } from '../database';

/** Takes away what a practice is planned to give, or gave. */
export async function removeLedger(
	tx: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	state: 'planned' | 'done'
): Promise<void> {
	await tx.query('delete from ledger where team_id = $1 and practice_id = $2 and state = $3', [
		teamId,
		id,
		state
	]);
}

/** The rows of each block as text, to see which have changed. */
const byBlock = (rows: readonly LedgerRow[]): Map<string, string> =>
	rollup(
		rows,
		(own) => JSON.stringify(own),
		({ block }) => block
	);

/**
 * Writes what a practice gives, planned or done, in the place of what was written so before. Where `before`
 * says what that was, only the blocks whose rows differ are written.
 */
export async function replaceLedger(
	tx: Queryable,
	{ teamId, id }: { teamId: string; id: string },
	{
		state,
		rows,
		before
	}: { state: 'planned' | 'done'; rows: readonly LedgerRow[]; before?: readonly LedgerRow[] }
): Promise<void> {
	const [was, is] = [byBlock(before ?? []), byBlock(rows)];
	const isSame = (block: string) => was.get(block) === is.get(block);
	const changed =
		before && [...new Set([...was.keys(), ...is.keys()])].filter((block) => !isSame(block));
	if (changed?.length === 0) return;
	await tx.query(
		`delete from ledger where team_id = $1 and practice_id = $2 and state = $3
			and ($4::text[] is null or block_id = any($4::text[]))`,
		[teamId, id, state, changed ?? null]
	);
	const written = before ? rows.filter(({ block }) => !isSame(block)) : rows;
	await tx.query(
		`insert into ledger (team_id, practice_id, period_id, block_id, drill_id, drill_revision, rung,
			side, player_id, unit, date, skill, focus, seconds, active_seconds, turns, opposed, state)
		 select $1, $2, period, block, drill, revision, rung, side, player, unit, date, skill, focus, seconds,
			"activeSeconds", turns, opposed, $4
		 from jsonb_to_recordset($3::jsonb) as l (period text, block text, drill text, revision int,
			rung text, side text, player text, unit text, date date, skill text, focus text, seconds real,
			"activeSeconds" real, turns real, opposed boolean)`,
		[teamId, id, JSON.stringify(written), state]
	);
}
