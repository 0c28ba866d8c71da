export * from '../../ground/csv/table.js';
export * from './rows.js';
export * from './fasteners.js';
export * from './pieces.js';
export * from './rides.js';
export * from './room.js';
