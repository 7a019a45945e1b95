/** What a drawing needs of its styles once it stands alone. */
const LOOKS = [
	'fill',
	'stroke',
	'stroke-width',
	'stroke-dasharray',
	'stroke-linecap',
	'opacity',
	'font-size',
	'font-weight',
	'text-anchor',
	'dominant-baseline'
];

/**
 * A drawing of the page as an SVG file of its own: styles written into its elements, what it refers to
 * elsewhere on the page taken along.
 */
export function standaloneSvg(drawing: SVGSVGElement): string {
	const copy = drawing.cloneNode(true) as SVGSVGElement;
	const originals = [drawing, ...drawing.querySelectorAll<SVGElement>('*')];
	for (const [index, element] of [copy, ...copy.querySelectorAll<SVGElement>('*')].entries()) {
		const looks = getComputedStyle(originals[index]);
		for (const look of LOOKS) element.setAttribute(look, looks.getPropertyValue(look));
		const moved = originals[index].style.transform;
		if (moved) element.setAttribute('transform', moved.replaceAll('px', ''));
		element.removeAttribute('class');
		element.removeAttribute('style');
	}
	const names = [...copy.querySelectorAll('use')].map((use) => use.getAttribute('href') ?? '');
	for (const name of new Set(names)) {
		const used = name.startsWith('#') ? document.querySelector(name) : null;
		if (used && !drawing.contains(used)) copy.prepend(used.cloneNode(true));
	}
	copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
	return `<?xml version="1.0" encoding="UTF-8"?>\n${new XMLSerializer().serializeToString(copy)}\n`;
}

/** Offers a drawing of the page to be saved as a file. */
export function saveDrawing(drawing: SVGSVGElement, name: string): void {
	const url = URL.createObjectURL(new Blob([standaloneSvg(drawing)], { type: 'image/svg+xml' }));
	const link = document.createElement('a');
	link.href = url;
	link.download = `${name}.svg`;
	link.click();
	URL.revokeObjectURL(url);
}
