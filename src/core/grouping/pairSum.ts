/**
 * A sum over the pairs of players of the same group, kept up to date as players enter and leave: of how
 * often two have met, or how far apart they play. A change of places is known without trying it.
 */
export class PairSum {
	/** By player and group: what they have with all of the group together. */
	private readonly withGroup: Float64Array;
	total = 0;

	constructor(
		/** By two players, both ways round. */
		private readonly between: Float64Array,
		private readonly players: number,
		private readonly groups: number
	) {
		this.withGroup = new Float64Array(players * groups);
	}

	/** A player enters a group (1), or leaves it (-1). */
	count(player: number, group: number, sign: 1 | -1): void {
		const { between, players, groups, withGroup } = this;
		this.total += sign * withGroup[player * groups + group];
		for (let other = 0; other < players; other += 1)
			withGroup[other * groups + group] += sign * between[player * players + other];
	}

	/** The change of the sum if `a`, who is in group `g`, and `b` of `h` changed places. */
	change(a: number, b: number, [g, h]: readonly [number, number]): number {
		const { between, players, groups, withGroup } = this;
		return (
			withGroup[a * groups + h] -
			withGroup[a * groups + g] +
			withGroup[b * groups + g] -
			withGroup[b * groups + h] -
			2 * between[a * players + b]
		);
	}
}
