import { expect, test, vi } from 'vitest';
import { draft } from '$core/draft';
import { sportDraft } from '../../../../../tests/support/sportDrafts';
import { complaintsOf } from '../../../../../tests/support/sternCoach';

const NAMES = { water: 'Water', talk: 'Talk', stations: 'Stations', units: 'Units' };
/** Squads of six sports with nothing but what their kits bring. */
const SQUADS = 30;

vi.setConfig({ testTimeout: 60_000 });

test.each(Array.from({ length: SQUADS }, (_, k) => k))(
	'a stern coach would run the draft of a new team as it is: squad %i',
	(seed) => {
		const input = { ...sportDraft(seed), alternatives: 1 };
		const drafted = draft(input, NAMES);
		if (!drafted.ok) throw new Error(drafted.failure.message);
		const said = drafted.value.alternatives.flatMap((each) => complaintsOf(input, each));
		expect(said).toEqual([]);
	}
);
