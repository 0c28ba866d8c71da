/** What AlertBar says. */
export const thisBrowserDoesNotStore =
  'This browser does not store what is not sent yet: leave this page open until all is saved, or free some space.';
export const thisBrowserMayClearWhat =
  'This browser may clear what is not sent yet when it runs short of room. Add Necessaire to the home screen, or leave it open until all is sent.';
export const hardlyAnyRoomIsLeft =
  'Hardly any room is left in this browser: free some before you ride, or your changes may not be kept.';
