export * from './kit.js';
export * from './weighs.js';
