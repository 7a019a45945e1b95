import type { Queryable } from '../database';

/** Notes a submission; false where it is known. Where another transaction notes it now, waits for how that ends. */
export async function claimSubmission(tx: Queryable, id: string): Promise<boolean> {
	const { affectedRows } = await tx.query(
		`insert into submission (id, answer) values ($1, 'null') on conflict do nothing`,
		[id]
	);
	return affectedRows === 1;
}

/** What was answered to a submission that is known. */
export async function findAnswer<Answer>(tx: Queryable, id: string): Promise<Answer> {
	const { rows } = await tx.query<{ answer: Answer }>(
		'select answer from submission where id = $1',
		[id]
	);
	return rows[0].answer;
}

/** Keeps the answer to a submission; those of more than a week ago go, nobody sends again after so long. */
export async function keepAnswer(tx: Queryable, id: string, answer: unknown): Promise<void> {
	await tx.query('update submission set answer = $2::jsonb where id = $1', [
		id,
		JSON.stringify(answer ?? null)
	]);
	await tx.query(`delete from submission where made_at < now() - interval '7 days'`);
}
