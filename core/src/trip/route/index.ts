export * from './geo.js';
export * from './gpx.js';
export * from './route.js';
export * from './help.js';
export * from './sections.js';
