export * from './read.js';
export * from './write.js';
export * from './stationOf.js';
export { wordsOf } from './words.js';
