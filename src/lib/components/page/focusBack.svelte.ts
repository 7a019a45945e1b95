import { tick } from 'svelte';

/** Gives the focus back to what opened a dialog once it is closed. For use while a component is made. */
export function focusBack(isOpen: () => boolean): void {
	let opener: HTMLElement | null = null;
	$effect.pre(() => {
		if (isOpen()) opener ??= document.activeElement as HTMLElement | null;
		else if (opener) {
			const back = opener;
			opener = null;
			void tick().then(() => back.isConnected && back.focus());
		}
	});
}
