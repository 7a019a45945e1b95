import type { Queryable } from '../database';

/** What was answered to a submission; undefined where there was none of this id. */
export async function findAnswer<Answer>(
	tx: Queryable,
	id: string
): Promise<{ answer: Answer } | undefined> {
	const { rows } = await tx.query<{ answer: Answer }>(
		'select answer from submission where id = $1',
		[id]
	);
	return rows[0];
}

/** Keeps an answer; those of more than a week ago go, nobody sends again after so long. */
export async function keepAnswer(tx: Queryable, id: string, answer: unknown): Promise<void> {
	await tx.query('insert into submission (id, answer) values ($1, $2::jsonb)', [
		id,
		JSON.stringify(answer ?? null)
	]);
	await tx.query(`delete from submission where made_at < now() - interval '7 days'`);
}
