export * from './task.js';
export * from './lightest.js';
export { cheapestCover } from './coverSearch.js';
