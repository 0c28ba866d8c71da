import { said, type Part } from '../said';

/** What AddPlace says. */
export const addAPlace = 'Add a place';
export const fromTheUsualPlacesAnother = 'From the usual places, another bike’s, or your own';
export const yourOwnMeasureIt = 'Your own: measure it';
export const allOf = (name: Part) => said`All of ${name}`;
export const addPlaces = (rows: Part) => said`add ${rows} places`;
