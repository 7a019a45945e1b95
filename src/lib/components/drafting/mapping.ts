import texts from '$texts/drafting';
import type { Message } from '$words';
import type { WayKind } from './wayRows';

/** What drawing on the map does: spots are placed, tokens of a side put down, or lines of a kind drawn between them. */
export type Tool = 'place' | Side | LineTool;
type LineTool = 'move' | WayKind;
/** Whose token is put down in a scene. */
export type Side = 'ours' | 'theirs';

/** The line that a tool draws; null where it puts something down. */
export const lineOf = (tool: Tool): LineTool | null =>
	tool === 'place' || tool === 'ours' || tool === 'theirs' ? null : tool;

interface NamedTool {
	tool: Tool;
	name: Message;
}

/** What a scene is drawn with. */
export const SCENE_TOOLS: readonly NamedTool[] = [
	{ tool: 'place', name: texts.moveTokens },
	{ tool: 'ours', name: texts.putOurs },
	{ tool: 'theirs', name: texts.putTheirs },
	{ tool: 'flight', name: texts.drawFlight },
	{ tool: 'run', name: texts.drawRun },
	{ tool: 'carry', name: texts.drawCarry }
];

/** What a drill is drawn with. */
export const TOOLS: readonly NamedTool[] = [
	{ tool: 'place', name: texts.placeSpots },
	{ tool: 'move', name: texts.movesAfterTurn },
	{ tool: 'flight', name: texts.drawFlight },
	{ tool: 'run', name: texts.drawRun },
	{ tool: 'carry', name: texts.drawCarry }
];
