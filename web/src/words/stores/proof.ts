import { said, type Part } from '../said';

/** What proof says. */
export const you = 'You';
export const whatTheDrillShowed = (way: Part) => said`what the drill showed: ${way}`;
