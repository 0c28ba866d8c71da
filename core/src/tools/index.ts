export * from './piece.js';
export * from './proportions.js';
export * from './catalogue.js';
