/** What the trip's worker says. */
export const noTwoPoints = 'there are not two points apart in it: choose a file with a track or a route';
