import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import loadHighs from 'highs';

/** What the solver made of a model. */
export interface Solved {
	/** The best value found, or null where none was. */
	value: number | null;
	/** Whether nothing better exists. */
	isProven: boolean;
	seconds: number;
}

const KEPT = fileURLToPath(new URL('./solved.json', import.meta.url));

/** Solves models and keeps the answers in a file, by the hash of the model. */
export class Solver {
	private readonly kept: Record<string, Solved>;
	private readonly highs = loadHighs();

	constructor() {
		this.kept = existsSync(KEPT)
			? (JSON.parse(readFileSync(KEPT, 'utf8')) as Record<string, Solved>)
			: {};
	}

	/** The answer to a model, from the file where it is there. */
	async solve(
		{ text, hash }: { text: string; hash: string },
		mostSeconds: number
	): Promise<Solved> {
		if (Object.hasOwn(this.kept, hash)) return this.kept[hash];
		const highs = await this.highs;
		const start = performance.now();
		const { Status, ObjectiveValue } = highs.solve(text, { time_limit: mostSeconds, threads: 1 });
		const isProven = Status === 'Optimal';
		const hasValue =
			isProven || (Status === 'Time limit reached' && Number.isFinite(ObjectiveValue));
		const solved = {
			value: hasValue ? Math.round(ObjectiveValue * 1e7) / 1e7 : null,
			isProven,
			seconds: Math.round(performance.now() - start) / 1000
		};
		this.kept[hash] = solved;
		writeFileSync(KEPT, `${JSON.stringify(this.kept, null, '\t')}\n`);
		return solved;
	}
}
