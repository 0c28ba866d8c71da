export * from './way.js';
export * from './pace.js';
export * from './minutes.js';
export * from './wheel.js';
export * from './drill.js';
export * from './ownMinutes.js';
export * from './shared.js';
export * from './trouble.js';
export * from './known.js';
export { type FaultTree, type Test } from './faultTree.js';
export * from './faultSearches.js';
export * from './faultOrder.js';
export * from './prevention.js';
export * from './own.js';
export * from './rates.js';
/** Cautions that several repairs and checks share. */
export * as CAUTIONS from './words.js';
