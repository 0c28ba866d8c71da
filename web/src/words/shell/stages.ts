import { said, type Part } from '../said';

/** What stages says. */
export const walk = 'Walk';
export const match = 'Match';
export const trip = 'Trip';
export const kit = 'Kit';
export const stow = 'Stow';
export const allIn = 'all in';
export const crew = 'Crew';
export const notNamed = 'unnamed';
export const prove = 'Prove';
export const road = 'Road';
export const none = 'none';
export const watch = (watching: Part) => said`watch ${watching}`;
export const ready = 'ready';
