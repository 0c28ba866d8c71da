export * from './fields.js';
export * from './garage.js';
export * from './file.js';
export { rowTo2 } from './upgrade.js';
