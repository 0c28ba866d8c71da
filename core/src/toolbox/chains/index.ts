export * from './chain.js';
export * from './fails.js';
export * from './facts.js';
export * from './find.js';
export * from './operation.js';
export * from './cure.js';
export * from './setTried.js';
