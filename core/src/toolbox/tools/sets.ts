import { under } from '../../ground/numbers.js';
import { catalogue } from '../kinds/index.js';
import type { PieceModel } from './piece.js';

/** Pieces that are sold together for less than one by one, with a case that stays at home. */
export interface ToolSet {
  name: string;
  /** Pieces by their names in the catalogue. */
  holds: string[];
  /** Price of the whole, euros. Planning value; nothing for what came with the bike. */
  price: number;
  /** Whether it comes with a bike and cannot be bought. */
  supplied: boolean;
}

/** What a set costs of its pieces bought singly, and what its case does. Planning values. */
const SHARE = 0.55;
const CASE = 4;
const MOST_SHARE = 0.85;

const list = (prefix: string, sizes: string, suffix = '') => sizes.split(' ').map((s) => `${prefix} ${s}${suffix}`);
const socketsOf = (drive: string, sizes: string, deep = false) =>
  sizes.split(' ').map((s) => `Socket ${drive} in, ${s}${deep ? ' deep' : ''}`);
const L = 'L-key';

const CONTENTS: Record<string, string[]> = {
  'Combination spanners 8 to 17, six': list('Combination spanner', '8 10 12 13 14 17'),
  'Combination spanners 8 to 19, eight': list('Combination spanner', '8 10 11 12 13 14 17 19'),
  'Combination spanners 6 to 24, sixteen': list('Combination spanner', '6 7 8 9 10 11 12 13 14 15 16 17 18 19 22 24'),
  'Combination spanners, inch, seven': list('Combination spanner', '¼ ⅜ 7⁄16 ½ 9⁄16 ⅝ ¾', ' in'),
  'Combination spanners, large, five': list('Combination spanner', '22 24 27 30 32'),
  'Ring spanners, double, six': list('Ring spanner', '6_7 8_9 10_11 12_13 14_15 16_17').map((n) =>
    n.replace('_', ' and '),
  ),
  'Ring spanners, double, travel four': list('Ring spanner', '8_10 12_13 14_17 19_22').map((n) =>
    n.replace('_', ' and '),
  ),
  'Open spanners, double, eight': list('Open spanner', '6_7 8_9 10_11 12_13 14_15 16_17 18_19 20_22').map((n) =>
    n.replace('_', ' and '),
  ),
  'Socket set ¼ in, ten sockets': [
    'Ratchet ¼ in',
    'Extension ¼ in, 50 mm',
    ...socketsOf('¼', '5.5 6 7 8 9 10 11 12 13 14'),
  ],
  'Socket set ¼ in with bits': [
    'Ratchet ¼ in',
    'Extension ¼ in, 50 mm',
    'Extension ¼ in, 100 mm',
    'Bit holder ¼ in',
    'Swivel joint ¼ in',
    ...socketsOf('¼', '5.5 6 7 8 10 12 13'),
    ...list('Bit', 'T10 T15 T20 T25 T27 T30 T40 PH1 PH2 PH3'),
    ...list('Bit inside hex', '3 4 5 6'),
  ],
  'Deep sockets ¼ in, eight': socketsOf('¼', '6 7 8 9 10 11 12 13', true),
  'Socket set ⅜ in, twelve sockets': [
    'Ratchet ⅜ in',
    'Extension ⅜ in, 75 mm',
    'Extension ⅜ in, 150 mm',
    ...socketsOf('⅜', '8 9 10 11 12 13 14 15 16 17 18 19'),
  ],
  'Socket set ⅜ in, travel': [
    'Ratchet ⅜ in',
    'Extension ⅜ in, 75 mm',
    'Adapter ⅜ in to ¼ in',
    ...socketsOf('⅜', '10 12 13 14 17 19'),
  ],
  'Deep sockets ⅜ in, eight': socketsOf('⅜', '10 11 12 13 14 15 17 19', true),
  'Sockets ⅜ in, inch, eight': socketsOf('⅜', '5⁄16 ⅜ 7⁄16 ½ 9⁄16 ⅝ 11⁄16 ¾').map((n) => `${n} in`),
  'Socket set ½ in, axles': ['Plain bar ½ in, 380 mm', 'Adapter ½ in to ⅜ in', ...socketsOf('½', '19 22 24 27 30 32')],
  'Inside-hex bit sockets ⅜ in, seven': list('Bit socket ⅜ in, inside hex', '4 5 6 7 8 10 12'),
  'Inside-hex bit sockets ½ in, axles': list('Bit socket ½ in, inside hex', '12 14 17 19 22'),
  'Six-lobe bit sockets ⅜ in, seven': list('Bit socket ⅜ in,', 'T25 T27 T30 T40 T45 T50 T55'),
  'Outside six-lobe sockets ⅜ in, six': list('Bit socket ⅜ in,', 'E7 E8 E10 E11 E12 E14'),
  'L-keys, nine': list(L, '1.5 2 2.5 3 4 5 6 8 10'),
  'L-keys, inch, seven': list(L, '5⁄64 3⁄32 ⅛ 5⁄32 3⁄16 ¼ 5⁄16', ' in'),
  'L-keys, six-lobe, eight': list(L, 'T10 T15 T20 T25 T27 T30 T40 T45'),
  'T-keys, inside hex, four': list('T-key inside hex', '4 5 6 8', ', 200 mm'),
  'T-keys, hex, four': list('T-key', '8 10 12 13', ', 200 mm'),
  'Bits, six-lobe, nine': list('Bit', 'T8 T10 T15 T20 T25 T27 T30 T40 T45'),
  'Bits, pinned six-lobe, seven': list('Bit pinned', 'T10 T15 T20 T25 T27 T30 T40'),
  'Bits, cross and slot, eight': [...list('Bit', 'PH0 PH1 PH2 PH3'), ...list('Bit slot', '4 5.5 6 8')],
  'Screwdrivers, six': [
    ...list('Screwdriver', 'PH1 PH2', ', 100 mm'),
    ...list('Screwdriver slot', '4 5.5 6 8', ', 100 mm'),
  ],
  'Japanese-cross drivers, three': list('Screwdriver Japanese cross', '1 2 3', ', 100 mm'),
  'Tyre levers, three': ['Tyre lever', 'Tyre lever', 'Tyre lever, alloy'],
};

