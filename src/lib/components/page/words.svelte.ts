import { getContext, setContext } from 'svelte';
import { speaker, type OwnWords, type Say } from '$words';

const KEY = Symbol('words');
const inOurs = speaker(undefined);

/** Makes a team's own words known to all that is drawn within; `words` is asked anew when it changes. */
export function provideWords(words: () => OwnWords | undefined): void {
	let own = words();
	let say = speaker(own);
	setContext<Say>(KEY, (message, values) => {
		const now = words();
		if (now !== own) [own, say] = [now, speaker(now)];
		return say(message, values);
	});
}

/** Says texts of the catalogue in the team's own words; outside a team in those of the glossary. */
export const useWords = (): Say => getContext<Say | undefined>(KEY) ?? inOurs;
