/** Quantities as shown: metric or inch, alone and inside sentences. */
export * from './figures.js';
export * from './saying.js';
