/** What a person does in a stretch of time. */
export type State = 'active' | 'help' | 'wait' | 'listen' | 'move' | 'water' | 'setup' | 'off';

/** A stretch of one person's practice. Seconds from the start of the practice. */
export interface Interval {
	fromSecond: number;
	toSecond: number;
	state: State;
	/** Zone, or null where nobody said. */
	place: string | null;
	block: string | null;
	/** The copy of the block, for drills. */
	copy: string | null;
	/** The spot held, or the one whose line the player stands in. */
	spot: string | null;
}

/** Intervals of one person in order, without gaps or overlaps over the whole practice. */
export type Track = readonly Interval[];
