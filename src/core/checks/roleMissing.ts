import type { Player } from '../model/team';
import type { Edit } from '../practice';
import { overBlocks, type PlayedBlock } from './blockRule';

const plays = (player: Player | undefined, role: string) =>
	player?.unit === role || player?.positions?.includes(role) === true;

/** Somebody of the role from another copy of the block, in exchange for the first who is not. */
function exchanged(
	{ runs, drill }: PlayedBlock,
	role: string,
	byId: ReadonlyMap<string, Player>
): Edit[] {
	const { block } = runs[0].run;
	const needed = drill.needsRole?.find((each) => each.role === role)?.count ?? 1;
	const having = (ids: readonly string[]) => ids.filter((id) => plays(byId.get(id), role));
	const short = block.copies.find((copy) => having(copy.players).length < needed);
	const rich = block.copies.find((copy) => having(copy.players).length > needed);
	const give = rich && having(rich.players)[0];
	const take = short?.players.find((id) => !plays(byId.get(id), role));
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
	find({ drill, runs, evaluation }) {
		const { playerById } = evaluation.context;
		for (const { role, count } of drill.needsRole ?? [])
			for (const { run } of runs) {
				const has = run.players.filter((id) => plays(playerById.get(id), role)).length;
				if (run.players.length === 0 || has >= count) continue;
				return { values: { role, count, has }, fromSecond: run.fromSecond };
			}
		return null;
	},
	accepts: () => false,
	proposals: (played) =>
		(played.drill.needsRole ?? []).flatMap(({ role }) =>
			exchanged(played, role, played.evaluation.context.playerById)
		)
});
