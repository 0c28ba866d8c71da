export * from './kinds.js';
export * from './book.js';
export * from './facts.js';
export * from './fitSheet.js';
export * from './fitCheck.js';
export * from './supply.js';
