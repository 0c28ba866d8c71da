/** What RoadView says. */
export const whatIsWrong = 'What is wrong?';
export const backToTheRoad = 'Back to the road';
export const beginAgain = 'Begin again';
export const writeItDown = 'Log something';
export const whereAmIWhomTo = 'Where am I, whom to call';
export const addABikeFirst = 'Add a bike first.';
export const sayItInAWord = 'What happened, in a word or two';
export const flatWillNotStartLeaks = 'flat, will not start, leaks';
export const firstGetOutOfDanger =
  'First get out of danger, then think. If anybody may be badly hurt, call the local emergency number. The maker’s manual and local law come first.';
export const theDay = 'The day';
export const whatYouSee = 'What you see, hear or smell';
