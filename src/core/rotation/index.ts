export { cyclicSlots } from './cyclic';
export { rotate } from './rotate';
export { RotateInput, RotateOutput, RotateStation } from './rotateShapes';
