export * from './milp.js';
export * from './task.js';
export * from './lightest.js';
export { cheapestCover } from './search.js';
