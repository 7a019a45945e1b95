import { ascending, extent, sum } from 'd3-array';
import type { Drill, Spot } from '../model/drill';
import type { Fix, Scene, Token } from '../model/scene';

/** Metres of ground around the outermost tokens and ways. */
const AROUND = 2;
/** The least side of the ground of a scene, in metres. */
const LEAST_SIDE = 6;

/** Players for each token at most: the others wait in line and take turns. */
const MOST_A_TOKEN = 3;

/** The rung on which a scene is played live, after it was walked through. */
export const LIVE_RUNG = 'live';
/** Minutes of a block that sets a scene up: walked through, then live. */
export const WALK_MINUTES = 2;
export const LIVE_MINUTES = 3;

/** What a drill is made with from a scene. */
export interface SceneDrillOptions {
	/** Id of the drill; its revision, where it was made before. */
	id: string;
	revision?: number;
	/** Ids of sports that it is for. */
	sport: string;
	/** Players who are there: tokens far from the ball become markers where they are fewer. */
	players: number;
	/** Players there are of each unit. */
	units: Readonly<Record<string, number>>;
	/** The largest ground that it may take, in metres; it is drawn smaller where it is larger. */
	most: { length: number; width: number };
	/** Contact and effort of live play of the team. */
	contact: number;
	effort: number;
	/** What its ball is called among the kit. */
	ball: string;
	/** What the team looks after. */
	cautions: readonly string[];
	/** What is said of it, in words. */
	words: { summary: string; live: string; liveChange: string; counts: string };
}

type Point = { x: number; y: number };

/** Where a scene is looked at from: its ball, else the middle of our own tokens. */
function focusOf({ ball, tokens }: Scene): Point {
	if (ball) return { x: ball[0], y: ball[1] };
	const own = tokens.filter(({ side }) => side === 'ours');
	const all = own.length > 0 ? own : tokens;
	return { x: sum(all, ({ x }) => x) / all.length, y: sum(all, ({ y }) => y) / all.length };
}

/** The tokens that players hold when there are so many: those next to the ball, one of ours at least. */
function heldBy(scene: Scene, players: number): Set<string> {
	const { x, y } = focusOf(scene);
	const far = (token: Token) => Math.hypot(token.x - x, token.y - y);
	const near = scene.tokens.toSorted((a, b) => ascending(far(a), far(b)));
	const first = near.find(({ side }) => side === 'ours') ?? near[0];
	const order = [first, ...near.filter((token) => token !== first)];
	return new Set(order.slice(0, Math.max(1, players)).map(({ id }) => id));
}

/** The stretch of ground that a scene takes, and how its metres become those of a copy. */
function cropped(scene: Scene, most: SceneDrillOptions['most']) {
	const points = [
		...scene.tokens,
		...(scene.ball ? [{ x: scene.ball[0], y: scene.ball[1] }] : []),
		...(scene.ways ?? []).flatMap(({ from, to }) =>
			[from, to].flatMap((end) => (typeof end === 'string' ? [] : { x: end[0], y: end[1] }))
		)
	];
	const span = (values: number[]) => {
		const [low, high] = extent(values) as [number, number];
		const side = Math.max(LEAST_SIDE, high - low + 2 * AROUND);
		return { from: (low + high - side) / 2, side };
	};
	const [along, across] = [span(points.map(({ x }) => x)), span(points.map(({ y }) => y))];
	const scale = Math.min(1, most.length / along.side, most.width / across.side);
	const tenth = (metres: number) => Math.round(metres * 10) / 10;
	/** Rounded down, so that it still fits. */
	const side = (metres: number) => Math.floor(metres * scale * 10) / 10;
	return {
		length: side(along.side),
		width: side(across.side),
		at: ({ x, y }: Point): Point => ({
			x: Math.min(side(along.side), tenth((x - along.from) * scale)),
			y: Math.min(side(across.side), tenth((y - across.from) * scale))
		})
	};
}

/**
 * A drill that begins as a scene is drawn: each token is a spot at its place, walked through first and live on
 * its only rung. Who comes beyond its tokens waits in line at a spot and takes turns with who holds it. Where a
 * scene is larger than the ground there is, all of it is drawn smaller.
 */
export function sceneDrill(scene: Scene & Pick<Fix, 'decided'>, options: SceneDrillOptions): Drill {
	const { id, revision, sport, players, most, contact, effort, words } = options;
	const { length, width, at } = cropped(scene, most);
	const held = heldBy(scene, players);
	const left = new Map(Object.entries(options.units));
	const spots = scene.tokens.map((token): Spot => {
		const isHeld = held.has(token.id);
		const ofUnit = token.unit === undefined ? 0 : (left.get(token.unit) ?? 0);
		if (token.unit !== undefined && isHeld) left.set(token.unit, ofUnit - 1);
		return {
			id: token.id,
			role: token.side === 'ours' ? 'worker' : 'opponent',
			count: 1,
			line: true,
			...(!isHeld && { by: 'marker' as const }),
			// Where too few of a unit come, anybody stands in.
			...(isHeld && ofUnit > 0 && { unit: token.unit }),
			...at(token)
		};
	});
	const end = (point: string | number[]) => {
		if (typeof point === 'string') return point;
		const { x, y } = at({ x: point[0], y: point[1] });
		return [x, y];
	};
	const needed = held.size;
	const skills = scene.skills ?? [];
	const share = skills.length > 0 ? Math.floor(100 / skills.length) / 100 : 0;
	const { decided, call } = scene;
	const cues = [decided, call].flatMap((said) => (said ? [{ say: said }] : []));
	return {
		format: 'fieldplan/drill@1',
		id,
		...(revision !== undefined && { revision }),
		name: scene.name,
		sports: [sport],
		summary: words.summary,
		skills: skills.map((skill) => ({ skill, share, focus: 'main' })),
		group: { min: needed, ideal: needed, max: needed * MOST_A_TOKEN },
		spots,
		turn: { workSeconds: 15, headwaySeconds: 30 },
		rotation: { moves: {} },
		...((scene.ways ?? []).length > 0 && {
			paths: (scene.ways ?? []).map((way) => ({ ...way, from: end(way.from), to: end(way.to) }))
		}),
		ground: { length, width },
		kit: [{ item: options.ball, count: 1, per: 'copy' }],
		setup: { seconds: 60, adults: 1 },
		coaches: { min: 1, ideal: 1 },
		contact: 0,
		effort: 2,
		frequency: 'vary',
		cues,
		...(call && { calls: [call] }),
		cautions: [...options.cautions],
		success: { counts: words.counts, judge: 'decision' },
		rungs: [
			{
				id: LIVE_RUNG,
				name: words.live,
				change: words.liveChange,
				lever: 'pace',
				set: { contact, effort, live: true }
			}
		]
	};
}
