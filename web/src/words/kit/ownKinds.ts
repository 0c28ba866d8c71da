import { said, type Part } from '../said';
export { cancel, deleteIt, edit, save } from '../verbs';

/** What OwnKinds says. */
export const yourOwnKindsOfSpare = 'Your own kinds of spare';
export const mustMatchTheBike = ', must match the bike';
export const ownedTakeItsStockOut = 'owned: take its stock out before you delete it';
export const takeOut = (name: Part) => said`take out ${name}`;
export const aSpareThatIsIn =
  'A spare that is in no list: name it, then own repairs can use it up as <its name>, and it can be marked “always”.';
export const addAKind = 'Add a kind';
export const nameOfTheSpare = 'Name of the spare';
export const oneIsCalled = 'One is called';
export const oneWeighs = 'One weighs';
export const length = 'Length';
export const width = 'Width';
export const height = 'Height';
export const price = 'Price';
export const itIs = 'It is';
export const itMustMatchTheBike = 'It must match the bike';
export const thereIsAKindOf = 'There is a kind of this name: choose another name.';
export const addTheSpare = (name: Part) => said`add the spare ${name}`;
export const massOfOne = (mass: Part, unit: Part) => said`${mass} a ${unit}`;
