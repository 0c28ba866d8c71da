import { Phrasebook } from '../../ground/line/index.js';
import { boltKind, SUPPLIES } from '../supplies/kinds.js';
import type { SupplyBook } from '../supplies/book.js';

/** Kinds of spare that a phrase may mean, the usual one first; several are asked about. */
export type SpareTerm = readonly string[];

/** How riders call spares and supplies, beside their own names. */
const SPARES: readonly (readonly [SpareTerm, string])[] = [
  [['front tube', 'rear tube'], 'tube|inner tube|spare tube'],
  [['front tube'], 'front tube|front inner tube|tube front|inner tube front|21 inch tube'],
  [['rear tube'], 'rear tube|rear inner tube|tube rear|inner tube rear|back tube|18 inch tube'],
  [['patch'], 'patch|patches|tube patch|patch kit|puncture patch|tube repair kit|repair patch'],
  [
    ['plug string'],
    'plug string|string plug|tyre plug|tyre string|plug kit|tubeless plug|tyre plug kit|rope plug|puncture string',
  ],
  [['pin plug'], 'pin plug|mushroom plug'],
  [['valve core'], 'valve core|valve insert'],
  [['cable tie'], 'cable tie|zip tie|tie wrap|nylon tie'],
  [['steel tie'], 'steel tie|metal tie|stainless tie|steel cable tie'],
  [['wire'], 'wire|steel wire|binding wire|lock wire|safety wire|tie wire'],
  [['clutch lever'], 'clutch lever|spare clutch lever'],
  [['brake lever'], 'brake lever|spare brake lever|front brake lever'],
  [['fuse'], 'fuse|spare fuse|blade fuse'],
  [['cable'], 'electric cable|electrical wire|electric wire|hook up wire|electrical cable'],
  [
    ['chain link'],
    'chain link|joining link|master link|quick link|split link|connecting link|link|rivet link|clip link',
  ],
  [['cable inner'], 'cable inner|inner cable|clutch cable|throttle cable|inner wire|cable with nipple'],
  [['metal putty'], 'metal putty|epoxy putty|putty|epoxy|cold weld|steel putty|2 part epoxy'],
  [['hose piece'], 'hose piece|spare hose'],
  [['hose splice'], 'hose splice|hose joiner|hose connector'],
  [['coolant'], 'coolant|antifreeze'],
  [['fuel hose'], 'fuel hose|fuel line|petrol hose|petrol pipe'],
  [['bulb'], 'bulb|headlamp bulb|headlight bulb|spare bulb|head light bulb'],
  [['tail bulb'], 'tail bulb|tail lamp bulb|tail light bulb|brake light bulb|indicator bulb'],
  [['spark plug'], 'spark plug|spare plug|spare spark plug|sparking plug'],
  [['spoke'], 'spare spoke|spokes with nipples'],
  [['spare key'], 'spare key|spare ignition key|ignition key'],
  [['dressing'], 'dressing|wound dressing|bandage|plaster'],
  [['pressure dressing'], 'pressure dressing|pressure bandage|trauma dressing'],
  [['burn dressing'], 'burn dressing|burn gel'],
  [['fuel filter'], 'fuel filter|petrol filter'],
  [['wheel bearing'], 'wheel bearing|bearing'],
  [['brake pads'], 'brake pads|pads|brake pad'],
  [['tyre boot'], 'tyre boot|boot patch'],
  [['gas cartridge'], 'gas cartridge|co2 cartridge|co2|cartridge|air cartridge|gas bottle|inflator cartridge'],
  [['cloth tape', 'self-fusing tape'], 'tape'],
  [
    ['cloth tape'],
    'cloth tape|fabric tape|duct tape|cloth backed tape|tape cloth|insulating tape|insulation tape|electrical tape',
  ],
  [['self-fusing tape'], 'self fusing tape|self amalgamating tape|rubber tape|silicone tape|self bonding tape'],
  [['penetrating fluid'], 'penetrating fluid|penetrating oil|release oil|spray oil'],
  [['threadlocker'], 'threadlocker|thread locker|thread lock|locking compound'],
  [['cleaner'], 'degreasing wipe|degreaser|brake cleaner|cleaner'],
  [['liquid gasket'], 'liquid gasket|gasket maker|gasket sealant|sealant|silicone sealant'],
  [['alloy sheet'], 'alloy sheet|sheet metal|tin sheet|thin alloy sheet'],
  [['axle nut'], 'axle nut|spare axle nut'],
  [['strap'], 'strap|luggage strap|lashing strap|elastic strap'],
  [['stop-leak powder'], 'stop leak powder|stop leak|radiator stop leak|leak powder|radiator sealant|radiator powder'],
  [['engine oil'], 'engine oil|motor oil|oil'],
  [['brake fluid'], 'brake fluid'],
  [['chain lube'], 'chain lube|chain oil|chain spray|chain wax|chain grease'],
  [['oil filter'], 'oil filter|spare oil filter'],
  [['air filter'], 'air filter|spare air filter'],
  [['regulator'], 'regulator|rectifier|regulator rectifier|voltage regulator'],
  [['coil'], 'coil|ignition coil|spare coil'],
  [['relay'], 'relay|starter relay|spare relay'],
  [['fuel pump'], 'fuel pump|petrol pump'],
  [['charging lead'], 'charging lead|usb lead|usb cable|charging cable|phone cable'],
  [['goggle lens'], 'goggle lens|spare lens'],
  [['water tablet'], 'water tablet|purification tablet|water purification tablet'],
  [['starter cord'], 'starter cord|pull cord'],
  [['grease'], 'grease|bearing grease'],
  [['split pin'], 'split pin|cotter pin|r clip|split pins and clips'],
  [['drain washer'], 'drain washer|crush washer|drain plug washer|sealing washer|copper washer'],
  [['hose clamp'], 'hose clamp|hose clip|worm drive clip|worm clamp'],
  [['rim strip'], 'rim strip|rim tape|rim band'],
  [['tyre soap'], 'tyre soap|soap|mounting paste|tyre mounting paste|bead lube|tyre lube'],
  [['o-ring'], 'o ring|o rings sorted|orings|oring'],
  [['gloves'], 'thin gloves|gloves|nitrile gloves|work gloves|rubber gloves'],
  [['hand wipe'], 'hand wipe|hand cleaning wipe|wet wipe|hand cleaner|wipe'],
  [['anti-seize'], 'anti seize|anti seize paste|copper grease|copper paste'],
  [['thread insert'], 'thread insert|wire insert|thread repair insert'],
];

