/** What ReadoutPanel says. */
export const readout = 'Key figures';
export const all = 'all';
export const fewer = 'fewer';
export const asTypedNotAddedYet = 'as typed, not added yet';
export const working = 'Working…';
export const fromYourLastVisitChecking = 'From your last visit, checking…';
