export * from './table.js';
export * from './fasteners.js';
