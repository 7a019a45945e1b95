import { createHash } from 'node:crypto';
import type { LineupInput } from '../../../src/core/rotation';

/** The least spread of shifts as a mixed-integer model in the LP format: who plays where in which shift. */
export function lineupModel({ players, positions, shifts }: LineupInput): {
	text: string;
	hash: string;
} {
	const slots = Array.from({ length: shifts }, (_, shift) => shift);
	const mayPlay = (player: number, place: number) =>
		players[player].positions.includes(positions[place]);
	const x = (player: number, place: number, shift: number) => `x_${player}_${place}_${shift}`;
	const sum = (names: readonly string[]) => (names.length > 0 ? names.join(' + ') : '0 hi');
	const allowed = [...players.keys()].map((player) =>
		[...positions.keys()].filter((place) => mayPlay(player, place))
	);
	const isAlone = players.map((_, player) =>
		allowed[player].some(
			(place) => players.filter(({ positions: own }) => own.includes(positions[place])).length === 1
		)
	);
	const rows: string[] = [];
	for (const shift of slots) {
		for (const place of positions.keys())
			rows.push(
				`${sum([...players.keys()].flatMap((player) => (mayPlay(player, place) ? x(player, place, shift) : [])))} = 1`
			);
		for (const player of players.keys())
			rows.push(`${sum(allowed[player].map((place) => x(player, place, shift)))} <= 1`);
	}
	for (const player of players.keys()) {
		if (isAlone[player] || allowed[player].length === 0) continue;
		const all = sum(
			slots.flatMap((shift) => allowed[player].map((place) => x(player, place, shift)))
		);
		rows.push(`${all} - hi <= 0`, `${all} - lo >= 0`);
	}
	const binaries = [...players.keys()].flatMap((player) =>
		slots.flatMap((shift) => allowed[player].map((place) => x(player, place, shift)))
	);
	const text = [
		'Minimize',
		' obj: hi - lo',
		'Subject To',
		...rows.map((row, index) => ` r${index}: ${row}`),
		'Binary',
		...binaries.map((name) => ` ${name}`),
		'End'
	].join('\n');
	return { text, hash: createHash('sha256').update(text).digest('hex').slice(0, 16) };
}
