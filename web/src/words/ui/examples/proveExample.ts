/** What ProveExample says. */
export const n38Proven = '38 % proven';
export const puncture = 'Puncture';
export const brakeLeverBroken = 'Brake lever broken';
export const batteryFlat = 'Battery flat';
export const chainOff = 'Chain off';
