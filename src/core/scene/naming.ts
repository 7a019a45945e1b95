import type { Path } from '../base';
import type { Fix, Scene } from '../model/scene';

/** Somebody whom a scene names, and where. */
export interface Naming {
	path: Path;
	/** `opponent`: players read it on the card of its drill; `player`: a scene shames nobody. */
	who: 'opponent' | 'player';
	name: string;
}

const alike = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * Whom a scene names that it should not: a token called by a player's full or first name; where players read it
 * (`isRead`), an opponent in its name, in what was decided or in the call. Null where it names nobody.
 */
export function namedIn(
	scene: Scene & Pick<Fix, 'decided'>,
	{
		opponents,
		players,
		isRead
	}: { opponents: readonly string[]; players: readonly string[]; isRead: boolean }
): Naming | null {
	for (const [index, { id }] of scene.tokens.entries()) {
		const player = players.find((name) => alike(name, id) || alike(name.split(' ')[0], id));
		if (player !== undefined) return { path: ['tokens', index, 'id'], who: 'player', name: player };
	}
	if (!isRead) return null;
	for (const field of ['name', 'decided', 'call'] as const) {
		const text = scene[field]?.toLowerCase() ?? '';
		const opponent = opponents.find((name) => text.includes(name.trim().toLowerCase()));
		if (opponent !== undefined) return { path: [field], who: 'opponent', name: opponent };
	}
	return null;
}
