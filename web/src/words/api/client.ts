/** What client says. */
export const serverNotReachableYourChanges =
  'Server not reachable. Your changes are stored here and will be sent when it is back.';
export const somethingBetweenHereAndThe =
  'Something else answers in place of the server, such as a sign-in page. Your changes are stored here and will be sent later.';
export const theServerDidNotAnswer =
  'The server did not answer as it should. Your changes are stored here and will be sent again.';
