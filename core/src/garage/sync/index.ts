export * from './change.js';
export * from './exchange.js';
export * from './outbox.js';
export * from './session.js';
