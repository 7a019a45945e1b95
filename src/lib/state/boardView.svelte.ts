import type { Drill } from '$core/model/drill';
import type { Practice } from '$core/model/practice';
import { findBlock } from '$core/practice';

/** What the lanes of the tape stand for. */
export type Pivot = 'zone' | 'group' | 'adult' | 'player';

/** A drill under the pointer: the id that its period would have, and where in the window it is held. */
export interface Held {
	drill: Drill;
	/** The rung that it is put on the tape with; the drill itself where it is not said. */
	rung?: string;
	/** Minutes of a period of its own; as the shelf has them where it is not said. */
	minutes?: number;
	id: string;
	clientX: number;
	clientY: number;
}

/** What the coach looks at on the board: the now-line, what is selected, which dialog is open. */
export class BoardView {
	/** Seconds from the start of the practice. */
	now = $state(0);
	isPlaying = $state(false);
	/** Seconds of practice in a second of watching. */
	speed = $state(60);
	period: string | null = $state(null);
	block: string | null = $state(null);
	/** The unit whose lane is worked on alone: what is not for it steps back. */
	alone: string | null = $state(null);
	/** What the lanes of the tape stand for. */
	pivot: Pivot = $state('zone');
	/** What the left column shows: the shelf stays while drills are put on the tape one after another. */
	panel: 'shelf' | 'period' = $state('shelf');
	dialog:
		| 'stations'
		| 'groups'
		| 'rotation'
		| 'lineup'
		| 'people'
		| 'practice'
		| 'keys'
		| 'borrow'
		| 'draft'
		| 'game'
		| null = $state(null);
	/** A drill of the shelf that is held over the board, and where in the window. */
	held: Held | null = $state(null);
	/** A word that is said to screen readers. */
	said = $state('');

	/** Selects a period, and a block in it, and shows what is inside; null lets go and shows the shelf. */
	select(period: string | null, block: string | null = null): void {
		this.mark(period, block);
		this.panel = period === null ? 'shelf' : 'period';
	}

	/** Selects without changing what the left column shows: keys work on it. */
	mark(period: string | null, block: string | null = null): void {
		this.period = period;
		this.block = block;
	}

	/** Moves the now-line, kept within the practice. */
	moveTo(second: number, seconds: number): void {
		this.now = Math.min(Math.max(0, second), Math.max(0, seconds - 1));
	}

	/** Selects the period that is `step` further down, from none the first or the last. */
	step(practice: Practice, step: 1 | -1): void {
		const ids = practice.periods.map(({ id }) => id);
		if (ids.length === 0) return;
		const at = this.period === null ? (step > 0 ? -1 : ids.length) : ids.indexOf(this.period);
		const next = Math.min(ids.length - 1, Math.max(0, at + step));
		this.select(ids[next], practice.periods[next].lanes[0]?.blocks[0]?.id ?? null);
	}

	/** Lets go of what is no longer there. */
	forget(practice: Practice): void {
		if (this.period && !practice.periods.some(({ id }) => id === this.period)) this.select(null);
		if (this.block && !findBlock(practice, this.block)) this.block = null;
	}
}
