export * from './poisson.js';
export * from './exposure.js';
export * from './stocks.js';
export * from './counts.js';
export * from './record.js';
export * from './ofGarage.js';
