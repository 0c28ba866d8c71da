export * from './read.js';
export * from './write.js';
export * from './place.js';
export { wordsOf } from './words.js';
