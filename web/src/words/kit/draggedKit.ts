/** What DraggedKit says. */
export const withThisLimit = 'With this limit';
export const toBuy = 'to buy';
