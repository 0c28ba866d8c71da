export * from './kit.js';
export * from './weighs.js';
export * from './manyBikes.js';
export * from './buyList.js';
