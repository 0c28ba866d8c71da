export * from './seeking.js';
export * from './waysNow.js';
export * from './instead.js';
export * from './whereNow.js';
export * from './happened.js';
export * from './reviewed.js';
export * from './review.js';
export { CARD_LINE, cardWritten, EMPTY_CARD, roadCardSchema, type RoadCard } from './card.js';
