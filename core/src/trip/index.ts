export * from './kitQuestion.js';
export * from './trip.js';
export type { TripRows } from './rows.js';
export * from './ride.js';
export * from './stranded.js';
export * from './threeAnswers.js';
