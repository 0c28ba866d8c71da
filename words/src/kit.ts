import {
  printShape,
  STATION_NAMES,
  type Bike,
  type KitPiece,
  type KitSpare,
  type LackFact,
  type NeededBy,
} from '@necessaire/core';
import { REPAIR_WORDS } from './repairs.js';
import { named } from './named.js';
import { positionWords } from './practice.js';
import { say, together, type Saying } from './saying.js';
import { wordsBy, type Having, type WordsOf } from './wordsOf.js';

const preference = ({ of, position }: Having<LackFact, 'lack.preference'>): string =>
  of === 'tubes'
    ? `tubes ${positionWords(of, position)}`
    : of === 'sparkPlug'
      ? 'no spare plug here'
      : positionWords(of, position);

/** Why a repair that was asked for cannot be had: its name, and the reasons as the others are told. */
const repair = ({ name, why }: Having<LackFact, 'lack.repair'>): Saying => say`${name}: ${listed(why)}`;
const leftAtHome = ({ tools, spares }: Having<LackFact, 'lack.left-at-home'>): Saying =>
  say`left at home: ${listed(tools)}${tools.length > 0 && spares.length > 0 ? ', ' : ''}${spares.join(', ').toLowerCase()}`;

/** What keeps a way from a kit. */
export const LACK_WORDS: WordsOf<LackFact> = {
  'lack.nobody-along': 'nobody rides along',
  'lack.no-push-start': 'this bike does not start by pushing',
  'lack.nobody-knows': 'nobody in the group has done it',
  'lack.nobody-here': 'nobody here has done it',
  'lack.grade': 'no way of that grade is known',
  'lack.head-out-of-reach': 'the head is out of reach',
  'lack.something': 'something that it takes is not in the kit',
  'sheet.chain-tool': REPAIR_WORDS['sheet.chain-tool'],
  'lack.preference': (f) => say`your preference: ${preference(f)}`,
  'lack.unmarked': ({ role }) => say`no fastener is marked as ${role}`,
  'lack.out-of-reach': ({ what }) => say`${what} is out of reach`,
  'lack.tools': ({ does, count }) => (count > 1 ? say`${count} pieces to ${does}` : say`a piece to ${does}`),
  'lack.tools-for': ({ head }) => say`tools for the ${head.toLowerCase()}`,
  'lack.stays-home': ({ spare }) => say`${spare.toLowerCase()}: stays at home by your mark`,
  'lack.unknown-spare': ({ kind }) => say`no spare is called “${kind}”: add it to the spares`,
  'lack.left-at-home': leftAtHome,
  'lack.repair': repair,
};
/** Several reasons as one list. */
const listed = (lacks: readonly LackFact[]): Saying =>
  together(
    lacks.map((f) => wordsBy(LACK_WORDS, f)),
    ', ',
  );

/** Reasons that are named before they are counted. */
const MOST_NAMED = 3;

/**
 * A fastener with what tells it from others: `axle nut (hex 27 mm, front wheel)`, and its bike where that is not the one that is shown.
 * @param bikes to name another one's
 * @param shown id of the bike that is shown
 */
export function neededWords(n: NeededBy, bikes: readonly Pick<Bike, 'id' | 'name'>[], shown: string | null): string {
  const bike = n.bikeId === shown ? undefined : bikes.find((b) => b.id === n.bikeId);
  const sizes = [...new Set(n.heads.map(printShape))].join(' and ');
  const where = STATION_NAMES[n.station].toLowerCase();
  return `${n.name} (${sizes}, ${where}${bike ? ` of ${bike.name}` : ''})`;
}

/** Why a piece is in the kit, in one line: the same on the screen, on paper and on the command line. */
export function reasonOf(p: KitPiece, bikes: readonly Pick<Bike, 'id' | 'name'>[], shown: string | null): string {
  const parts: string[] = [];
  const [first] = p.neededBy;
  if (first)
    parts.push(
      p.neededBy.length === 1
        ? `only for ${neededWords(first, bikes, shown)}`
        : `${p.neededBy.length} fasteners need it`,
    );
  if (p.serves.length > 0)
    parts.push(
      `for ${named(
        p.serves.map((t) => t.name.toLowerCase()),
        MOST_NAMED,
      )}`,
    );
  if (p.piece.mark === 'always' || p.piece.mark === 'twice') parts.push(`you marked it ${p.piece.mark}`);
  if (p.standsInFor.length > 0)
    parts.push(
      p.standsInFor.every((name) => name === p.piece.name)
        ? 'a second one, should one be lost or break'
        : `stands in for ${p.standsInFor.join(', ')}, should it be lost or break`,
    );
  return parts.join(' · ') || 'backs up another tool';
}

/** How many of a spare there are and why, for whoever asks where the figure comes from. */
export function spareReason(s: Pick<KitSpare, 'for' | 'enough' | 'always' | 'fitted'>): string {
  const each = s.for.map(
    (x) => `${x.trouble}: ${x.mends} ${x.mends === 1 ? 'repair' : 'repairs'} × ${x.units}, Λ ${x.mean.toFixed(3)}`,
  );
  return [
    each.join('; '),
    s.for.length > 0 ? `. They suffice on ${(100 * s.enough).toFixed(1)} % of trips.` : '',
    s.always > 0 ? ` ${s.always} of it ${s.always === 1 ? 'is' : 'are'} always packed.` : '',
    s.fitted > 0 ? ` ${s.fitted} of it sits on the bike.` : '',
  ].join('');
}
