import { said, type Part } from '../said';
export { cancel, deleteIt, edit, save } from '../verbs';

/** What OwnKinds says. */
export const yourOwnKindsOfSpare = 'Your own kinds of spare';
export const mustMatchTheBike = ', must match the bike';
export const ownedTakeItsStockOut = 'you own some: remove them before you delete the kind';
export const takeOut = (name: Part) => said`delete ${name}`;
export const aSpareThatIsIn =
  'A spare that no list has. Name it here; then your own repairs can use it up as <its name>, and you can mark it “always”.';
export const addAKind = 'Add a kind';
export const nameOfTheSpare = 'Name of the spare';
export const oneIsCalled = 'Name of one';
export const oneWeighs = 'Mass of one';
export const length = 'Length';
export const width = 'Width';
export const height = 'Height';
export const price = 'Price';
export const itIs = 'Kind';
export const itMustMatchTheBike = 'It must match the bike';
export const thereIsAKindOf = 'There is already a kind with this name. Choose another name.';
export const addTheSpare = (name: Part) => said`add the spare ${name}`;
export const massOfOne = (mass: Part, unit: Part) => said`${mass} a ${unit}`;
export const piece = 'piece';
