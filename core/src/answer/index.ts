export * from './answer.js';
