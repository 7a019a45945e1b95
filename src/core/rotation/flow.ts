/** A network in which units flow from node 0 to node 1 at the least cost. */
export class Flow {
	private readonly to: number[] = [];
	private readonly room: number[] = [];
	private readonly cost: number[] = [];
	private readonly edges: number[][];

	constructor(nodes: number) {
		this.edges = Array.from({ length: nodes }, () => []);
	}

	/** Adds a way for some units and gives its number. */
	add(from: number, to: number, { room, cost = 0 }: { room: number; cost?: number }): number {
		const edge = this.to.length;
		this.to.push(to, from);
		this.room.push(room, 0);
		this.cost.push(cost, -cost);
		this.edges[from].push(edge);
		this.edges[to].push(edge + 1);
		return edge;
	}

	/** Units on a way. */
	on(edge: number): number {
		return this.room[edge + 1];
	}

	/**
	 * Lets as many units flow as there is room for, at the least cost: one cheapest way after another
	 * (Busacker and Gowen, 1961). Costs may be negative where no circle is. Gives how many flow.
	 */
	run(): number {
		let units = 0;
		for (;;) {
			const via = this.cheapestWay();
			if (!via) return units;
			let most = Infinity;
			for (let node = 1; node !== 0; node = this.to[via[node] ^ 1])
				most = Math.min(most, this.room[via[node]]);
			for (let node = 1; node !== 0; node = this.to[via[node] ^ 1]) {
				this.room[via[node]] -= most;
				this.room[via[node] ^ 1] += most;
			}
			units += most;
		}
	}

	/** The edge into each node on the cheapest way from 0 to 1 with room, or null where there is none. */
	private cheapestWay(): Int32Array | null {
		const count = this.edges.length;
		const dear = new Float64Array(count).fill(Infinity);
		const via = new Int32Array(count).fill(-1);
		const waits = new Uint8Array(count);
		const queue = [0];
		dear[0] = 0;
		for (let head = 0; head < queue.length; head += 1) {
			const node = queue[head];
			waits[node] = 0;
			for (const edge of this.edges[node]) {
				if (this.room[edge] === 0) continue;
				const next = this.to[edge];
				const cost = dear[node] + this.cost[edge];
				if (cost >= dear[next] - 1e-9) continue;
				dear[next] = cost;
				via[next] = edge;
				if (waits[next]) continue;
				waits[next] = 1;
				queue.push(next);
			}
		}
		return dear[1] === Infinity ? null : via;
	}
}
