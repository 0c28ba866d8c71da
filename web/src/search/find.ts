/** Something that a search can lead to: what it is called, other words for it, and the answer that is shown at once. */
export interface Entry {
  key: string;
  /** What it is, in a word: problem, repair, item, fastener, place, page, setting, bike. */
  kind: string;
  name: string;
  /** The answer itself: where it lies, how heavy it is, how it is mended. */
  says: string;
  /** More words that people use for it. */
  words?: string;
}

/** Words that people type, and those that the product uses. Each leads to the other's entries. */
const SAME: readonly (readonly string[])[] = [
  ['flat', 'puncture', 'tyre', 'tire', 'tube'],
  ['wrench', 'spanner'],
  ['plug', 'plug string', 'pin plug', 'spark plug'],
  ['hex key', 'inside hex', 'l-key'],
  ['star', 'six-lobe'],
  ['petrol', 'gas', 'gasoline', 'fuel'],
  ['companion', 'group', 'share', 'friend', 'ride along'],
  ['battery', 'jump', 'start'],
  ['print', 'paper', 'list'],
  ['weight', 'mass', 'grams', 'heavy'],
  ['settings', 'preferences', 'options', 'units', 'theme'],
  ['pressure', 'air', 'pump', 'inflate'],
  ['backup', 'export', 'file', 'download'],
  ['torch', 'light', 'lamp', 'headlamp'],
  ['first aid', 'injury', 'hurt', 'bandage', 'dressing'],
  ['lost', 'missing', 'where'],
  ['zip tie', 'cable tie'],
  ['tape', 'duct tape', 'cloth tape'],
];

const plain = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll(/[^\p{L}\p{N}/.]+/gu, ' ')
    .trim();
const begins = (text: string, word: string) => text.startsWith(word) || text.includes(` ${word}`);

/** How well one word of a question fits an entry; 0 where it does not. */
function fits(entry: { name: string; rest: string }, word: string): number {
  if (entry.name === word) return 12;
  if (entry.name.startsWith(word)) return 9;
  if (begins(entry.name, word)) return 7;
  if (begins(entry.rest, word)) return 4;
  const same = SAME.find((group) => group.some((g) => g === word || (word.length > 3 && begins(g, word))));
  if (same?.some((g) => begins(entry.name, g))) return 3;
  if (same?.some((g) => begins(entry.rest, g))) return 2;
  return 0;
}

/**
 * The entries that a question means, the best first. Every word must fit, as the beginning of a word of the entry or by a word of the same
 * meaning; the whole question as typed counts most.
 * @param most how many at most
 */
export function findEntries<E extends Entry>(entries: readonly E[], question: string, most = 12): E[] {
  const asked = plain(question);
  if (!asked) return [];
  const words = asked.split(' ');
  return entries
    .flatMap((entry, at) => {
      const read = { name: plain(entry.name), rest: plain(`${entry.kind} ${entry.words ?? ''} ${entry.says}`) };
      const points = words.map((w) => fits(read, w));
      if (points.includes(0)) return fits(read, asked) > 0 ? [{ entry, at, points: fits(read, asked) }] : [];
      return [
        { entry, at, points: points.reduce((a, b) => a + b, 0) / words.length + (read.name.startsWith(asked) ? 2 : 0) },
      ];
    })
    .sort((a, b) => b.points - a.points || a.at - b.at)
    .slice(0, most)
    .map((x) => x.entry);
}
