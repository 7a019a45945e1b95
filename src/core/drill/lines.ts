/**
 * First-in-first-out lines of players in front of the spots, each a ring with a place for all of them. All of a
 * turn is done in one call: a run does little else, and calls would cost more than what is done in them.
 */
export class Lines {
	private readonly rings: number[][];
	private readonly fronts: number[];
	private readonly lengths: number[];

	private readonly capacity: number;

	constructor(dealt: readonly (readonly number[])[]) {
		const capacity = dealt.reduce((sum, line) => sum + line.length, 0);
		this.capacity = capacity;
		this.rings = dealt.map((line) => {
			const ring = new Array<number>(capacity).fill(0);
			for (let place = 0; place < line.length; place += 1) ring[place] = line[place];
			return ring;
		});
		this.fronts = new Array<number>(dealt.length).fill(0);
		this.lengths = dealt.map((line) => line.length);
	}

	length(spot: number): number {
		return this.lengths[spot];
	}

	/** Whether every line holds as many as its spot counts. */
	hold(counts: readonly number[]): boolean {
		const { lengths } = this;
		for (let spot = 0; spot < counts.length; spot += 1)
			if (lengths[spot] < counts[spot]) return false;
		return true;
	}

	/** Takes one from the front for each of the spots, in their order. Gives who they are. */
	take(spots: readonly number[]): number[] {
		const { rings, fronts, lengths, capacity } = this;
		const players = new Array<number>(spots.length);
		for (let k = 0; k < spots.length; k += 1) {
			const spot = spots[k];
			const front = fronts[spot];
			players[k] = rings[spot][front];
			fronts[spot] = front + 1 === capacity ? 0 : front + 1;
			lengths[spot] -= 1;
		}
		return players;
	}

	/**
	 * Each of the players joins the back of the line that their spot leads to. Those whom it leads nowhere
	 * go back to the front of their own, in the order in which they came from it.
	 */
	rejoin(
		players: readonly number[],
		spots: readonly number[],
		leadsTo: readonly (number | null)[]
	): void {
		const { rings, fronts, lengths, capacity } = this;
		let stay = 0;
		for (let k = 0; k < players.length; k += 1) {
			const to = leadsTo[spots[k]];
			if (to === null) {
				stay += 1;
				continue;
			}
			const place = fronts[to] + lengths[to];
			rings[to][place < capacity ? place : place - capacity] = players[k];
			lengths[to] += 1;
		}
		for (let k = players.length - 1; stay > 0; k -= 1) {
			const spot = spots[k];
			if (leadsTo[spot] !== null) continue;
			const front = fronts[spot] === 0 ? capacity - 1 : fronts[spot] - 1;
			fronts[spot] = front;
			rings[spot][front] = players[k];
			lengths[spot] += 1;
			stay -= 1;
		}
	}
}
