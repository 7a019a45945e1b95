import { getContext, setContext } from 'svelte';
import { wordingOf, type OwnWords, type Wording } from '$core/words';

const KEY = Symbol('wording');

/** Makes a team's own words known to all that is drawn within; `words` is asked anew when it changes. */
export function provideWording(words: () => OwnWords | undefined): void {
	const wording = $derived.by(() => wordingOf(words()));
	setContext(KEY, (text: string) => wording(text));
}

/** Puts the team's own words into a text of the application; outside a team it stays as it is. */
export const useWording = (): Wording =>
	getContext<Wording | undefined>(KEY) ?? wordingOf(undefined);
