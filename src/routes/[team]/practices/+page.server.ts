import { error } from '@sveltejs/kit';
import { useConfig, useDb } from '$lib/server/app';
import { loadPracticeList } from '$lib/server/usecases/views';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const { today } = await useConfig();
	const list = await loadPracticeList(await useDb(), params.team, today);
	if (!list) error(404, 'There is no such team.');
	const { team, season } = list.surroundings;
	return { team: { id: team.id, name: team.name }, season, today, lines: list.lines };
};
