export { MIX_SECONDS, mixSearch } from './mix';
export { MixInput, MixOutput } from './mixShapes';
