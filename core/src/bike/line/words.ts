import { Phrasebook, tokensOf } from '../../ground/line/index.js';
import { EVIDENCE, type Condition, type Evidence, type Fastener } from '../fastener.js';
import { ROLES, type Role } from '../fastener.js';
import { STATION_NAMES, STATIONS, type Station } from '../stations.js';

/** Words that say something of a fastener whatever it is called. */
type Flag = 'shakesLoose' | 'getsLost' | 'breaks' | 'accessory';
export const FLAGS = new Phrasebook<Flag>([
  ['shakesLoose', 'loose|shakes loose|shakes|comes loose|works loose'],
  ['getsLost', 'lost|gets lost|falls out'],
  ['breaks', 'breaks|snaps'],
  ['accessory', 'accessory|added|aftermarket'],
]);
export const FLAG_WORDS: Readonly<Record<Flag, string>> = {
  shakesLoose: 'shakes loose',
  getsLost: 'gets lost',
  breaks: 'breaks',
  accessory: 'accessory',
};
export const CONDITION_BOOK = new Phrasebook<Condition>([
  ['clean', 'clean'],
  ['dirty', 'dirty'],
  ['locked', 'locked|threadlocked'],
  ['rusted', 'rusted|rusty|seized|corroded'],
]);
export const EVIDENCE_BOOK = new Phrasebook<Evidence>(EVIDENCE.map((e) => [e, e]));
export const BOTH_ENDS = new Phrasebook<true>([[true, '2 ends|both ends|2 sides|both sides']]);
export const FAR = new Phrasebook<true>([[true, 'far|far end|other end|back end']]);
export const BEHIND = new Phrasebook<true>([[true, 'behind']]);
export const TORQUE_SOURCES = new Phrasebook<NonNullable<Fastener['torque']>['source']>([
  ['manual', 'manual|by the manual|from the manual|per manual'],
  ['planning value', 'planned|typical'],
  ['own log', 'logged'],
]);
export const ROLE_WORDS = new Phrasebook<true>([[true, 'role|job']]);
export const ROLE_BOOK = new Phrasebook<Role>(ROLES.map((r) => [r, r]));
export const NOTE = new Phrasebook<true>([[true, 'note']]);
export const LEFT_OUT = new Phrasebook<true>([[true, 'left out']]);
export const COUNT_WORDS = new Phrasebook<true>([[true, 'off|pcs|pc|piece|times|of them']]);
export const COUNT_BEFORE = new Phrasebook<true>([[true, 'qty|quantity|count|times']]);

/** How riders call the stations, beside their own names. */
export const STATION_BOOK = new Phrasebook<Station>([
  ...STATIONS.map((s) => [s, `${s.replaceAll('-', ' ')}|${STATION_NAMES[s]}`] as const),
  ['front-wheel', 'front axle|front hub|front brake'],
  ['cockpit', 'bars|handlebar|handlebars|bar'],
  ['front-end', 'forks|fork|steering|front end'],
  ['tank-seat', 'tank|seat|side panel|bodywork'],
  ['electrics', 'electric|battery|wiring'],
  ['plug-top', 'plug top|top end|cylinder head|valve cover'],
  ['engine', 'sump|drain|crankcase|motor'],
  ['controls', 'controls|pedals|foot pegs|pegs'],
  ['exhaust', 'silencer|muffler|header'],
  ['rear-wheel', 'rear|back wheel|rear axle|rear hub|drive|chain|rear brake'],
  ['suspension', 'shock|linkage|swingarm|swing arm'],
  ['racks', 'racks|rack|guards|guard|luggage|crash bars'],
]);

/**
 * Where a name says that a thing sits. Only words that say it by themselves: an axle nut may be at either wheel.
 * The longest phrase in a name counts, the first of equals.
 */
export const STATION_BY_NAME = new Phrasebook<Station>([
  [
    'front-wheel',
    'front axle|front wheel|front spindle|front disc|front calliper|front brake|front hub|front rim|front spoke|front valve|front tyre|speedo drive|wheel speed sensor front|front pinch bolt|front rim lock',
  ],
  [
    'cockpit',
    'handlebar|bar clamp|riser|mirror|clutch lever|brake lever|hand guard|handguard|throttle|switch block|bar end|master cylinder|perch|kill switch|grip',
  ],
  [
    'front-end',
    'triple clamp|yoke|steering stem|steering head|stem nut|fork|headlamp|headlight|head light|front mudguard|front fender|number board|fork drain|fork clamp|screen bracket|windscreen',
  ],
  [
    'tank-seat',
    'seat|fuel tank|tank bolt|tank mount|side panel|fuel tap|petcock|air filter|air box|airbox|side cover|subframe|rear mudguard|tail piece',
  ],
  [
    'electrics',
    'battery|fuse box|fuse|terminal|regulator|rectifier|starter relay|ignition coil|ecu|horn|indicator|tail lamp|tail light',
  ],
  [
    'plug-top',
    'valve cover|rocker cover|tappet|cam cover|cam chain|spark plug|carburettor|carb|throttle body|float bowl|intake boot|coolant cap|radiator hose',
  ],
  [
    'engine',
    'oil drain|sump|oil plug|drain plug|oil filter|filter cover|clutch cover|crankcase|engine mount|oil filler|water pump|oil strainer|stator cover|inspection cover|timing cover',
  ],
  [
    'controls',
    'foot peg|footpeg|peg bolt|gear pedal|gear lever|shift lever|shifter|brake pedal|side stand|sidestand|kick lever|kickstart lever|kick start lever|centre stand|stand pivot|stand spring',
  ],
  ['exhaust', 'exhaust|silencer|muffler|header|heat shield|spark arrestor|end can|down pipe'],
  [
    'rear-wheel',
    'rear axle|rear wheel|rear spindle|rear disc|rear calliper|rear brake|rear hub|rear rim|rear spoke|rear valve|rear tyre|sprocket|chain adjuster|axle adjuster|chain guide|chain guard|chain roller|chain slider|front sprocket|sprocket cover|final drive|brake stay|torque arm|belt adjuster',
  ],
  ['suspension', 'shock|linkage|dog bone|swingarm|swing arm|rocker arm|preload|rear suspension|relay arm'],
  [
    'racks',
    'rack|skid plate|bash plate|belly pan|crash bar|luggage|pannier|top case|radiator guard|tool tube|headlamp guard|engine guard|side carrier|top box',
  ],
]);

