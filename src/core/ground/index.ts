export { halfOverlaps, smallestZones, zonesBeside, type Beside } from './beside';
export { guidesOf, snapped, snappedStretch, tidyZone, type Guides } from './guides';
export {
	CORNERS,
	dividedZones,
	freeName,
	LEAST_SIDE,
	movedZone,
	resizedZone,
	withZone,
	type By,
	type Corner
} from './zones';
