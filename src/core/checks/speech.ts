import texts from '$texts/findings';
import type { Say } from '$words';
import { areaOf } from '../model/skill';
import type { Evaluation } from '../playing';
import { drillOf, findBlock, findPeriod } from '../practice';

/** The practice that is spoken of, and its surroundings. */
export type Plan = Pick<Evaluation, 'practice' | 'context'>;

/** What a sentence about a practice is made with. */
export interface Telling {
	plan: Plan;
	names: ReturnType<typeof namesIn>;
	say: Say;
}

export const telling = (plan: Plan, say: Say): Telling => ({ plan, names: namesIn(plan), say });

export const percent = (share: number) => `${Math.round(share * 100)}%`;

/** Names with commas between; of more than three the first two. */
export const list = (names: readonly string[], say: Say) =>
	names.length > 3
		? say(texts.namesAndMore, { names: names.slice(0, 2).join(', '), more: names.length - 2 })
		: names.join(', ');

/** Minutes and seconds from the start of the practice, `0:54`. */
export function offset(second: number): string {
	const whole = Math.round(second);
	return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** Names for ids, as the coach knows them; an unknown id is shown as it is. */
export const namesIn = ({ practice, context }: Plan) => ({
	block(id: string): string {
		const found = findBlock(practice, id);
		const drill = found && drillOf(context, found.block.drill);
		return drill?.name ?? found?.period.name ?? id;
	},
	period: (id: string) => findPeriod(practice, id)?.name ?? id,
	zone: (id: string) => context.zoneById.get(id)?.name ?? id,
	player: (id: string) => context.playerById.get(id)?.name ?? id,
	adult: (id: string) => context.adultById.get(id)?.name ?? id,
	unit: (id: string) => context.team.units.find((unit) => unit.id === id)?.name ?? id,
	skill: (id: string) => context.team.skillAreas.find((area) => area.id === areaOf(id))?.name ?? id,
	drill: (id: string) => context.shelf.find((drill) => drill.id === id)?.name ?? id
});
