export { kitFrom } from './kitFrom.js';
export { neededWords, reasonOf } from './reasonOf.js';
export { whyHome, type AtHome } from './whyHome.js';
