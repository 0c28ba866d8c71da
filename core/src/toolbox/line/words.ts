import { Phrasebook, type OwnWord } from '../../ground/line/index.js';
import type { Piece } from '../tools/piece.js';
import { catalogue } from '../tools/shelf.js';
import { MADE_KINDS, type MadeKind } from './madeKinds.js';

/** A tool of the shelf by its names there, the usual one first. `sure` takes that one and shows the others; else it is asked. */
export interface Named {
  names: readonly string[];
  sure: boolean;
}
export type KindTerm = MadeKind | Named;
const usual = (...names: string[]): Named => ({ names, sure: true });
const which = (...names: string[]): Named => ({ names, sure: false });

/** How riders call kinds of tool. The longest phrase at a place counts. */
const KINDS: readonly (readonly [KindTerm, string])[] = [
  ['plug socket', 'plug socket|spark plug socket'],
  [
    'plug spanner',
    'plug|plug spanner|plug wrench|spark plug spanner|spark plug wrench|plug key|spark plug key|spark plug tool',
  ],
  ['bit holder', 'bit holder|holder|bit adapter|bit driver'],
  ['bit socket', 'bit socket|socket bit|driver socket|hex bit socket'],
  ['deep socket', 'deep socket|long socket'],
  ['socket', 'socket|nut socket'],
  ['bit', 'bit|screwdriver bit|driver bit|hex bit'],
  [
    'combination',
    'combination spanner|combination wrench|combination|combi|combi spanner|combo wrench|combo|spanner|wrench|ratcheting spanner|ratchet spanner|ratcheting wrench|ratchet wrench|combination ring open spanner|ring open spanner',
  ],
  [
    'ring',
    'ring spanner|ring|ring wrench|box wrench|box end|box end wrench|box spanner|box end spanner|double ring spanner|box|ring end spanner',
  ],
  [
    'open',
    'open spanner|open|open end|open ended|open end spanner|open ended spanner|open wrench|open end wrench|open ended wrench|double open spanner|double open ended spanner',
  ],
  [
    'adjustable',
    'adjustable spanner|adjustable|adjustable wrench|monkey wrench|shifting spanner|shifting wrench|adjusting spanner',
  ],
  ['flat ratchet', 'flat ratchet|low profile ratchet'],
  ['ratchet', 'ratchet|ratchet handle|reversible ratchet|socket wrench|ratchet wrench handle'],
  [
    { names: [], sure: false },
    'torque wrench|torque spanner|click wrench|impact driver|impact wrench|pipe wrench|crow foot|crowfoot|crow foot wrench|flare nut spanner|flare nut wrench|flare spanner|chain wrench|stud extractor|bolt extractor',
  ],
  ['thumb wheel', 'thumb wheel|thumbwheel|thumb ratchet'],
  ['bar', 'plain bar|breaker bar|bar|power bar|knuckle bar|flex handle|breaker'],
  ['t handle', 't handle|tee handle|sliding t bar|t bar|sliding bar'],
  ['spinner', 'driver handle|spinner|spinner handle|socket driver|handle'],
  ['extension', 'extension|ext|extension bar|extender'],
  ['adapter', 'adapter|adaptor|reducer|converter|drive adapter|step up|step down'],
  ['joint', 'swivel joint|joint|swivel|u joint|universal joint|universal|uj|wobble joint|cardan joint|knuckle joint'],
  ['t key', 't key|tee key|t handle key|t handle hex key|t handle inside hex'],
  ['folding keys', 'folding set|folding key set|folding hex key set|folding keys|folding hex keys|hex key folder'],
  ['key', 'l key|key|hex key|inside hex key|hex wrench|inside hex l key|6 lobe key|star key'],
  ['screwdriver', 'screwdriver|driver|turnscrew|nut driver|nut spinner'],
  ['lever', 'tyre lever|lever|tyre iron|tyre spoon|spoon|bead lever|rim lever'],
  ['pipe', 'pipe|cheater|cheater pipe|cheater bar|extension pipe|tube for leverage'],
  ['spoke key', 'spoke key|spoke wrench|spoke spanner|nipple key|spoke nipple key|spoke|spoke nipple'],
  ['hook spanner', 'hook spanner|hook|c spanner|hook wrench|shock spanner|preload spanner|preload wrench'],
  ['thing', 'thing'],
  ['made', 'made|home made|homemade'],
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
  [
    usual('Stepped axle key 17 19 22 24, hexagon 19', 'Stepped axle key 10 12 14 17, hexagon 17'),
    'stepped axle key|axle key|stepped key|hex axle key|axle hex key|axle tool',
  ],
  [usual('Wide blade for a cap, 12 mm'), 'wide blade|wide blade for a cap|cap key'],
  [usual('Valve puller'), 'valve puller|valve fishing tool|valve stem puller|tube valve puller'],
  [usual('Valve core tool'), 'valve core tool|valve tool|valve core key|valve key|valve core remover'],
  [usual('Filter strap'), 'filter strap|oil filter strap|filter wrench|oil filter wrench|strap wrench'],
  [usual('Jumper for the bike’s codes'), 'code jumper|diagnostic jumper'],
  [usual('Code reader'), 'code reader|fault code reader|diagnostic reader|obd reader|diagnostic tool|scan tool'],
  [usual('Tourniquet and trauma kit, for the trained'), 'tourniquet|trauma kit|bleeding kit'],
];
/** Tools of the shelf that are called by their name alone, as they stand there. */
const byName = (): (readonly [KindTerm, string])[] =>
  catalogue()
    .filter((m) => m.modes.length === 0 && m.kind !== 'tyre lever' && m.kind !== 'pipe')
    .map((m) => [usual(m.name), m.name.replaceAll(',', '')]);
