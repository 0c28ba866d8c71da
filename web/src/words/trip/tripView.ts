/** What TripView says. */
export const whatThisRideCanDo = 'What this ride can do to this bike';
export const in2 = 'in';
export const workingOutWhatCanGo = 'Working out what can go wrong …';
export const worst = 'Worst:';
export const stranded = 'stranded';
export const withoutARepair = 'without a repair.';
export const aTripSaysWhatCan =
  'A trip shows what can go wrong and what that costs; the kit is chosen for it. Three answers are enough to begin.';
export const noLegsYetAddThe =
  'No legs yet. Add the first one under Legs, with its distance by ground, or import a GPX track under Route.';
export const legs = 'Legs';
export const route = 'Route';
export const spares = 'Spares';
export const rideLog = 'Ride log';
export const service = 'Service';
export const tyresAndAir = 'Tyres and air';
export const simulation = 'Simulation';
export const aboutTheTrip = 'About the trip';
