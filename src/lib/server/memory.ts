import { LRUCache } from 'lru-cache';
import type { Before } from '$core/model/before';
import type { Drill } from '$core/model/drill';
import type { TeamHistory } from '$core/model/teamHistory';
import type { Evaluation } from '$core/playing';
import type { Context } from '$core/practice';
import type { LedgerRow } from '$core/season';
import type { Queryable } from './database';

/** What every practice of a team is played with. */
export interface TeamRead {
	/** A number that no other state of any team has. */
	version: string;
	history: TeamHistory;
	/** Drills that every practice is held against. */
	staples: Drill[];
	/** How many drills there are on the shelf. */
	onShelf: number;
	/** Contexts without drills by day and ground. */
	contexts: LRUCache<string, Context>;
	/** Drills by `id@revision`, of the practices that were played. */
	named: LRUCache<string, Drill>;
}

/** A practice as it was played last. */
export interface Played {
	evaluation: Evaluation;
	rows: LedgerRow[];
}

/** The same, with the number of the state that it was stored as. */
export interface StoredPlay extends Played {
	revision: number;
}

/**
 * What a process keeps of a database, so as not to read or play it again. Nothing in it can be out of date:
 * states of teams have numbers that never come again, revisions of drills never change, and a practice that
 * was played is used only where it is the same.
 */
export interface Memory {
	teams: LRUCache<string, TeamRead>;
	/** Revisions of drills by their number. */
	drills: LRUCache<number, Drill>;
	/** The same bare of ladder and words. */
	bare: LRUCache<number, Drill>;
	/** Drills that boards of a team have at hand, by the team's version; good for a minute, since uses change. */
	atHand: LRUCache<string, Drill[]>;
	/** What practices have cost, by all that it follows from. */
	strain: LRUCache<string, Before['week'][number]>;
	/** By team and practice. */
	played: LRUCache<string, StoredPlay>;
}

const memories = new WeakMap<object, Memory>();

/** What is kept of the database that a handle belongs to. */
export function memoryOf({ origin }: Queryable): Memory {
	const known = memories.get(origin);
	if (known) return known;
	const memory: Memory = {
		teams: new LRUCache({ max: 20 }),
		drills: new LRUCache({ max: 600 }),
		bare: new LRUCache({ max: 6000 }),
		atHand: new LRUCache({ max: 20, ttl: 60_000 }),
		strain: new LRUCache({ max: 100 }),
		played: new LRUCache({ max: 40 })
	};
	memories.set(origin, memory);
	return memory;
}
