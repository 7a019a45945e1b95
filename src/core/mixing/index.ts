export { MIX_SECONDS, mixOccasions, mixSearch } from './mix';
export { MixInput, MixOutput } from './mixShapes';
export type { Occasion, OccasionsInput } from './readMix';
export {
	meetingRange,
	mixingEdits,
	occasionsIn,
	type Meeting,
	type Mixable,
	type PlannedMeeting,
	type Wanted
} from './meetingGroups';
