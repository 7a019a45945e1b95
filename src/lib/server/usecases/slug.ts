/** An id in plain letters made of a name; `otherwise` where the name has none. */
export const slugOf = (name: string, otherwise: string): string =>
	name
		.normalize('NFKD')
		.replace(/\p{M}/gu, '')
		.toLowerCase()
		.replace(/[^a-z0-9]+/g, '-')
		.replace(/^-|-$/g, '')
		.slice(0, 60) || otherwise;
