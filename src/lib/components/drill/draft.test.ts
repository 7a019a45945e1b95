import { expect, test } from 'vitest';
import { demoContext, demoTeams } from '../../../../tests/support/demo';
import { sameValue } from '$core/base';
import { spotRows, textsOf, withSpots, withTexts } from './draft';

const all = demoTeams().flatMap((team) => demoContext(team).shelf);

test('every drill of the demo is the same after its rows and lines were read', () => {
	for (const drill of all) {
		const again = withTexts(withSpots(drill, spotRows(drill)), textsOf(drill));
		const moves = Object.fromEntries(
			Object.entries(drill.rotation.moves).filter(([from, to]) => from !== to)
		);
		const plain = { ...drill, rotation: { ...drill.rotation, moves } };
		expect([drill.id, sameValue(again, plain)]).toEqual([drill.id, true]);
	}
});

test('lines are read as a coach writes them', () => {
	const [drill] = all;
	const [spot] = drill.spots;
	const texts = {
		...textsOf(drill),
		cues: `${spot.id}: low\n\nfor: everyone `,
		kit: '2 ball\n1,5 cone a player\nrope',
		faults: 'tall > bend'
	};
	expect(withTexts(drill, texts)).toMatchObject({
		cues: [{ say: 'low', spot: spot.id }, { say: 'for: everyone' }],
		kit: [
			{ item: 'ball', count: 2, per: 'copy' },
			{ item: 'cone', count: 1.5, per: 'player' },
			{ item: 'rope', count: 1, per: 'copy' }
		],
		faults: [{ seen: 'tall', say: 'bend' }]
	});
});
