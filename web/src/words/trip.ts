import type { Company, Length, Remoteness } from '@necessaire/core';

interface Choice<K extends string> {
  ask: string;
  of: Readonly<Record<K, { title: string; says: string }>>;
}
/** A trip in three questions. */
export const THREE: { length: Choice<Length>; remoteness: Choice<Remoteness>; company: Choice<Company> } = {
  length: {
    ask: 'How long?',
    of: {
      afternoon: { title: 'An afternoon', says: 'half a day' },
      day: { title: 'A day', says: 'out and home' },
      weekend: { title: 'A weekend', says: 'two days, one night' },
      week: { title: 'A week', says: 'seven days' },
      months: { title: 'Months', says: 'sixty days' },
    },
  },
  remoteness: {
    ask: 'How far from help?',
    of: {
      town: { title: 'Near towns', says: 'people within 2 km, phone works' },
      farms: { title: 'Farms and villages', says: 'people within 5 km, phone works' },
      hills: { title: 'Hills and forest', says: 'people within 12 km, no phone at the worst point' },
      nobody: { title: 'Where nobody lives', says: 'people 35 km away, no phone, nobody fetches you' },
    },
  },
  company: {
    ask: 'With whom?',
    of: {
      alone: { title: 'Alone', says: 'you carry and repair everything' },
      some: { title: 'With a friend or two', says: 'somebody can fetch help' },
      group: { title: 'In a group', says: 'six bikes' },
    },
  },
};
