export { called } from './called';
export { GLOSSARY, type Term } from './glossary';
export { messages, type Message, type Read, type Values } from './message';
export { filledWith, howMany, oneAndMany, wordsOf, type OwnWords } from './own';
export { speaker, type Say } from './say';
