export * from './way.js';
export * from './minutes.js';
export * from './shared.js';
export * from './trouble.js';
export * from './known.js';
export * from './faults.js';
export * from './prevention.js';
export * from './own.js';
