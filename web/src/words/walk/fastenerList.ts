import { said, type Part } from '../said';

/** What FastenerList says. */
export const addAListOfFasteners = 'Add a list of fasteners';
export const oneFastenerALineIts = 'One fastener per line: its size and name, then torque, count, thread and far end.';
export const addFasteners = (rows: Part) => said`add ${rows} fasteners`;
export const fastenersAdded = (rows: Part) => said`${rows} fasteners added.`;
