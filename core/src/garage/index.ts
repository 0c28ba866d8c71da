export * from './fields.js';
export * from './garage.js';
export * from './file.js';
