const ARROWS: Readonly<Record<string, readonly [x: number, y: number]>> = {
	ArrowLeft: [-1, 0],
	ArrowRight: [1, 0],
	ArrowUp: [0, -1],
	ArrowDown: [0, 1]
};

/** One step to the right and down that an arrow key asks for; null for another key, or with Ctrl, Cmd or Alt. */
export function arrowStep({
	key,
	ctrlKey,
	metaKey,
	altKey
}: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey'>): { x: number; y: number } | null {
	if (ctrlKey || metaKey || altKey || !Object.hasOwn(ARROWS, key)) return null;
	const [x, y] = ARROWS[key];
	return { x, y };
}