const BOOK = new Phrasebook<KindTerm>([...KINDS, ...byName()]);

/** What is said of a tool beside its kind and size, and changes how it is made. */
export type Modifier = 'deep' | 'twelve' | 'long' | 'alloy' | 'steel' | 'ring' | 'set' | 'wide' | 'magnetic';
export const MODIFIERS = new Phrasebook<Modifier>([
  ['deep', 'deep|extra deep'],
  ['twelve', '12 pt|12 point|12 pointed|bihex|bi hex|double hex'],
  ['long', 'long|longer'],
  ['alloy', 'alloy|light alloy'],
  ['steel', 'steel'],
  ['ring', 'ring|with ring|with a ring|ring end'],
  ['set', 'set|sets|kit|of a set'],
  ['wide', 'wide jaw|wide opening'],
  ['magnetic', 'magnetic|magnet|magnetised'],
]);

/** Words that change nothing that is reckoned with; they stay in the name. */
export const ATTRIBUTES = new Phrasebook<true>([
  [
    true,
    'impact|chrome|chromed|titanium|forged|stubby|slim|insulated|fine tooth|flex head|flexible|ratcheting|old|new|spare|small|large|big|short|thin|thick|black|red|blue|green|yellow|mini|heavy|light|tough|good|quick release|reversible|double|double ended|single|6 point|cranked|offset|ball end|ball ended|curved|bent|straight|hand|half|stainless|plastic|rubber|soft|hardened|standard|normal|own',
  ],
]);

/** Words between parts of a line that say nothing by themselves. */
export const FILLERS = new Phrasebook<true>([[true, 'a|an|the|of|with|size|some|my|and|to|metric|imperial']]);

export const DRIVE_WORDS = new Phrasebook<true>([
  [true, 'drive|dr|square drive|sq drive|square|sq|inch drive|in drive'],
]);
export const MARKS = new Phrasebook<NonNullable<Piece['mark']>>([
  ['always', 'always'],
  ['twice', 'twice'],
  ['never', 'never'],
]);
export const CONDITIONS = new Phrasebook<'worn' | 'broken'>([
  ['worn', 'worn|worn out'],
  ['broken', 'broken|bust|damaged'],
]);
export const CHEAP = new Phrasebook<true>([[true, 'cheap']]);
export const NOTE = new Phrasebook<true>([[true, 'note']]);
export const KEPT = new Phrasebook<true>([
  [true, 'in|at|in the|at the|kept in|kept at|kept in the|kept|lies in|lies in the|stored in|stored in the'],
]);
export const COUNT_BEFORE = new Phrasebook<true>([[true, 'qty|quantity|count|times|number']]);
export const COUNT_BEHIND = new Phrasebook<true>([[true, 'off|pcs|pc|times|of them']]);
export const DOZENS = new Phrasebook<number>([
  [12, 'a dozen|1 dozen|dozen'],
  [6, 'half a dozen|half dozen|1/2 a dozen|1/2 dozen'],
  [2, 'a pair|pair|a pair of|pair of|a couple of|couple of|a couple'],
  [3, 'set of 3|3 of|a set of 3'],
  [2, 'set of 2|2 of|a set of 2'],
  [4, 'set of 4|4 of|a set of 4'],
]);
export const UNKNOWN_SIZE = new Phrasebook<true>([
  [
    true,
    'unknown|unknown size|size unknown|no size|not measured|size not measured|unmarked|size not known|to be measured',
  ],
]);
export const RANGE_WORDS = new Phrasebook<true>([[true, 'to|through|until|up to|till']]);

const termed = new WeakMap<readonly OwnWord[], Phrasebook<KindTerm>>();
/** The kinds with a rider's own words for them; a term is `kind:` and the kind. */
export function kindBook(own: readonly OwnWord[]): Phrasebook<KindTerm> {
  if (own.length === 0) return BOOK;
  const known = termed.get(own);
  if (known) return known;
  const book = BOOK.with(own, (means) => MADE_KINDS.find((k) => means === `kind:${k}`) ?? null);
  termed.set(own, book);
  return book;
}
