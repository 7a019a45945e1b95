import { getPosition } from 'suncalc';
import type { Ground } from '../model/team';
import { instantOf } from './instant';

/** Where the sun stands, in degrees. */
export interface Sun {
	/** Clockwise from north: 90 is east. */
	bearing: number;
	/** Above the horizon; below it is negative. Refraction is in it. */
	height: number;
	/** On the drawing of the ground: clockwise from its length to the right. */
	angle: number;
}

/** A day and a local clock time, with minutes that have gone by since. */
export interface Moment {
	date: string;
	clock: string;
	timeZone: string;
	minutes?: number;
}

/**
 * Where the sun stands over a ground at a moment; null for a ground under a roof, or one whose place is
 * not known. Positions by the package suncalc, good to about a tenth of a degree.
 */
export function sunOver(ground: Ground, { minutes = 0, ...moment }: Moment): Sun | null {
	if (!ground.place || ground.indoors) return null;
	const { latitude, longitude } = ground.place;
	const at = new Date(instantOf(moment, minutes));
	const { azimuth, altitude } = getPosition(at, latitude, longitude);
	const angle = (((azimuth - (ground.bearing ?? 90)) % 360) + 360) % 360;
	return { bearing: azimuth, height: altitude, angle };
}

const NAMES = [
	'north',
	'north-east',
	'east',
	'south-east',
	'south',
	'south-west',
	'west',
	'north-west'
];

/** The nearest of eight names of a direction in degrees clockwise from north. */
export const compassName = (bearing: number): string =>
	NAMES[((Math.round(bearing / 45) % 8) + 8) % 8];
