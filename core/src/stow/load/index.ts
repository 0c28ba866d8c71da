export * from './rider.js';
export * from './loadIndex.js';
export * from './load.js';
export * from './warnings.js';
