import { said, type Part } from '../said';

/** What drilling says. */
export const whatTheDrillShowed = (way: Part) => said`what the drill showed: ${way}`;
