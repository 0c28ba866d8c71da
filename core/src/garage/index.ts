export * from './fields.js';
export * from './garage.js';
export * from './file.js';
export { garageTo2, garageTo3, rowTo2, rowTo3 } from './upgrade.js';
