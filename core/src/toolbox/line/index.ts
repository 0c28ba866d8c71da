export * from './read.js';
export { lacksSize, withSize } from './measured.js';
export { findModels, setsLike } from './shelf.js';
export { MOST_OWN_WORDS, OWN_TERMS, ownWordSchema, ownWordsSchema, termWords } from './ownWords.js';
export type { SaidOfTool } from './said.js';
