/** What CrewExample says. */
export const you = 'You';
export const handPump = 'Hand pump';
export const tyreLevers = 'Tyre levers';
export const socketSet = 'Socket set';
export const ada = 'Ada';
export const tube21In = 'Tube 21 in';
export const chainTool = 'Chain tool';
export const firstAid = 'First aid';
export const tom = 'Tom';
export const patches = 'Patches';
export const waterBag = 'Water bag';
