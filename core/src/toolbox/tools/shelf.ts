import { INCH_HEX, METRIC_HEX, millimetres, SIX_LOBE, SIX_LOBE_OUT, type Shape } from '../../ground/sizes/index.js';
import {
  adapter,
  axleKey,
  adjustable,
  bit,
  bitHolder,
  bitSocket,
  combinationSpanner,
  driver,
  driverHandle,
  extension,
  foldingSet,
  functional,
  handTool,
  joint,
  lKey,
  lobeKey,
  openSpanner,
  pipe,
  plainBar,
  pliers,
  plugSocket,
  plugSpanner,
  flatRatchet,
  keySet,
  ratchet,
  ringSpanner,
  socket,
  tHandle,
  thumbWheel,
  tKey,
  twelvePointSocket,
  tyreLever,
} from './catalogue.js';
import type { PieceModel } from './piece.js';

/** Sizes of a list from one to another, both included, in mm. */
const between = (list: readonly string[], from: number, to: number) =>
  list.filter((s) => millimetres(s) >= from - 1e-9 && millimetres(s) <= to + 1e-9);
const metric = (from: number, to: number) => between(METRIC_HEX, from, to);
const inch = (from: number, to: number) => between(INCH_HEX, from, to);
const both = (from: number, to: number) => [...metric(from, to), ...inch(from, to)];
const shapes = (form: Shape['form'], sizes: readonly string[]) => sizes.map((size): Shape => ({ form, size }));
const words = (text: string) => text.split(' ');

const LOBES = Object.keys(SIX_LOBE);
const KEYS = words('1.5 2 2.5 3 4 5 6 7 8 10 12 14 17 19');
const INCH_KEYS = '5/64in 3/32in 1/8in 9/64in 5/32in 3/16in 7/32in 1/4in 5/16in 3/8in'.split(' ');
const CROSSES: Shape[] = [...shapes('ph', words('0 1 2 3')), ...shapes('jis', words('0 1 2 3'))];
const SLOTS = shapes('slot', words('3 4 5.5 6 8 10'));
/** Sizes that share a double-ended spanner. */
const PAIRS = words(
  '6/7 8/9 8/10 10/11 10/12 10/13 12/13 12/14 13/15 13/17 14/15 14/17 16/17 16/18 17/19 18/19 18/21 19/22 20/22 21/23 22/24 24/27 30/32',
).map((pair) => pair.split('/') as [string, string]);
const INCH_PAIRS: [string, string][] = [
  ['1/4in', '5/16in'],
  ['11/32in', '3/8in'],
  ['3/8in', '7/16in'],
  ['7/16in', '1/2in'],
  ['1/2in', '9/16in'],
  ['9/16in', '5/8in'],
  ['5/8in', '11/16in'],
  ['3/4in', '13/16in'],
];

/**
 * The generic pieces that a shop has: from them a gap's cure is taken, sets are made up, and kits are planned that nobody owns yet.
 * Made by size from the proportions; every figure is a planning value. Names are distinct.
 */
export function catalogue(): PieceModel[] {
  return [
    ...spanners(),
    ...sockets(),
    ...bits(),
    ...keys(),
    ...drivers(),
    ...handles(),
    ...special(),
    ...forFunctions(),
  ];
}

const spanners = (): PieceModel[] => [
  ...both(5.5, 36).map(combinationSpanner),
  ...PAIRS.map(([a, b]) => ringSpanner(a, b)),
  ...PAIRS.map(([a, b]) => openSpanner(a, b)),
  ...INCH_PAIRS.map(([a, b]) => ringSpanner(a, b)),
  ...INCH_PAIRS.map(([a, b]) => openSpanner(a, b)),
  adjustable(150, 19, 120),
  adjustable(200, 24, 200),
  adjustable(250, 30, 370),
  adjustable(300, 36, 590),
  adjustable(150, 28, 150),
  adjustable(200, 38, 240),
  adjustable(200, 26, 140, true),
  adjustable(250, 34, 230, true),
];

