import { said, type Part } from '../said';

/** What FrontierChart says. */
export const weightOfTheKitAgainst = 'Weight of the kit against what it saves';
export const eurosSaved = 'euros saved';
export const hoursSaved = 'hours saved';
export const kitKilograms = 'kit, kilograms';
export const saved = (saved: Part) => said`${saved} saved`;
export const provenBest = 'proven best';
export const atMostFromProven = (gap: Part) => said`at most ${gap} from proven`;
export const weightOfTheBestKit = 'Weight of the kit';
export const weightLimitOfTheKit = 'Weight limit of the kit';
export const saved2 = (limit: Part, saved: Part) => said`${limit}, ${saved} saved`;
export const levelSaves = (name: Part, mass: Part, saved: Part) => said`${name}, ${mass}: ${saved} saved`;
