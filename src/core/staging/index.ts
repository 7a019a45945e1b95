export { setUpScene } from './setUpScene';
