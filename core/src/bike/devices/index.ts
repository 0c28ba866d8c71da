export * from './reading.js';
export * from './simulate.js';
