import MessageFormat from '@messageformat/core';
import type { Read } from './message';

const language = new MessageFormat('en');
const known = new Map<string, Read>();

/** Reads an ICU message at run time. Throws where it is no message. */
export function readMessage(text: string): Read {
	const read = known.get(text) ?? (language.compile(text) as Read);
	known.set(text, read);
	return read;
}
