export * from './garage.js';
