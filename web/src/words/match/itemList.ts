/** What ItemList says. */
export const addAList = 'Add a list';
export const aNoteAMessageA =
  'Paste a note, a message or a shop’s list: one item per line, or separated by commas. Tools go into the toolbox, spares and supplies to the spares.';
