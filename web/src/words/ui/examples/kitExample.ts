/** What KitExample says. */
export const hours = 'hours';
export const n24KgSaves7 = '2.4 kg saves 7.6 h: enough';
export const weight = 'weight';
