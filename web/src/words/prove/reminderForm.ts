export { add, cancel } from '../verbs';

/** What ReminderForm says. */
export const addACheckOfYour = 'Add a check of your own';
export const whatToLookAt = 'What to look at';
export const how = 'How';
export const when = 'When';
export const every = 'Every';
export const date = 'Date';
export const where = 'Where';
export const notOnTheBike = 'not on the bike';
