export { evenGroups, unevenness, type Groupable, type Unevenness } from './even';
