export { close } from '../verbs';

/** What KeysDialog says. */
export const keyboardShortcuts = 'Keyboard shortcuts';
