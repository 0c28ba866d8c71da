/** What AlertBar says. */
export const thisBrowserDoesNotStore =
  'This browser cannot store unsent changes. Leave this page open until all is saved, or free some space.';
export const thisBrowserMayClearWhat =
  'This browser may delete unsent changes when it runs out of space. Add Necessaire to the home screen, or leave it open until all is saved.';
export const hardlyAnyRoomIsLeft =
  'This browser has hardly any space left. Free some before you ride, or your changes may be lost.';
