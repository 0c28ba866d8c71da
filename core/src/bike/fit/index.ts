export * from './bands.js';
export * from './gauging.js';
export * from './lobes.js';
export * from './sizeOdds.js';
export * from './readTries.js';
export * from './tried.js';
export * from './freePlay.js';
export * from './verdict.js';
