import { usual, which, type SaidByName } from '../line/words.js';
import type { PieceFunction, PieceModel } from '../tools/piece.js';
import { box, hand, mode, piece } from './parts.js';

/**
 * A piece wanted for what it does rather than for a size.
 * @param mass g
 * @param size length, width, height, mm
 * @param price EUR
 */
export function functional(
  pieceName: string,
  functions: PieceFunction[],
  mass: number,
  size: [number, number, number],
  price: number,
  extra: Partial<PieceModel> = {},
): PieceModel {
  return piece({
    name: pieceName,
    kind: 'other',
    modes: [],
    functions,
    mass,
    size: box(...size),
    price,
    ...extra,
  });
}

/**
 * Pliers that pull clips and pins as well as grip.
 * @param mass g
 * @param length mm
 * @param price EUR
 */
export function pliers(
  pieceName: string,
  functions: PieceFunction[],
  mass: number,
  length: number,
  price: number,
): PieceModel {
  return piece({
    name: pieceName,
    kind: 'pliers',
    modes: [
      mode({
        offer: hand('spanner', length * 0.6),
        turns: { form: 'clip', size: '' },
        grip: 'open',
        bears: 5,
        length: 30,
        width: 18,
        thickness: 8,
        step: 30,
      }),
    ],
    functions,
    mass,
    size: box(length, 50, 18),
    price,
  });
}

