/** What GradeMark says. */
export const noRepair = 'no repair';
