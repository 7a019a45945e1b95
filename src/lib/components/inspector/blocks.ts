import type { Drill } from '$core/model/drill';
import { adultPlaces } from '$core/drill';
import type { Room } from '$core/playing';
import { howMany, oneAndMany, type Say } from '$words';
import { kitNeeded, roomIn, type Block, type SizeOption } from '$core/sizing';
import texts from '$texts/inspector';

/** Why an option is blocked and what would free it, in words. */
export function blockWordsOf(
	block: Block,
	option: SizeOption,
	{ drill, room, say }: { drill: Drill; room: Room; say: Say }
): string {
	const { copies, adultsAt, sizes } = option;
	switch (block) {
		case 'size':
			return say(texts.groupsOfTheDrillTakesTo, {
				sizes: [...new Set(sizes)].join(' / '),
				min: drill.group.min,
				max: drill.group.max
			});
		case 'coaches': {
			const needed = copies * (drill.coaches.min + adultPlaces(drill).always + adultsAt);
			const short = needed - room.adults.length;
			return say(texts.adultsShort, { short });
		}
		case 'zones':
			return say(texts.noZoneLeftForOfM, {
				copies,
				length: Math.round(drill.ground.length),
				width: Math.round(drill.ground.width)
			});
		case 'fixtures': {
			const { served } = roomIn(room.zones, drill, sizes[0]);
			const items = (drill.fixtures ?? []).map(({ item }) => oneAndMany(item)[1]).join(', ');
			return served === 0
				? say(texts.noInItsZones, { items })
				: say(texts.forOfCopies, { items, served, copies });
		}
		case 'kit': {
			const players = sizes.reduce((sum, size) => sum + size, 0);
			const short = [...kitNeeded(drill, { copies, players })].flatMap(([item, count]) => {
				const missing = Math.ceil(count - (room.kit[item] ?? 0));
				return missing > 0 ? [howMany(missing, item)] : [];
			});
			return say(texts.short, { items: short.join(', ') });
		}
	}
}
