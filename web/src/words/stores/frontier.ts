/** What frontier says. */
export const aPieceToBuy = 'a piece to buy';
