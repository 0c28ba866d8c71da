/** What MatchExample says. */
export const n15Of16Fasteners1 = '15 of 16 fasteners; 1 out of reach: hex 32';
export const buyThisToReachIt = 'Buy this to reach it: socket ½ in, 32';
