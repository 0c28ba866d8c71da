export { save } from '../verbs';

/** What SaveWhat says. */
export const costOfAnHourLost = 'Cost of an hour lost';
export const costOfRecovery = 'Cost of recovery';
export const hours = 'hours';
export const money = 'money';
