export * from './fields.js';
export * from './garage.js';
export * from './file.js';
export { garageTo2, rowTo2 } from './upgrade.js';