/** Tools that are there for what they do, as they stand on the shelf: name, functions, grams, length, width and height in mm, euros. Planning values. */
export const THINGS = (): PieceModel[] => [
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

/** How riders call them, beside by their name. */
export const THINGS_SAID: readonly SaidByName[] = [
  [
    which(
      'Combination pliers 160',
      'Combination pliers 125',
      'Long-nose pliers 140',
      'Locking pliers 180',
      'Locking pliers 130',
      'Slip-joint pliers 180',
      'Retaining-ring pliers 140',
      'Clamp pliers, small',
    ),
    'pliers|plier',
  ],
  [
    usual('Combination pliers 160', 'Combination pliers 125'),
    'combination pliers|combi pliers|engineer pliers|universal pliers|linesman pliers',
  ],
  [
    usual('Long-nose pliers 140'),
    'long nose pliers|needle nose pliers|needle nose|long nose|needlenose|needlenose pliers|snipe nose pliers',
  ],
  [
    usual('Locking pliers 180', 'Locking pliers 130'),
    'locking pliers|grip pliers|self grip pliers|self locking pliers|locking grips',
  ],
  [usual('Slip-joint pliers 180'), 'slip joint pliers|water pump pliers|pump pliers|slip joint|adjustable pliers'],
  [usual('Retaining-ring pliers 140'), 'retaining ring pliers|circlip pliers|snap ring pliers|clip pliers'],
  [usual('Side cutters 140'), 'side cutters|wire cutters|cutters|diagonal cutters|side cutting pliers'],
  [usual('Multi-tool', 'Small multi-tool'), 'multi tool|multitool'],
  [usual('Small multi-tool'), 'small multi tool|mini multi tool|key ring multi tool'],
  [usual('Pocket knife'), 'pocket knife|knife|penknife|folding knife|blade knife'],
  [which('Hand pump', 'Short hand pump', 'Electric pump', 'Small electric pump'), 'pump|tyre pump|inflator'],
  [usual('Hand pump', 'Short hand pump'), 'hand pump|bicycle pump|bike pump|foot pump'],
  [usual('Short hand pump'), 'short hand pump|mini pump|small hand pump'],
  [
    usual('Electric pump', 'Small electric pump'),
    'electric pump|compressor|air compressor|electric compressor|tyre compressor|12 v pump|12 volt pump|electric inflator',
  ],
  [usual('Small electric pump'), 'small electric pump|mini compressor|small compressor|mini electric pump'],
  [
    usual('Cartridge head'),
    'cartridge head|gas head|inflator head|cartridge valve|cartridge inflator|cartridge adapter|co2 inflator|co2 head|co2 pump|gas inflator',
  ],
  [
    usual('Chain tool', 'Light chain tool'),
    'chain tool|chain breaker|chain splitter|chain cutter|chain rivet tool|chain riveter',
  ],
  [usual('Light chain tool'), 'light chain tool|small chain tool|small chain breaker|mini chain breaker'],
  [usual('Test lamp'), 'test lamp|test light|circuit tester|continuity tester'],
  [usual('Multimeter'), 'multimeter|multi meter|voltmeter|volt meter|meter'],
  [usual('Head torch'), 'head torch|headlamp|head lamp|head light|headtorch|headlight'],
  [usual('Pocket torch'), 'pocket torch|torch|flashlight|flash light|pocket lamp'],
  [usual('Tow strap'), 'tow strap|tow rope|towing strap|tow line|towing rope'],
  [usual('Thin tow cord'), 'tow cord|thin tow cord|thin tow rope'],
  [which('Thin tow cord', 'Tow strap', 'Cord and two pulleys'), 'rope|cord|line|string'],
  [usual('Cord and two pulleys'), 'pulley|pulley kit|cord and 2 pulleys|hauling kit|winch kit'],
  [usual('Ratchet strap'), 'ratchet strap|tie down|tie down strap|lashing strap with ratchet'],
  [usual('Jump pack'), 'jump pack|jump starter|booster pack|starter pack|power pack|booster'],
  [usual('Jump leads, thin'), 'jump lead|jumper cable|jump cable|jumper lead|booster cable|starting cable'],
  [usual('First-aid kit', 'Small first-aid pouch'), 'first aid kit|first aid|medical kit|med kit|first aid set'],
  [usual('Small first-aid pouch'), 'small first aid kit|small first aid pouch|first aid pouch|mini first aid kit'],
  [usual('Foil blanket and whistle'), 'foil blanket|space blanket|emergency blanket|rescue blanket'],
  [usual('Bivouac bag'), 'bivouac bag|bivvy bag|bivvy|bivy|bivy bag|bivi bag'],
  [usual('Folding saw 150'), 'folding saw|saw|wood saw'],
  [usual('Saw blade with a taped end'), 'saw blade|hacksaw blade|hacksaw'],
  [usual('Half-round file 150', 'Needle file'), 'file|half round file'],
  [usual('Needle file'), 'needle file|small file'],
  [which('Pin punch 4 mm', 'Pin punch 6 mm'), 'punch|pin punch|drift'],
  [usual('Small hammer 200'), 'hammer|small hammer|mallet'],
  [usual('Clamp pliers, small'), 'clamp pliers|small clamp pliers'],
  [usual('Screw clamp'), 'screw clamp|g clamp|clamp'],
  [usual('Hand reamer'), 'hand reamer|reamer|rasp|plug reamer'],
  [usual('Powered drill, small'), 'powered drill|drill|cordless drill|electric drill'],
  [usual('Drill bits 3 to 6 mm'), 'drill bit|drills|twist drill'],
  [usual('Needle pick'), 'needle pick|pick|scriber|pick tool'],
  [usual('Folding rule'), 'folding rule|rule|ruler|tape measure|measuring tape|folding ruler'],
  [usual('Pressure gauge'), 'pressure gauge|tyre gauge|tyre pressure gauge|gauge|air gauge'],
  [usual('Whistle'), 'whistle'],
  [usual('Satellite beacon'), 'satellite beacon|beacon|satellite messenger|satellite tracker|emergency beacon|plb'],
  [usual('Lighter'), 'lighter|matches|fire starter'],
  [usual('Siphon hose'), 'siphon hose|siphon|syphon|syphon hose|fuel siphon|transfer hose'],
  [usual('Brush'), 'brush|chain brush|wire brush'],
  [which('Pouch, cloth', 'Pouch, padded'), 'pouch|tool roll|roll|tool pouch|tool bag'],
  [usual('Pouch, cloth'), 'cloth pouch'],
  [usual('Pouch, padded'), 'padded pouch'],
  [usual('Dry bag, small'), 'dry bag|small dry bag'],
  [usual('Steel box'), 'steel box|tin|tin box|metal box|tool box'],
  [usual('Towel, rolled'), 'towel'],
  [
    usual('Folding prop for a wheel'),
    'folding prop|prop|prop stand|wheel prop|folding prop stand|trail stand|lift stick|jack stand|folding stand',
  ],
  [usual('Ground sheet'), 'ground sheet|groundsheet|tarp|mat'],
  [
    usual('Thread mending set M6 and M8'),
    'thread mending set|thread repair kit|thread repair set|thread kit|tap and die|tap set',
  ],
  [usual('Valve puller'), 'valve puller|valve fishing tool|valve stem puller|tube valve puller'],
  [usual('Filter strap'), 'filter strap|oil filter strap|filter wrench|oil filter wrench|strap wrench'],
  [usual('Jumper for the bike’s codes'), 'code jumper|diagnostic jumper'],
  [usual('Code reader'), 'code reader|fault code reader|diagnostic reader|obd reader|diagnostic tool|scan tool'],
  [usual('Tourniquet and trauma kit, for the trained'), 'tourniquet|trauma kit|bleeding kit'],
  // Not on the shelf: said so, instead of read as something else.
  [
    { names: [], sure: false },
    'torque wrench|torque spanner|click wrench|impact driver|impact wrench|pipe wrench|crow foot|crowfoot|crow foot wrench|flare nut spanner|flare nut wrench|flare spanner|chain wrench|stud extractor|bolt extractor',
  ],
];
