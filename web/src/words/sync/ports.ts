/** What ports says. */
export const theServerDidNotAnswer =
  'The server did not answer as it should. Your changes are stored here and will be sent again.';
