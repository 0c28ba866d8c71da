import { said, type Part } from '../said';
export { cancel, save } from '../verbs';

/** What CurrencyDialog says. */
export const currency = 'Currency';
export const typicalPricesAreInEuros =
  'Typical prices are in euros, and yours are stored in euros. Choose here what this device shows them in. When you type a tool in one line, give its price in euros.';
export const showMoneyIn = 'Show money in';
export const oneEuroIsHowMany = (code: Part) => said`One euro is how many ${code}`;
export const enterANumberFromTo = (leastRate: Part, mostRate: Part) =>
  said`Enter a number from ${leastRate} to ${mostRate}.`;
