export { undo } from '../verbs';

/** What NoticeLine says. */
