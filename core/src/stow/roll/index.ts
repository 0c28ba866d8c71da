export * from './silhouette.js';
export * from './layout.js';
export * from './svg.js';
