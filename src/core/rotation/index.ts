export { rotate } from './rotate';
export { RotateInput, RotateOutput, RotateStation } from './rotateShapes';
export { lineup, lineupSearch, type LineupProgress } from './lineup';
export { fewerPlaces } from './fewerPlaces';
export { LineupInput, LineupOutput } from './lineupShapes';
export { FILLER } from './readLineup';
