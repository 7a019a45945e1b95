import { blankDrill } from '$core/drill';
import type { Drill } from '$core/model/drill';
import type { Fix, Scene, Seed } from '$core/model/scene';
import type { Ground, Team } from '$core/model/team';
import { drawingOf, sceneOf } from '$core/scene';
import type { SceneGround } from '../drafting/sceneGround';

/** What of a team a scene is drawn with. */
export type DrawnWith = Pick<
	Team,
	'sport' | 'skillAreas' | 'units' | 'positions' | 'positionList' | 'places'
>;

/** What is typed of a scene beside its drawing. */
export type Head = Pick<Fix, 'name' | 'call' | 'decided' | 'game' | 'groundId' | 'skills'>;

export const headOf = (scene: Fix | Seed): Head => ({
	...{ name: scene.name, call: scene.call, game: scene.game, groundId: scene.groundId },
	...{ decided: 'decided' in scene ? scene.decided : undefined, skills: scene.skills ?? [] }
});

/** The scene as a drill that is drawn: its moves and turns are nobody's. */
export const drillDrawn = (scene: Scene, { sport }: Pick<Team, 'sport'>): Drill => ({
	...blankDrill({ id: 'scene', sport }),
	...{ name: scene.name, rotation: { moves: {} }, paths: undefined },
	...drawingOf(scene)
});

const said = (text: string | undefined) => (text?.trim() ? text.trim() : undefined);

/** The scene as it would be saved: what is typed and drawn, and of the stored one what nobody types. */
export function keptOf(stored: Fix | Seed, head: Head, drawn: Drill): Fix | Seed {
	const { name, game, groundId, skills = [] } = head;
	const [call, decided] = [said(head.call), said(head.decided)];
	const common = {
		...{ id: stored.id, name: name.trim(), ...sceneOf(drawn) },
		...(groundId !== undefined && { groundId }),
		...(call !== undefined && { call }),
		...(skills.length > 0 && { skills })
	};
	if (!('since' in stored)) return { ...common, game: game ?? stored.game };
	return {
		...common,
		since: stored.since,
		...(decided !== undefined && { decided }),
		...(game !== undefined && { game }),
		...(stored.drill !== undefined && { drill: stored.drill }),
		...(stored.closed !== undefined && { closed: stored.closed })
	};
}

/** Where our line-up stands, of those whose place is on the ground; a position that comes again is numbered. */
export function lineUpOn(
	{ positions = [], positionList = [], places = [] }: DrawnWith,
	{ length, width }: Pick<Ground, 'length' | 'width'>
): SceneGround['lineUp'] {
	return positions.flatMap((id, k) => {
		const position = positionList.find((each) => each.id === id);
		const [x, y] = places[k] ?? [];
		if (!position || x === undefined || x > length || y > width) return [];
		const isSame = (each: string) => each === id;
		const isAlone = positions.filter(isSame).length === 1;
		const number = positions.slice(0, k + 1).filter(isSame).length;
		const name = isAlone ? position.name : `${position.name} ${number}`;
		return [{ name, unit: position.unit ?? '', at: { x, y } }];
	});
}
