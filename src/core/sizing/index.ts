export {
	blockedBy,
	copiesByFixtures,
	copiesInZone,
	copiesServed,
	footprint,
	gridsIn,
	kitNeeded,
	roomIn
} from './blocks';
export { bestOf, size } from './size';
export {
	SizeInput,
	type Block,
	type SizeLimits,
	SizeOutput,
	type SizeOption,
	type SizeZone
} from './sizeShapes';
export { mostStations, slotBounds, slotSeconds, type SlotBounds } from './stationSlots';
