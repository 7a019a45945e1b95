import type { Block, Copy, Lane, Period } from '../model/practice';
import { maySupervise, playersOfCopy, isStation } from '../playing';
import type { Plan } from '../practice';
import { adultsNeeded } from './demand';

/** One copy that wants an adult more. */
interface Post {
	lane: string;
	block: string;
	copy: string;
}

/** A period with its adults, and the lanes that still want some. */
export interface Staffed {
	period: Period;
	unstaffed: Set<string>;
}

const adultsOfLane = ({ blocks }: Lane): string[] =>
	blocks.flatMap(({ copies, lead, eyes }) => [
		...copies.flatMap(({ adults }) => adults),
		...[lead, eyes].filter((id) => id !== undefined)
	]);

/** A period with one copy's adults changed. */
function withAdults(period: Period, at: Post, change: (adults: string[]) => string[]): Period {
	const inCopy = (copy: Copy): Copy =>
		copy.id === at.copy ? { ...copy, adults: change(copy.adults) } : copy;
	const inBlock = (block: Block): Block =>
		block.id === at.block ? { ...block, copies: block.copies.map(inCopy) } : block;
	return {
		...period,
		lanes: period.lanes.map((lane) =>
			lane.id === at.lane ? { ...lane, blocks: lane.blocks.map(inBlock) } : lane
		)
	};
}

/** Every copy of a period that is run, with how many adults it has and needs. */
function* posts(
	period: Period,
	{ context }: Plan,
	{ isHere, isThere }: { isHere: (adult: string) => boolean; isThere: (player: string) => boolean }
): Generator<Post & { has: number; needed: number; spare: string[] }> {
	for (const lane of period.lanes)
		for (const block of lane.blocks) {
			const needed = adultsNeeded(block, context);
			for (const [index, copy] of block.copies.entries()) {
				const isRun =
					isStation(period, lane) || playersOfCopy(period, copy).some((id) => isThere(id));
				if (!isRun) continue;
				const leading =
					index === 0 ? [block.lead, block.eyes].filter((id) => id !== undefined) : [];
				const has = new Set([...copy.adults, ...leading].filter(isHere)).size;
				const spare =
					has > needed ? copy.adults.filter((id) => isHere(id) && !leading.includes(id)) : [];
				yield { lane: lane.id, block: block.id, copy: copy.id, has, needed, spare };
			}
		}
}

/**
 * A period in which each copy that lacks an adult has one who is free, or who can be spared elsewhere. Who
 * leads and does not come is followed by somebody who stands there.
 */
export function staffed(
	plan: Plan,
	before: Period,
	there: { isHere: (adult: string) => boolean; isThere: (player: string) => boolean }
): Staffed {
	let period = led(before, there.isHere);
	const unstaffed = new Set<string>();
	/** Young players want an adult at each post, though no drill of theirs asks for one. */
	const isYoung = plan.context.team.ages.from < plan.context.limits.aloneFromAge;
	for (const post of posts(period, plan, there)) {
		const least = Math.max(post.needed, isYoung ? 1 : 0);
		for (let has = post.has; has < least; has += 1) {
			const beside = period.lanes.filter(({ id }) => id !== post.lane).flatMap(adultsOfLane);
			const own = period.lanes
				.filter(({ id }) => id === post.lane)
				.flatMap(({ blocks }) => blocks.filter(({ id }) => id === post.block))
				.flatMap((block) => adultsOfLane({ id: '', zoneIds: [], blocks: [block] }));
			const free = plan.practice.adults.find(
				(id) =>
					there.isHere(id) &&
					maySupervise(id, plan.context) &&
					!beside.includes(id) &&
					!own.includes(id)
			);
			const giver =
				free === undefined
					? [...posts(period, plan, there)].find(
							({ lane, has: count, needed, spare }) =>
								lane !== post.lane && count > Math.max(needed, isYoung ? 1 : 0) && spare.length > 0
						)
					: undefined;
			const adult = free ?? giver?.spare.at(-1);
			if (adult === undefined) {
				if (has < post.needed) unstaffed.add(post.lane);
				break;
			}
			if (giver) period = withAdults(period, giver, (all) => all.filter((id) => id !== adult));
			period = withAdults(period, post, (all) => [...all, adult]);
		}
	}
	return { period: led(period, there.isHere), unstaffed };
}

/** A period whose blocks are led and watched by adults who are here; somebody with its first copy takes over. */
function led(period: Period, isHere: (adult: string) => boolean): Period {
	const lanes = period.lanes.map((lane) => ({
		...lane,
		blocks: lane.blocks.map((block): Block => {
			const { lead, eyes, ...rest } = block;
			const isLedStill = lead === undefined || isHere(lead);
			const isSeenStill = eyes === undefined || isHere(eyes);
			if (isLedStill && isSeenStill) return block;
			const next = isLedStill ? lead : block.copies[0]?.adults.find(isHere);
			return {
				...rest,
				...(next !== undefined && { lead: next }),
				...(isSeenStill && eyes !== undefined && { eyes })
			};
		})
	}));
	return { ...period, lanes };
}
