/** What garages says. */
export const theServerIsFarAway = 'The server is far away.';
export const myGarage = 'My garage';
