export * from './trip.js';
export * from './stranded.js';
