export * from './turn.js';
export * from './box.js';
export * from './tube.js';
export * from './shadow.js';
