/** What TripItems says. */
export const changeTheTrip = 'Change the trip …';
