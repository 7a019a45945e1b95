declare module '@messageformat/core/compile-module.js' {
	import type MessageFormat from '@messageformat/core';

	/** The source of a module whose default export has a function for each message. */
	export default function compileModule(
		language: MessageFormat,
		messages: Readonly<Record<string, string>>
	): string;
}