const sockets = (): PieceModel[] => [
  ...both(5.5, 14).map((s) => socket('1/4in', s)),
  ...both(5.5, 14).map((s) => socket('1/4in', s, true)),
  ...both(7, 24).map((s) => socket('3/8in', s)),
  ...both(7, 22.3).map((s) => socket('3/8in', s, true)),
  ...both(10, 36).map((s) => socket('1/2in', s)),
  ...metric(10, 24).map((s) => socket('1/2in', s, true)),
  ...metric(6, 14).map((s) => twelvePointSocket('1/4in', s)),
  ...both(8, 22).map((s) => twelvePointSocket('3/8in', s)),
  ...metric(13, 32).map((s) => twelvePointSocket('1/2in', s)),
  ...words('14 16 18 19 13/16in 5/8in').flatMap((s) => [plugSocket('3/8in', s), plugSocket('3/8in', s, true)]),
  ...shapes('key', words('2.5 3 4 5 6 8')).map((s) => bitSocket('1/4in', s)),
  ...shapes('key', words('3 4 5 6 7 8 10 12 14 17')).map((s) => bitSocket('3/8in', s)),
  ...shapes('key', words('5 6 8 10 12 14 17 19 22')).map((s) => bitSocket('1/2in', s)),
  ...shapes('key', '5/32in 3/16in 7/32in 1/4in 5/16in 3/8in'.split(' ')).map((s) => bitSocket('3/8in', s)),
  ...shapes('lobe', words('10 15 20 25 27 30 40')).map((s) => bitSocket('1/4in', s)),
  ...shapes('lobe', words('15 20 25 27 30 40 45 50 55')).map((s) => bitSocket('3/8in', s)),
  ...shapes('lobe', words('30 40 45 50 55 60')).map((s) => bitSocket('1/2in', s)),
  ...shapes('lobe-out', SIX_LOBE_OUT.slice(0, 6)).map((s) => bitSocket('1/4in', s)),
  ...shapes('lobe-out', SIX_LOBE_OUT.slice(3, 11)).map((s) => bitSocket('3/8in', s)),
  ...shapes('lobe-out', SIX_LOBE_OUT.slice(5)).map((s) => bitSocket('1/2in', s)),
  ...shapes('ph', words('1 2 3')).map((s) => bitSocket('3/8in', s)),
  ...shapes('slot', words('5.5 8')).map((s) => bitSocket('3/8in', s)),
];

const bits = (): PieceModel[] => [
  ...shapes('lobe', LOBES.slice(0, 9)).flatMap((s) => [bit(s), bit(s, 50), bit(s, 75)]),
  ...shapes('key', words('1.5 2 2.5 3 4 5 6 8')).flatMap((s) => [bit(s), bit(s, 50), bit(s, 75)]),
  ...shapes('key', INCH_KEYS.slice(0, 9)).map((s) => bit(s)),
  ...CROSSES.flatMap((s) => [bit(s), bit(s, 50)]),
  ...shapes('ph', words('1 2')).map((s) => bit(s, 90)),
  ...SLOTS.slice(0, 5).flatMap((s) => [bit(s), bit(s, 50)]),
  ...shapes('square', words('1 2 3')).map((s) => bit(s)),
  ...shapes('lobe-pin', words('10 15 20 25 27 30 40')).map((s) => bit(s)),
];

const keys = (): PieceModel[] => [
  ...[...KEYS, ...INCH_KEYS].map(lKey),
  ...LOBES.slice(0, 10).map(lobeKey),
  ...shapes('key', words('3 4 5 6 8')).map((s) => tKey(s)),
  ...shapes('hex', words('8 10 12 13')).map((s) => tKey(s)),
  ...shapes('lobe', words('25 30 40')).map((s) => tKey(s)),
  keySet('key', words('1.5 2 2.5 3 4 5 6 8 10')),
  keySet('lobe', words('10 15 20 25 27 30 40')),
  foldingSet(shapes('key', words('2 2.5 3 4 5 6'))),
  foldingSet(shapes('key', words('3 4 5 6 8'))),
  foldingSet(shapes('key', '5/64in 3/32in 1/8in 5/32in 3/16in 1/4in'.split(' '))),
  foldingSet(shapes('lobe', words('10 15 20 25 30 40'))),
  foldingSet([
    ...shapes('key', words('4 5 6')),
    { form: 'lobe', size: '25' },
    { form: 'ph', size: '2' },
    { form: 'slot', size: '5.5' },
  ]),
];

const drivers = (): PieceModel[] => [
  ...CROSSES.flatMap((s) => [driver(s, 75), driver(s)]),
  ...shapes('ph', words('1 2')).map((s) => driver(s, 150)),
  ...SLOTS.flatMap((s) => [driver(s, 75), driver(s)]),
  driver({ form: 'slot', size: '6' }, 150),
  ...shapes('lobe', words('8 10 15 20 25 27 30')).map((s) => driver(s)),
  ...shapes('key', words('2 2.5 3 4 5')).map((s) => driver(s)),
  ...shapes('hex', words('5.5 6 7 8 10')).map((s) => driver(s, 125)),
  ...CROSSES.slice(1, 3).map((s) => driver(s, 25)),
  driver({ form: 'slot', size: '6' }, 25),
];

