import { said, type Part } from '../said';

/** What MissingList says. */
export const toBuy = 'To buy';
export const allOfItIsIn = 'All of it is in the toolbox.';
export const iOwn = (name: Part) => said`I own ${name}`;
export const iOwnIt = 'I own it';
export const pricesAreTypicalValues = 'Prices are typical values.';
export const weighsSingleToolsAgainstSets = 'weighs single tools against sets.';
export const match = 'Match';
