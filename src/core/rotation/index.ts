export { rotate } from './rotate';
export { RotateInput, RotateOutput, RotateStation } from './rotateShapes';
export { lineup, lineupSearch, type LineupProgress } from './lineup';
export { LineupInput, LineupOutput } from './lineupShapes';
