export { GLOSSARY, type Term } from './glossary';
export {
	howMany,
	kept,
	oneAndMany,
	reworded,
	wordingOf,
	type OwnWords,
	type Wording
} from './reword';
