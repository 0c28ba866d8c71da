/** What GamesSheet says. */
export const whichGame = 'Which game';
export const whoPlays = 'Who plays';
export const findIt = 'Find it';
export const sizeIt = 'Size it';
export const findTheFault = 'Find the fault';
