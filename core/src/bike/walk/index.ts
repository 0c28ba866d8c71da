export * from './looks.js';
export * from './guide.js';
export * from './answered.js';
export * from './copy.js';
