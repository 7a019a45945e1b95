/** First-in-first-out lines of players in front of the spots, each a ring over `capacity` places. */
export class Lines {
	private readonly rings: number[][];
	private readonly fronts: number[];
	private readonly lengths: number[];

	constructor(
		dealt: readonly (readonly number[])[],
		private readonly capacity: number
	) {
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

	takeFront(spot: number): number {
		const front = this.fronts[spot];
		this.fronts[spot] = front + 1 === this.capacity ? 0 : front + 1;
		this.lengths[spot] -= 1;
		return this.rings[spot][front];
	}

	joinBack(spot: number, player: number): void {
		const place = this.fronts[spot] + this.lengths[spot];
		this.rings[spot][place < this.capacity ? place : place - this.capacity] = player;
		this.lengths[spot] += 1;
	}

	joinFront(spot: number, player: number): void {
		const front = this.fronts[spot] - 1;
		this.fronts[spot] = front < 0 ? this.capacity - 1 : front;
		this.rings[spot][this.fronts[spot]] = player;
		this.lengths[spot] += 1;
	}
}
