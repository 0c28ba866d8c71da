export * from './answer.js';
export * from './switches.js';
