import { said, type Part } from '../said';

/** What BoxPicture says. */
export const inside = (what: Part) => said`Inside ${what}`;
export const itDoesNotGoIn = 'It does not go in.';
export const theseDoNotFitTogether = (name: Part) => said`These do not fit together. Leave out one of: ${name}.`;
export const tiedAlongItLongSide = 'Tied along the bike. Ties wear through: check them each evening.';
export const nothingLiesHere = 'Nothing is packed here.';
export const with2 = (key: Part) => said`with ${key}`;
export const inTheRoomThatIs = (name: Part) => said`In the space that is left: ${name}.`;
export const clothesAndFoodTakeOf = (amount: Part) =>
  said`Clothes and food already take ${amount} of it, and lie around the items.`;
export const fromAbove = 'from above';
export const fromTheSide = 'from the side';
