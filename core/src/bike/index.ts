export * from './stations.js';
export * from './bike.js';
export * from './fastener.js';
export * from './torque.js';
export * from './jobs.js';
export * from './entryLine.js';
export * from './evidence.js';
export * from './sizePrior.js';
