export * from './answer.js';
export * from './switches.js';
export * from './prevention.js';
