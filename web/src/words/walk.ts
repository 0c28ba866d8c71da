/** Which rows Walk shows, by their codes. */
export const ONLY_WORDS = {
  all: 'all',
  'only assumed': 'only assumed',
  'out of reach': 'out of reach',
  accessories: 'accessories',
  inch: 'inch',
  'shakes loose': 'shakes loose',
  'left out': 'left out',
} as const;
/** In which order, by their codes. */
export const SORT_WORDS = {
  'round the bike': 'round the bike',
  'by size': 'by size',
  'by torque': 'by torque',
  'by evidence': 'by evidence',
  'by name': 'by name',
} as const;
