import { positionName } from '$core/model/positions';
import type { GamePlan } from '$core/model/practice';
import type { Team } from '$core/model/team';
import texts from '$texts/lineup';
import type { Say } from '$words';

/** The places of a line-up in order: the key of each and how the team calls it. */
export function placesOf(
	{ positions, shifts }: GamePlan,
	team: Pick<Team, 'positionList'>,
	say: Say
): { key: string; words: string }[] {
	const keys = Object.keys(shifts[0]?.at ?? {});
	const teams = new Set(keys.map((key) => key.split(':')[0])).size;
	return keys
		.map((key) => ({ key, at: key.split(':').map(Number) }))
		.sort((a, b) => a.at[0] - b.at[0] || a.at[1] - b.at[1])
		.map(({ key, at: [side, index] }) => {
			const name = positionName(positions[index] ?? String(index + 1), team);
			return { key, words: teams > 1 ? say(texts.team, { name, team: side + 1 }) : name };
		});
}
