export { close } from '../verbs';

/** What ExplainPanel says. */
export const explanation = 'Explanation';
export const howThisIsCalculated = 'How this is calculated';
export const whatIsMissing = 'What is missing';
export const from = 'From';
export const source = 'Source';
