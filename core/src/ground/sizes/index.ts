export * from './shape.js';
export * from './tables.js';
export * from './print.js';