/** What comes under the seat of a new bike: poor, but with odd pieces that little else replaces. */
const SUPPLIED: Record<string, string[]> = {
  'Maker’s kit, one cylinder': [
    'Plug spanner 16',
    'Hook spanner 45',
    'Screwdriver PH2, 100 mm',
    ...list('Open spanner', '8_10 12_14').map((n) => n.replace('_', ' and ')),
    ...list(L, '4 5 6'),
  ],
  'Maker’s kit, two cylinders': [
    'Plug spanner 16',
    'Hook spanner 45',
    'Screwdriver PH2, 100 mm',
    ...list('Open spanner', '8_10 10_12 14_17').map((n) => n.replace('_', ' and ')),
    ...list(L, '4 5 6 8'),
  ],
};

let made: ToolSet[] | null = null;
/**
 * Sets of generic pieces, each for about half of what its pieces cost singly.
 * @throws Error when a set names a piece that the catalogue does not have: a fault of the table
 */
export function toolSets(): ToolSet[] {
  if (made) return made;
  const byName = new Map(catalogue().map((m) => [m.name, m]));
  made = [...Object.entries(CONTENTS), ...Object.entries(SUPPLIED)].map(([name, holds]) => {
    const singles = holds.map((h) => {
      const model = byName.get(h);
      if (!model) throw new Error(`set "${name}": the catalogue has no "${h}"`);
      return model;
    });
    const alone = singles.reduce((s, m) => s + m.price, 0);
    const price = Math.round(Math.min(alone * MOST_SHARE, alone * SHARE + CASE) * 10) / 10;
    const supplied = name in SUPPLIED;
    return { name, holds, price: supplied ? 0 : price, supplied };
  });
  return made;
}

/** The models of a set's pieces, in its order. */
export function setModels(set: ToolSet): PieceModel[] {
  const byName = new Map(catalogue().map((m) => [m.name, m]));
  return set.holds.map((h) => (set.supplied ? { ...under(byName, h), price: 0 } : under(byName, h)));
}
