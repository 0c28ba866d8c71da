import { said, type Part } from '../said';

/** What UnderWay says. */
export const aRepairIsUnderWay = 'A repair is under way:';
export const step = (open: Part) => said`, step ${open}.`;
export const goOn = 'Go on';
