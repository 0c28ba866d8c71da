/** What MassStrip says. */
export const massOfEachItem = 'Mass of each item';
export const turnsHeadsThatNothingElse = 'turns heads that nothing else here does';
export const forWhatItDoes = 'for what it does';
export const sparesAreaIsMassPress = 'spares. Area is mass; press an item to see what is lost without it.';
