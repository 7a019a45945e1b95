export { GLOSSARY, type Term } from './glossary';
export { oneAndMany, wordingOf, type OwnWords, type Wording } from './reword';
