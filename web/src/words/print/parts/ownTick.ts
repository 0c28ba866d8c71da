/** What OwnTick says. */
export const withMyDetailsForAn = 'With my details for an emergency';
