export { cyclicSlots } from './cyclic';
