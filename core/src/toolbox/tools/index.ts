export * from './piece.js';
export * from './proportions.js';
export * from './catalogue.js';
export * from './shelf.js';
export * from './sets.js';
export * from './usable.js';
export * from './offer.js';