const handles = (): PieceModel[] => [
  ...words('1/4in 3/8in 1/2in').map(ratchet),
  flatRatchet('1/4in', '3/8in'),
  ...words('1/4in 3/8in').map(tHandle),
  plainBar('1/4in', 150),
  plainBar('3/8in', 200),
  plainBar('3/8in', 250),
  plainBar('1/2in', 300),
  plainBar('1/2in', 380),
  plainBar('1/2in', 450),
  driverHandle('1/4in'),
  driverHandle('3/8in'),
  thumbWheel(),
  ...[50, 75, 100, 150, 250].map((l) => extension('1/4in', l)),
  ...[50, 75, 125, 150, 250].map((l) => extension('3/8in', l)),
  ...[75, 125, 250].map((l) => extension('1/2in', l)),
  adapter('3/8in', '1/4in'),
  adapter('1/4in', '3/8in'),
  adapter('1/2in', '3/8in'),
  adapter('3/8in', '1/2in'),
  ...words('1/4in 3/8in 1/2in').map(joint),
  ...words('1/4in 3/8in').map(bitHolder),
  ...[250, 300, 400, 500].map(pipe),
];

const special = (): PieceModel[] => [
  ...words('14 16 18 19 13/16in').map(plugSpanner),
  tyreLever(null, false),
  tyreLever(null, true),
  ...words('19 22 24 27 30 32 36').map((s) => tyreLever(s, true)),
  ...words('5 5.6 6 6.3').map((size) => handTool('spoke key', `Spoke key ${size}`, { form: 'spoke', size }, 25, 30, 8)),
  axleKey(words('17 19 22 24'), '19'),
  axleKey(words('10 12 14 17'), '17'),
  handTool('other', 'Wide blade for a cap, 12 mm', { form: 'slot', size: '12' }, 0, 12, 2),
  handTool('valve tool', 'Valve core tool', { form: 'valve', size: '' }, 0, 6, 2),
  ...words('38 45 52 58 68 80').map((size) =>
    handTool(
      'hook spanner',
      `Hook spanner ${size}`,
      { form: 'hook', size },
      130 + Number(size) * 0.7,
      40 + Number(size) * 1.9,
      12,
    ),
  ),
];

