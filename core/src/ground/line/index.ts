export * from './token.js';
export * from './phrases.js';
export * from './quantity.js';
export * from './size.js';
export * from './reading.js';
export * from './list.js';
