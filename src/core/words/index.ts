export { GLOSSARY, type Term } from './glossary';
export { howMany, kept, oneAndMany, wordingOf, type OwnWords, type Wording } from './reword';