const forFunctions = (): PieceModel[] => [
  pliers('Combination pliers 160', ['grip', 'cut'], 180, 160, 12),
  pliers('Combination pliers 125', ['grip', 'cut'], 110, 125, 11),
  pliers('Long-nose pliers 140', ['grip', 'cut'], 110, 140, 10),
  pliers('Locking pliers 180', ['grip', 'clamp'], 250, 180, 16),
  pliers('Locking pliers 130', ['grip', 'clamp'], 150, 130, 14),
  pliers('Slip-joint pliers 180', ['grip'], 170, 180, 14),
  pliers('Retaining-ring pliers 140', ['spread rings'], 105, 140, 11),
  functional('Multi-tool', ['grip', 'cut', 'file', 'pry', 'saw'], 230, [105, 42, 22], 60, {
    traits: ['hard', 'conductive', 'sharp', 'dear'],
  }),
  functional('Small multi-tool', ['grip', 'cut'], 125, [85, 32, 18], 35, { traits: ['hard', 'conductive', 'sharp'] }),
  functional('Pocket knife', ['cut'], 85, [95, 24, 16], 20, { traits: ['hard', 'conductive', 'sharp'] }),
  functional('Hand pump', ['inflate', 'hand air'], 130, [210, 32, 28], 22),
  functional('Short hand pump', ['inflate', 'hand air'], 95, [150, 30, 26], 20),
  functional('Electric pump', ['inflate', 'electric air'], 480, [160, 95, 55], 65, { traits: ['hard', 'dear'] }),
  functional('Small electric pump', ['inflate', 'electric air'], 290, [120, 70, 45], 55, { traits: ['hard', 'dear'] }),
  functional('Cartridge head', ['gas air'], 35, [60, 30, 25], 9),
  functional('Chain tool', ['open chain'], 330, [110, 70, 30], 35),
  functional('Light chain tool', ['open chain'], 190, [90, 60, 26], 30),
  functional('Test lamp', ['measure current'], 45, [120, 20, 20], 6),
  functional('Multimeter', ['measure current'], 120, [110, 55, 28], 18, { traits: ['fragile', 'kept dry'] }),
  functional('Head torch', ['light'], 85, [65, 45, 40], 25, { traits: ['fragile', 'kept dry'] }),
  functional('Pocket torch', ['light'], 40, [90, 20, 20], 15),
  functional('Tow strap', ['tow'], 260, [140, 80, 60], 14, { traits: ['soft'] }),
  functional('Thin tow cord', ['tow'], 120, [110, 60, 40], 12, { traits: ['soft'] }),
  functional('Jump pack', ['jump-start'], 420, [150, 80, 30], 75, { traits: ['melts', 'dear', 'kept dry'] }),
  functional('Jump leads, thin', ['jump leads'], 260, [180, 90, 45], 18, { traits: ['conductive'] }),
  functional('First-aid kit', ['bandage'], 250, [160, 110, 55], 20, { traits: ['soft', 'kept dry'] }),
  functional('Small first-aid pouch', ['bandage'], 110, [110, 80, 35], 12, { traits: ['soft', 'kept dry'] }),
  functional('Foil blanket and whistle', ['shelter', 'signal'], 75, [110, 80, 25], 6, { traits: ['soft'] }),
  functional('Bivouac bag', ['shelter'], 240, [160, 80, 80], 28, { traits: ['soft'] }),
  functional('Side cutters 140', ['cut'], 150, [140, 50, 16], 11, {
    kind: 'pliers',
    traits: ['hard', 'conductive', 'sharp'],
  }),
  functional('Folding saw 150', ['cut', 'saw'], 140, [170, 40, 22], 22, { traits: ['hard', 'sharp'] }),
  functional('Half-round file 150', ['file'], 60, [180, 20, 7], 6, { traits: ['hard', 'sharp'] }),
  functional('Needle file', ['file'], 18, [140, 6, 6], 3, { traits: ['hard', 'sharp'] }),
  functional('Pin punch 4 mm', ['punch out'], 40, [120, 10, 10], 4),
  functional('Pin punch 6 mm', ['punch out'], 70, [140, 12, 12], 5),
  functional('Small hammer 200', ['strike'], 260, [230, 80, 25], 9),
  functional('Saw blade with a taped end', ['saw'], 22, [150, 14, 2], 2, { traits: ['hard', 'sharp'] }),
  functional('Clamp pliers, small', ['clamp', 'grip'], 120, [130, 45, 14], 12),
  functional('Screw clamp', ['clamp'], 90, [100, 50, 14], 5),
  functional('Hand reamer', ['ream'], 42, [120, 40, 22], 6, { traits: ['hard', 'sharp'] }),
  functional('Powered drill, small', ['ream', 'drill'], 720, [170, 130, 50], 60, { traits: ['hard', 'melts', 'dear'] }),
  functional('Needle pick', ['pick'], 10, [120, 6, 6], 2, { traits: ['hard', 'sharp'] }),
  functional('Folding rule', ['measure'], 28, [110, 15, 14], 3, { traits: [] }),
  functional('Pressure gauge', ['gauge'], 45, [90, 30, 18], 12, { traits: ['fragile'] }),
  functional('Cord and two pulleys', ['haul', 'tow'], 390, [170, 90, 60], 45, { traits: ['soft'] }),
  functional('Ratchet strap', ['haul'], 310, [150, 80, 60], 12, { traits: ['soft'] }),
  functional('Whistle', ['signal'], 8, [50, 20, 12], 2, { traits: [] }),
  functional('Satellite beacon', ['signal'], 110, [90, 50, 28], 220, { traits: ['fragile', 'dear', 'kept dry'] }),
  functional('Lighter', ['fire'], 18, [80, 22, 12], 1, { traits: ['pressurised', 'melts', 'kept dry'] }),
  functional('Siphon hose', ['siphon'], 60, [150, 80, 20], 4, { traits: ['leaks'] }),
  functional('Brush', ['brush'], 18, [170, 15, 12], 2, { traits: [] }),
  functional('Pouch, cloth', ['hold things'], 45, [180, 110, 50], 8, { traits: ['soft'] }),
  functional('Pouch, padded', ['hold things', 'pad'], 95, [190, 120, 65], 14, { traits: ['soft'] }),
  functional('Dry bag, small', ['hold things', 'keep dry'], 55, [220, 120, 90], 12, { traits: ['soft'] }),
  functional('Steel box', ['hold things', 'pad', 'keep dry'], 240, [170, 110, 45], 10),
  functional('Towel, rolled', ['pad', 'lay out'], 110, [220, 80, 80], 6, { traits: ['soft'] }),
  functional('Folding prop for a wheel', ['prop'], 340, [260, 40, 30], 30),
  functional('Ground sheet', ['lay out'], 120, [180, 120, 15], 8, { traits: ['soft'] }),
  functional('Thread mending set M6 and M8', ['mend thread'], 160, [140, 80, 22], 28),
  functional('Drill bits 3 to 6 mm', ['bore'], 45, [110, 35, 10], 7, { traits: ['hard', 'sharp'] }),
  functional('Valve puller', ['pull valve'], 18, [120, 20, 8], 6),
  functional('Filter strap', ['turn filter'], 95, [150, 40, 20], 9),
  functional('Jumper for the bike’s codes', ['read codes'], 6, [60, 15, 6], 3, { traits: ['conductive', 'kept dry'] }),
  functional('Code reader', ['read codes'], 70, [70, 45, 22], 30, { traits: ['fragile', 'dear', 'kept dry'] }),
  functional('Tourniquet and trauma kit, for the trained', ['stop bleeding', 'bandage'], 220, [150, 100, 60], 55, {
    traits: ['soft', 'kept dry'],
  }),
];
