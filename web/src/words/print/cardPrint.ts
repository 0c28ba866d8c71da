/** What CardPrint says. */
export const pocketCard = 'Pocket card';
export const cutAlongTheOuterLine = 'Cut along the outer line and fold it. Write the emergency lines by hand.';
