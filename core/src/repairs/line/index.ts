export { readItems, itemsComplete, type ItemContext, type ItemReading, type ReadItem, type ReadSpare } from './read.js';
