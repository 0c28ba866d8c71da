export * from './coverage.js';
export * from './pieceReach.js';
