import type { Team } from './team';

/** A position as a coach calls it: by its name in the team's list, or by its id where it is in none. */
export const positionName = (
	id: string,
	{ positionList = [] }: Pick<Team, 'positionList'>
): string => positionList.find((position) => position.id === id)?.name ?? id;

/** The id of the position that somebody typed by its name or its id; what is neither stays as it is. */
export function positionTyped(
	typed: string,
	{ positionList = [] }: Pick<Team, 'positionList'>
): string {
	const wanted = typed.trim().toLowerCase();
	const known = positionList.find(
		({ id, name }) => id.toLowerCase() === wanted || name.toLowerCase() === wanted
	);
	return known?.id ?? typed.trim();
}
