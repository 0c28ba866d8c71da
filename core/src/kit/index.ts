export * from './needs.js';
export * from './doubles.js';
export * from './toolCase.js';
export * from './kit.js';
export * from './ownSets.js';
export * from './weighs.js';
export * from './manyBikes.js';
export * from './buyList.js';
