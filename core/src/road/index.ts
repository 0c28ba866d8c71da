export * from './seeking.js';
export * from './waysNow.js';
export * from './instead.js';
export * from './whereNow.js';
