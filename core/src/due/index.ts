export * from './due.js';
