export * from './place.js';
export * from './rules.js';
export * from './assign.js';
export * from './usual.js';
