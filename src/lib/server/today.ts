import { dayAt } from '$core/conditions';
import { useConfig, useDb } from './app';
import { findTeam } from './repositories/surroundings';

/** Today in a time zone: the day that the configuration says, where it says one. */
export async function todayIn(timeZone: string): Promise<string> {
	const { today } = await useConfig();
	return today ?? dayAt(Date.now(), timeZone);
}

/** Today for a team: the day that a demo stands still on, else the calendar's in the team's time zone. */
export async function todayOf(teamId: string): Promise<string> {
	const team = await findTeam(await useDb(), teamId);
	const { today } = await useConfig();
	return today ?? team?.today ?? dayAt(Date.now(), team?.timeZone ?? 'UTC');
}