/**
 * Words that names of fasteners are made of. One of these beside a bare size is plainly the name; another word there is asked about, since it
 * may be a form in the rider's own tongue.
 */
const NAME_WORDS = `
a and at for from in into of off on out over the to under up with without by near next
left right front rear upper lower top bottom inner outer middle centre center side big small long short large little main second first third last
both old new spare odd single double thin thick wide narrow high low near far inside outside back fore aft other number
bolt nut screw stud washer spacer bracket clamp clip pin plug cap cover lid plate guard shield strap stay mount mounting hanger fixing support holder
bush bushing sleeve collar ring circlip adjuster adjusting lock locking jam pinch flange acorn dome castle shouldered shoulder banjo union
axle spindle wheel hub rim spoke nipple tyre tube valve bearing disc rotor drum brake calliper caliper pad hose line lever pedal stand
kickstand sidestand footrest peg footpeg foot gear shift shifter clutch cable throttle grip bar bars handlebar riser mirror switch lamp light
headlamp headlight indicator horn fuse battery terminal lead wire earth coil relay regulator rectifier sensor speedo speedometer
clock dash instrument screen windscreen fairing cowl panel mudguard fender number board plate tail reflector
fork forks triple yoke stem steering head damper preload shock spring linkage link dog bone swingarm swing arm suspension torque
seat tank fuel petrol tap petcock filter air box airbox carburettor carb bowl float jet injector intake boot manifold body
engine motor crankcase case cylinder barrel piston rocker tappet cam camshaft chain tensioner guide slider roller stator flywheel starter
kick kickstart gearbox sprocket pinion belt pulley shaft drive final oil drain filler level sump strainer magnetic coolant water pump radiator fan thermostat
exhaust header silencer muffler pipe heat arrestor gasket
rack luggage pannier carrier case bag tool crash skid bash engine bar bracket hand handguard knuckle
frame subframe sub joint pivot rod arm rest grab rail handle reservoir master slave bleed bleeder
crossmember brace tie cross tower base pan hook eye loop perch housing block retainer keeper stopper stop bump inspection timing check
access service service-port sight window glass gauge meter mystery half extra
phone gps navigation cradle camera charger usb socket outlet compass holder box tube bottle roll mat light spot fog auxiliary aux
lambda oxygen knock speed abs temperature pressure bead core end device heater heated tray power spark pull cord recoil start ignition
actuator adaptor alternator anchor apron backing balance band barb belly bezel blank boss bridge buckle buffer bung cage canister cartridge catch
chamber column connector console contact cotter coupling crank cushion deflector diaphragm dipstick elbow eyelet eyebolt fastener ferrule fitting flap
flag gate gland grommet grub gudgeon hinge hump idler insert jack knob lanyard latch leg lens liner locknut lug magnet map marker mast mesh module
mudflap net nose outlet output overflow paddle pilot plunger pocket post propshaft quick race reed relief rib saddle scoop seal selector servo shell shim
shoe shroud sidecar snubber speaker splash spline stiffener stirrup strut stub swivel tab tee thrust tip toe toggle tongue tree trim trunnion turn vent visor
wear weight wing winker wiper worm wheelbase bottom bracket pair set head headset bearing race guard skid
stock standard original maker aftermarket own test dummy tight loose
`;
const WORDS: ReadonlySet<string> = new Set(NAME_WORDS.split(/\s+/u).filter(Boolean));

/** Whether a word is one that names are made of, in the singular or plural. */
export const namesThings = (word: string): boolean =>
  WORDS.has(word) || WORDS.has(word.replace(/s$/u, '')) || WORDS.has(word.replace(/es$/u, '')) || word.length < 3;

/** Words of names that a rider used already: they are not asked about again. */
export const wordsOf = (names: readonly string[]): ReadonlySet<string> =>
  new Set(names.flatMap((n) => tokensOf(n).flatMap((t) => (t.kind === 'word' ? [t.text] : []))));
