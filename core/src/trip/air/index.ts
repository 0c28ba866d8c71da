export * from './air.js';
