export { start, DEMO_ID, type Running, type StartOptions } from './start.js';
export { createApp } from './app.js';
export { connect } from './db/connect.js';
export { migrate } from './db/migrate.js';
export { pino } from 'pino';
