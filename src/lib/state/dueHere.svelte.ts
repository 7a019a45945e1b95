import type { DueSkill, Meetings } from '$core/season';

/** What is due in a practice, and the rungs on which its drills go on. */
export interface Due {
	due: DueSkill[];
	rungs: Record<string, string | null>;
	/** What the practices of the last weeks ran. */
	recent: { drill: string; date: string }[];
	/** How often players were in a group together before. */
	met: Meetings;
}

/** What is due in the practice of a board: asked for beside it, and again when it moves to another day. */
export class DueHere {
	/** Null until it is known. */
	known: Due | null = $state.raw(null);
	/** Whether the server did not answer the last time. */
	isAway = $state(false);

	constructor(private readonly url: string) {}

	async ask(): Promise<void> {
		const answer = await fetch(this.url).catch(() => null);
		this.isAway = !answer?.ok;
		if (answer?.ok) this.known = await answer.json();
	}
}
