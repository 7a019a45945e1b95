/** A skill as a coach calls it: the name of its area, or its own id written like one. */
export const skillName = (
	id: string,
	{ skillAreas }: { skillAreas: readonly { id: string; name: string }[] }
): string =>
	skillAreas.find((area) => area.id === id)?.name ?? id.charAt(0).toUpperCase() + id.slice(1);
