import { areaOf } from '../model/skill';
import type { Evaluation } from '../playing';
import { drillOf, findBlock, findPeriod } from '../practice';
import { kept, wordingOf } from '../words';

/** The practice that is spoken of, and its surroundings. */
export type Plan = Pick<Evaluation, 'practice' | 'context'>;

export const percent = (share: unknown) => `${Math.round(Number(share) * 100)}%`;
export const minutes = (count: number) => (count === 1 ? '1 minute' : `${count} minutes`);

/** Names with commas between; of more than three the first two. */
export const list = (names: readonly string[]) =>
	names.length > 3
		? `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`
		: names.join(', ');

/** Minutes and seconds from the start of the practice, `0:54`. */
export function offset(second: number): string {
	const whole = Math.round(second);
	return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** Names for ids, as the coach knows them; an unknown id is shown as it is. */
export function namesIn({ practice, context }: Plan) {
	const block = (id: unknown) => {
		const found = findBlock(practice, String(id));
		const drill = found && drillOf(context, found.block.drill);
		return drill?.name ?? found?.period.name ?? String(id);
	};
	const named = (name: string | undefined, id: string) => kept(name ?? id);
	return {
		block: (id: unknown) => kept(block(id)),
		period: (id: string) => named(findPeriod(practice, id)?.name, id),
		zone: (id: string) => named(context.zoneById.get(id)?.name, id),
		player: (id: string) => named(context.playerById.get(id)?.name, id),
		adult: (id: string) => named(context.adultById.get(id)?.name, id),
		unit: (id: string) => named(context.team.units.find((unit) => unit.id === id)?.name, id),
		skill: (id: string) =>
			named(context.team.skillAreas.find((area) => area.id === areaOf(id))?.name, id),
		drill: (id: string) => named(context.shelf.find((drill) => drill.id === id)?.name, id)
	};
}

/** A text with its team's own words. */
export const inOwnWords = (text: string, { context }: Plan) => wordingOf(context.team.words)(text);
