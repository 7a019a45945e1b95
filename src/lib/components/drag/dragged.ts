import interact from 'interactjs';
import type { Attachment } from 'svelte/attachments';

/** How far a drag has come, in pixels, and how. */
export interface DragBy {
	x: number;
	y: number;
	/** Whether the lower edge is pulled, not the whole. */
	isResize: boolean;
	/** Snap to larger steps (Shift). */
	isCoarse: boolean;
	/** Where the pointer is in the window. */
	clientX: number;
	clientY: number;
}

/** What a drag tells whoever started it. */
export interface DragHandlers {
	onmove: (by: DragBy) => void;
	/** Let go. */
	ondrop: () => void;
	/** Given up with Escape. */
	oncancel: () => void;
}

/** Pixels before a press is a drag and not a click. */
const THRESHOLD = 4;

interface PointerMoved {
	dx: number;
	dy: number;
	clientX: number;
	clientY: number;
	shiftKey: boolean;
	interaction: { stop(): void };
}

/**
 * Makes an element movable by mouse, touch and pen; where it holds a `.grip`, pulling that resizes it.
 * Escape gives up. The element itself does not move: the handlers show what would come of it.
 */
export function dragged(handlers: () => DragHandlers): Attachment<HTMLElement> {
	return (element) => {
		interact.pointerMoveTolerance(THRESHOLD);
		let sum = { x: 0, y: 0 };
		/** Stops the drag that is on; null while there is none. */
		let stop: (() => void) | null = null;

		/** A drag that is given up is stopped from within: it has no end of its own. */
		function escape(event: KeyboardEvent) {
			if (event.key !== 'Escape' || !stop) return;
			event.preventDefault();
			event.stopPropagation();
			stop();
			finish();
			handlers().oncancel();
		}
		function finish() {
			stop = null;
			window.removeEventListener('keydown', escape, true);
			element.addEventListener('click', swallow, { capture: true, once: true });
			setTimeout(() => element.removeEventListener('click', swallow, { capture: true }), 0);
		}
		/** A drag ends in a click on the same element: that one is not meant. */
		function swallow(event: MouseEvent) {
			event.preventDefault();
			event.stopImmediatePropagation();
		}
		const listeners = (isResize: boolean) => ({
			start(event: PointerMoved) {
				sum = { x: 0, y: 0 };
				stop = () => event.interaction.stop();
				window.addEventListener('keydown', escape, true);
			},
			move(event: PointerMoved) {
				sum = { x: sum.x + event.dx, y: sum.y + event.dy };
				const { clientX, clientY, shiftKey: isCoarse } = event;
				handlers().onmove({ ...sum, isResize, isCoarse, clientX, clientY });
			},
			end() {
				if (!stop) return;
				finish();
				handlers().ondrop();
			}
		});
		const handle = interact(element);
		handle.draggable({ ignoreFrom: '.grip', listeners: listeners(false) });
		if (element.querySelector('.grip'))
			handle.resizable({ edges: { bottom: '.grip' }, listeners: listeners(true) });
		handle.styleCursor(false);
		return () => handle.unset();
	};
}
