export * from './fields.js';
export * from './garage.js';
export * from './file.js';
export { garageTo2, garageTo3, garageTo4, rowTo2, rowTo3, rowTo4 } from './upgrade.js';
