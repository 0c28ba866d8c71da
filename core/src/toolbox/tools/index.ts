export * from './piece.js';
export * from './proportions.js';
export * from '../kinds/index.js';
export * from './sets.js';
export * from './usable.js';
export * from './offer.js';
