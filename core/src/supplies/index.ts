export * from './kinds.js';
export * from './fitSheet.js';
export * from './supply.js';
