import type { Drill } from '$core/model/drill';
import { adultPlaces } from '$core/drill';
import type { Room } from '$core/playing';
import { howMany, kept, oneAndMany } from '$core/words';
import { kitNeeded, roomIn, type Block, type SizeOption } from '$core/sizing';

/** Why an option is blocked and what would free it, in words. */
export function blockWordsOf(block: Block, option: SizeOption, drill: Drill, room: Room): string {
	const { copies, adultsAt, sizes } = option;
	switch (block) {
		case 'size':
			return `groups of ${[...new Set(sizes)].join(' and ')}, the drill takes ${drill.group.min} to ${drill.group.max}`;
		case 'coaches': {
			const needed = copies * (drill.coaches.min + adultPlaces(drill).always + adultsAt);
			const short = needed - room.adults.length;
			return `${howMany(short, 'adult')} short`;
		}
		case 'zones':
			return `no zone left for ${copies} of ${Math.round(drill.ground.length)} × ${Math.round(drill.ground.width)} m`;
		case 'fixtures': {
			const { served } = roomIn(room.zones, drill, sizes[0]);
			const items = (drill.fixtures ?? []).map(({ item }) => kept(oneAndMany(item)[1])).join(', ');
			return served === 0
				? `no ${items} in its zones`
				: `${items} for ${served} of ${copies} copies`;
		}
		case 'kit': {
			const players = sizes.reduce((sum, size) => sum + size, 0);
			const short = [...kitNeeded(drill, { copies, players })].flatMap(([item, count]) => {
				const missing = Math.ceil(count - (room.kit[item] ?? 0));
				return missing > 0 ? [kept(howMany(missing, item))] : [];
			});
			return `${short.join(', ')} short`;
		}
	}
}
