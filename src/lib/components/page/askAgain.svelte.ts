import { invalidateAll } from '$app/navigation';

const EVERY_MILLISECONDS = 1500;

/** Loads a page again and again while something on it is still being worked out. */
export function askAgain(isPending: () => boolean): void {
	$effect(() => {
		if (!isPending()) return;
		const timer = setInterval(
			() => void invalidateAll().catch(() => undefined),
			EVERY_MILLISECONDS
		);
		return () => clearInterval(timer);
	});
}
