import { said, type Part } from '../said';

/** What BoxPicture says. */
export const inside = (toLowerCase: Part) => said`Inside ${toLowerCase}`;
export const itDoesNotGoIn = 'It does not go in.';
export const theseDoNotFitTogether = (nameOf: Part) => said`These do not fit together. Leave out one of: ${nameOf}.`;
export const tiedAlongItLongSide =
  'Tied along it, long side with the bike: look at the ties each evening, they wear through.';
export const nothingLiesHere = 'Nothing lies here.';
export const with2 = (key: Part) => said`with ${key}`;
export const inTheRoomThatIs = (name: Part) => said`In the room that is left: ${name}.`;
export const clothesAndFoodTakeOf = (withUnit: Part) =>
  said`Clothes and food take ${withUnit} of it already, and lie round the items.`;
export const fromAbove = 'from above';
export const fromTheSide = 'from the side';
