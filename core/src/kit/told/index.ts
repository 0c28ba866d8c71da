export { kitFrom } from './kitFrom.js';
export { neededWords, reasonOf } from './reasonOf.js';
