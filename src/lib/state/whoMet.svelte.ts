import type { Meetings } from '$core/season';

/** Who was in a group with whom before a practice: asked for when groups are made, for it takes the server a while. */
export class WhoMet {
	/** Null until it is known; nothing where the server does not answer. */
	met: Meetings | null = $state.raw(null);
	/** Whether the server did not answer the last time. */
	isAway = $state(false);

	constructor(private readonly url: string) {}

	/** Asks, where it is not known yet. */
	async ask(): Promise<void> {
		if (this.met && !this.isAway) return;
		const answer = await fetch(this.url).catch(() => null);
		this.isAway = !answer?.ok;
		this.met = answer?.ok ? await answer.json() : [];
	}
}
