export * from './task.js';
export * from './lightest.js';
export { cheapestCover, type Cover, type CoverSearch } from './coverSearch.js';
