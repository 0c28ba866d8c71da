import { said, type Part } from '../said';

/** What PlaceSection says. */
export const room = (name: Part, room: Part) => said`${name}, room: ${room}`;
export const weight = (name: Part, weight: Part) => said`${name}, weight: ${weight}`;
export const change = (name: Part) => said`Change ${name}`;
export const change2 = 'change';
export const slotsOf = (name: Part) => said`Slots of ${name}`;
export const onePieceASlotIts = 'one item per slot, no wider and no longer than the slot';
export const slotsOf2 = (count: Part, width: Part, it: Part, unit: Part) =>
  said`${count} slots of ${width} × ${it} ${unit}`;
export const measuresAreYours = 'you entered the measures';
export const roomIn = (name: Part) => said`Room in ${name}`;
export const n4Bore2Length = 'π/4 × bore² × length';
export const lengthWidthHeight = 'length × width × height';
export const fillWhatClothesAndFood = (kind: Part) =>
  said`${kind} × usable share − what clothes and food take; soft goods count at 0.8 of their volume. Rigid items are also laid out one by one, to check that they fit`;
export const clothesAndFood = 'clothes and food';
export const fill065ForOdd =
  'usable share 0.65 for odd tools and 0.8 for soft goods: typical values; you entered the measures';
export const weightIn = (name: Part) => said`Weight in ${name}`;
export const whatItsMountBearsOn =
  'what its mount is rated for, on tracks the lower figure, less the clothes and food there';
export const mountBears = 'mount rated for';
export const onTracks = 'on tracks';
export const theSame = 'the same';
export const thisTripRidesTracks = 'this trip rides tracks';
export const limitsOfTheUsualPlaces =
  'limits of the usual places are typical values. Those of the maker of rack or bag come first.';
export const staysOnTheBike = 'stays on the bike';
export const leavesWithTheLuggage = 'leaves with the luggage';
export const nextToWiring = 'next to wiring';
export const onTheRack = 'on the rack';
export const slotsTaken = (taken: Part, slots: Part) => said`${taken}/${slots} slots`;
export const taken = (number: Part) => said`${number} taken`;
export const inside = 'inside';
export const usableShare = 'usable share';
export const yes = 'yes';
export const no = 'no';
export const dry = 'dry';
export const lockable = 'lockable';
export const hot = 'hot';
export const longest = (length: Part) => said`longest ${length}`;
