export * from './answer.js';
export * from './stowInput.js';
export * from './whole.js';
export * from './switches.js';
export * from './sure.js';
export * from './prevention.js';
export * from './inWords.js';
