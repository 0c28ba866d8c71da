/** What MassStrip says. */
export const massOfEachItem = 'Mass of each item';
export const turnsHeadsThatNothingElse = 'turns fasteners that no other tool here turns';
export const forWhatItDoes = 'for what it does';
export const sparesAreaIsMassPress = 'spares. The area shows the mass; press an item to see what you lose without it.';
