import { group } from '../grouping';
import type { Player } from '../model/team';
import type { Edit } from '../practice';
import { overBlocks, type PlayedBlock } from './blockRule';

/** Search for tiers that is short enough for a fix. */
const SHORT_SEARCH = 5;

const meanRating = (player: Player | undefined) => {
	const ratings = Object.values(player?.ratings ?? {});
	return ratings.length > 0
		? ratings.reduce((sum, rating) => sum + rating, 0) / ratings.length
		: null;
};

/** Largest less smallest mean rating of some players. */
function rangeOf(players: readonly string[], byId: ReadonlyMap<string, Player>): number {
	const rated = players.flatMap((id) => meanRating(byId.get(id)) ?? []);
	return rated.length > 1 ? Math.max(...rated) - Math.min(...rated) : 0;
}

/** The players of a block's copies dealt anew by strength. */
function byStrength({ runs, evaluation }: PlayedBlock): Edit[] {
	const { block } = runs[0].run;
	const sizes = block.copies.map(({ players }) => players.length);
	if (sizes.length < 2 || sizes.some((size) => size === 0)) return [];
	const players = block.copies
		.flatMap((copy) => copy.players)
		.map((id) => {
			const { ratings } = evaluation.context.playerById.get(id) ?? {};
			return { id, ...(ratings && { ratings }) };
		});
	const tiers = group({ players, sizes, mode: 'tiers' }, SHORT_SEARCH);
	if (!tiers.ok) return [];
	const copies = block.copies.map((copy, index) => ({
		...copy,
		players: tiers.value.groups[index]
	}));
	return [{ type: 'set-block', block: block.id, set: { copies } }];
}

/** A drill for players of like strength has some together who are far apart. */
export const likePartners = overBlocks({
	code: 'like-partners',
	severity: 'warn',
	find({ steps, evaluation }) {
		const { limits, playerById } = evaluation.context;
		const uneven = steps.find(
			({ run, drill }) =>
				drill.partners === 'like' && rangeOf(run.players, playerById) >= limits.likeRatings - 1e-9
		);
		if (!uneven) return null;
		const apart = rangeOf(uneven.run.players, playerById);
		return { values: { apart }, fromSecond: uneven.fromSecond };
	},
	propose: byStrength
});
