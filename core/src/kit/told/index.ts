export { kitFrom } from './kitFrom.js';
export { whyHome, type AtHome } from './whyHome.js';
