import type { Drill, Spot } from '../model/drill';
import type { Scene, Token } from '../model/scene';

/** What the ball is called among the spots of a scene while it is drawn. */
export const BALL = 'Ball';

/** What of a drill a scene is drawn as. */
type Drawing = Pick<Drill, 'ground' | 'spots' | 'paths'>;

/**
 * A scene as the drawing of a drill, so that both are drawn with the same hands: ours are workers, theirs are
 * opponents, the ball is a marker that feeds.
 */
export function drawingOf({ ground, tokens, ways, ball }: Scene): Drawing {
	const spots = tokens.map(({ id, side, x, y, unit }): Spot => ({
		...{ id, role: side === 'ours' ? 'worker' : 'opponent', count: 1, x, y },
		...(unit !== undefined && { unit })
	}));
	const [x, y] = ball ?? [];
	return {
		ground,
		spots: ball ? [...spots, { id: BALL, role: 'feeder', count: 1, by: 'marker', x, y }] : spots,
		...(ways && ways.length > 0 && { paths: ways })
	};
}

/** The scene that a drawing is, as `drawingOf` makes it; a way that begins or ends at the ball does so at its place. */
export function sceneOf({
	ground: { length, width },
	spots,
	paths = []
}: Drawing): Pick<Scene, 'ground' | 'tokens' | 'ways' | 'ball'> {
	const balls = spots.filter(({ role }) => role === 'feeder');
	const placeOf = new Map(balls.map(({ id, x = 0, y = 0 }) => [id, [x, y]]));
	const end = (at: string | number[]) => (typeof at === 'string' ? (placeOf.get(at) ?? at) : at);
	const tokens = spots
		.filter((spot) => !balls.includes(spot))
		.map(({ id, role, x = 0, y = 0, unit }): Token => ({
			...{ id, side: role === 'opponent' ? 'theirs' : 'ours', x, y },
			...(unit !== undefined && { unit })
		}));
	const [ball] = placeOf.values();
	return {
		ground: { length, width },
		tokens,
		...(paths.length > 0 && {
			ways: paths.map((way) => ({ ...way, from: end(way.from), to: end(way.to) }))
		}),
		...(ball && { ball })
	};
}
