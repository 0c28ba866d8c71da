import { said, type Part } from '../said';

/** What BoxPicture says. */
export const inside = (what: Part) => said`Inside ${what}`;
export const itDoesNotGoIn = 'It does not go in.';
export const theseDoNotFitTogether = (name: Part) => said`These do not fit together. Leave out one of: ${name}.`;
export const tiedAlongItLongSide =
  'Tied along it, long side with the bike: look at the ties each evening, they wear through.';
export const nothingLiesHere = 'Nothing lies here.';
export const with2 = (key: Part) => said`with ${key}`;
export const inTheRoomThatIs = (name: Part) => said`In the room that is left: ${name}.`;
export const clothesAndFoodTakeOf = (amount: Part) =>
  said`Clothes and food take ${amount} of it already, and lie round the items.`;
export const fromAbove = 'from above';
export const fromTheSide = 'from the side';
