export * from './kit.js';
