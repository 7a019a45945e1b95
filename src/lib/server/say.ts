import { speaker } from '$words';
import { readMessage } from '../../words/read';

/**
 * Says what the server refuses, in the words of the glossary. Messages are read as they are said: the
 * command line runs the same use cases without a build.
 */
export const say = speaker(undefined, readMessage);
