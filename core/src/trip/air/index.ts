export * from './air.js';
export * from './gauge.js';
