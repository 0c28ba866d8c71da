/** What ChecksPart says. */
export const bags = 'Bags';
export const theKit = 'The kit';
export const atTheTable = 'At the table';
export const beforeLeaving = 'Before leaving';
export const eachEveningAndByDistance = 'Each evening, and by distance';
export const done = 'done';
