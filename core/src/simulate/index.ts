export * from './simulate.js';
