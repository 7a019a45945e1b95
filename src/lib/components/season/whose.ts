/** Whose season is looked at: of a unit, of a player, or of everybody. */
export interface LookAt {
	unit?: string;
	player?: string;
}

/** The address of a page with somebody else's season on it. */
export function addressOf(url: URL, { unit, player }: LookAt): URL {
	const next = new URL(url);
	for (const [name, value] of Object.entries({ unit, player }))
		if (value) next.searchParams.set(name, value);
		else next.searchParams.delete(name);
	return next;
}
