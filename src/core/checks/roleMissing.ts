import type { Player } from '../model/team';
import type { Edit } from '../practice';
import { playsRole } from '../settling';
import { overBlocks, type PlayedBlock } from './blockRule';

type Need = NonNullable<PlayedBlock['drill']['needsRole']>[number];

/** What the rungs that a block runs need, each role once with the most that one needs. */
function needsOf({ steps }: PlayedBlock): Need[] {
	const most = new Map<string, number>();
	for (const { role, count } of steps.flatMap(({ drill }) => drill.needsRole ?? []))
		most.set(role, Math.max(count, most.get(role) ?? 0));
	return [...most].map(([role, count]) => ({ role, count }));
}

/** Somebody of the role from another copy of the block, in exchange for the first who is not. */
function exchanged(
	{ runs }: PlayedBlock,
	{ role, count: needed }: Need,
	byId: ReadonlyMap<string, Player>
): Edit[] {
	const { block } = runs[0].run;
	const having = (ids: readonly string[]) => ids.filter((id) => playsRole(byId.get(id), role));
	const short = block.copies.find((copy) => having(copy.players).length < needed);
	const rich = block.copies.find((copy) => having(copy.players).length > needed);
	const give = rich && having(rich.players)[0];
	const take = short?.players.find((id) => !playsRole(byId.get(id), role));
	if (!give || !take) return [];
	const copies = block.copies.map((copy) => {
		const swap = (from: string, to: string) => ({
			...copy,
			players: copy.players.map((id) => (id === from ? to : id))
		});
		if (copy === rich) return swap(give, take);
		return copy === short ? swap(take, give) : copy;
	});
	return [{ type: 'set-block', block: block.id, set: { copies } }];
}

/** A group lacks somebody whom the drill cannot do without: a keeper, a thrower. */
export const roleMissing = overBlocks({
	code: 'role-missing',
	severity: 'stop',
	find({ steps, evaluation }) {
		const { playerById } = evaluation.context;
		for (const { run, drill, fromSecond } of steps)
			for (const { role, count } of drill.needsRole ?? []) {
				const has = run.players.filter((id) => playsRole(playerById.get(id), role)).length;
				if (run.players.length === 0 || has >= count) continue;
				return { values: { role, count, has }, fromSecond };
			}
		return null;
	},
	cause: ({ values }) => values.role,
	weigh: ({ values }) => values.count - values.has,
	propose: (played) =>
		needsOf(played).flatMap((need) => exchanged(played, need, played.evaluation.context.playerById))
});
