import type { ExportPerson } from './exportFiles';
import type { Season } from './season';
import type { Ground, KitItem, Team } from './team';
import type { Limits } from './limits';

/** Something that holds from a day on, until the next of its kind. */
export interface Dated<Value> {
	since: string;
	value: Value;
}

/** The day from which on something holds that always did. */
export const ALWAYS = '1900-01-01';

/** A team with all that was ever so, dated: what stood on any day follows from it. */
export interface TeamHistory {
	team: Team;
	/** In order of time. */
	seasons: readonly Season[];
	people: readonly ExportPerson[];
	/** The first is the one that a new practice is on. */
	grounds: readonly Ground[];
	/** In order of time. */
	kit: readonly Dated<readonly KitItem[]>[];
	/** What the team has set itself, in order of time. */
	limits: readonly Dated<Partial<Limits>>[];
	/** Ids of drills that are archived. */
	archived: readonly string[];
}
