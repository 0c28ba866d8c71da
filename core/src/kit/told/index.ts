export { kitFrom } from './kitFrom.js';
