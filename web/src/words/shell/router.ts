/** What router says. */
export const walk = 'Walk';
export const match = 'Match';
export const trip = 'Trip';
export const kit = 'Kit';
export const stow = 'Stow';
export const crew = 'Crew';
export const prove = 'Prove';
export const road = 'Road';
export const print = 'Print';
export const buyList = 'Buy list';
export const rollAt11 = 'Roll at 1 : 1';
export const checks = 'Checks';
export const pocketCard = 'Pocket card';
export const repairs = 'Repairs';
export const tripBook = 'Trip book';
export const lists = 'Lists';
export const thisPageCouldNotBe =
  'This page could not be loaded: the server is not reachable. Your changes are safe. Try again later.';
