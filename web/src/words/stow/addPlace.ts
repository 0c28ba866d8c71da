import { said, type Part } from '../said';

/** What AddPlace says. */
export const addAPlace = 'Add a place';
export const fromTheUsualPlacesAnother = 'A usual place, one of another bike, or your own';
export const yourOwnMeasureIt = 'Your own place: measure it';
export const allOf = (name: Part) => said`All of ${name}`;
export const addPlaces = (rows: Part) => said`add ${rows} places`;
