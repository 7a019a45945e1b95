/**
 * Who is at which station in each slot when all groups go round the stations in the given order,
 * one step a slot: group k starts at station k. Gives group indices by station index for every slot.
 * More groups than stations: those over rest, and everyone's rests are one slot apart at most.
 */
export function cyclicSlots(groups: number, stations: number, slots = Math.max(groups, stations)) {
	const places = Math.max(groups, stations);
	return Array.from({ length: slots }, (_, slot) => {
		const at: number[][] = Array.from({ length: stations }, () => []);
		for (let group = 0; group < groups; group += 1) {
			const place = (group + slot) % places;
			if (place < stations) at[place].push(group);
		}
		return at;
	});
}