const BOLT_WORDS = ['bolt', 'bolt and nut', 'bolt set', 'bolt nut and washer', 'screw', 'nut and bolt', 'spare bolt'];
/** `m6 bolt`, `bolt m8`, `bolts M6`. */
const bolts = (): (readonly [SpareTerm, string])[] =>
  SUPPLIES.filter((k) => k.kind.startsWith('bolt M')).map(({ kind }) => {
    const m = kind.slice('bolt '.length).replace('M', 'm ');
    return [[kind], BOLT_WORDS.flatMap((w) => [`${w} ${m}`, `${m} ${w}`]).join('|')];
  });

const made = new WeakMap<SupplyBook, Phrasebook<SpareTerm>>();
/** The words for all spares of a garage, its own kinds by their names. */
export function spareBook(book: SupplyBook): Phrasebook<SpareTerm> {
  const known = made.get(book);
  if (known) return known;
  const phrases = new Phrasebook<SpareTerm>([
    ...book.all.map((k) => [[k.kind], k.name.replaceAll(',', '').replaceAll('|', ' ')] as const),
    ...SPARES,
    ...bolts(),
    [[boltKind('M6'), boltKind('M8'), boltKind('M10')], 'bolt|bolts and nuts|assorted bolts|spare bolts'],
  ]);
  made.set(book, phrases);
  return phrases;
}
