export { GLOSSARY, type Term } from './glossary';
export { kept, oneAndMany, reworded, wordingOf, type OwnWords, type Wording } from './reword';
