import { invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';

const EVERY_MILLISECONDS = 1500;

/** How many practices of a team are still to be worked out; null where the server does not answer. */
async function countLeft(team: string): Promise<number | null> {
	try {
		const response = await fetch(`/${team}/practices/pending`);
		return response.ok ? ((await response.json()) as { left: number }).left : null;
	} catch {
		return null;
	}
}

/**
 * Loads a page anew once the practices it shows have been worked out. The page itself is not loaded until then:
 * that would drop a link the coach has just followed, and put an error in its place while the server is away.
 */
export function loadOnceDone(team: () => string, isPending: () => boolean): void {
	$effect(() => {
		if (!isPending()) return;
		let isAsking = false;
		const timer = setInterval(async () => {
			// On a slow line one question at a time is enough.
			if (isAsking) return;
			isAsking = true;
			const left = await countLeft(team());
			if (left === 0 && !navigating.to) await invalidateAll().catch(() => undefined);
			isAsking = false;
		}, EVERY_MILLISECONDS);
		return () => clearInterval(timer);
	});
}
