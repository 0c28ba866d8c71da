/** Quantities as shown, metric or inch. */
export * from './figures.js';
