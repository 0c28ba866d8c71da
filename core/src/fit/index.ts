export * from './bands.js';
export * from './freePlay.js';
export * from './verdict.js';
