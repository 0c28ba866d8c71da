import type { Trip } from '../trip/index.js';

/** Hours at a shop, the search for a part in them. Typical value. */
export const AT_SHOP = 0.5;

/**
 * Hours in which a companion rides from the trouble to a workshop and back with what is missing, on average over where it happens.
 * @param workshopKm one way, km
 * @returns h
 */
export const fetchHours = (trip: Pick<Trip, 'speeds'>, workshopKm: number): number =>
  (2 * workshopKm) / trip.speeds.companionRiding + AT_SHOP;
