/** What ItemList says. */
export const addAList = 'Add a list';
export const aNoteAMessageA =
  'A note, a message, a shop’s list: one thing a line, or parted by commas. Tools go into the toolbox, spares and supplies to the spares.';
