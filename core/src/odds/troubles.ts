import type { Bike, Role } from '../bike/index.js';
import type { PieceFunction } from '../tools/index.js';
import type { Terrain } from '../trip/index.js';

/** What can go wrong, how often, and what mends it. Rates per 1000 km by terrain (reference section 5, planning values). */
export interface Trouble {
  id: string;
  name: string;
  /** Per 1000 km. */
  rate: Record<Terrain, number>;
  /** Per water crossing, on top. */
  perCrossing?: number;
  /** Only bikes with these traits have it. */
  only?: Partial<Pick<Bike, 'tyres' | 'drive' | 'cooling' | 'fuelling'>>;
  /** Whether the ride ends where it happens unless it is mended. */
  stops: boolean;
  /** Hours lost without a mend where the ride does not end. */
  nuisance: number;
  /** Hours of the mend itself. */
  mend: number;
  /** What each mend uses up. `bolt` stands for the bike's own threads. */
  supplies: { kind: string; units: number }[];
  functions: { does: PieceFunction; count: number }[];
  /** Fasteners that the mend turns, by their role on this bike. */
  turns: Role[];
  /** Shown where the mend is. */
  caution?: string;
}

const per = (paved: number, gravel: number, track: number): Trouble['rate'] => ({
  paved,
  gravel,
  track,
});
const t = (given: Pick<Trouble, 'id' | 'name' | 'rate' | 'mend'> & Partial<Trouble>): Trouble => ({
  stops: true,
  nuisance: 0,
  supplies: [],
  functions: [],
  turns: [],
  ...given,
});
const uses = (...list: [string, number][]) => list.map(([kind, units]) => ({ kind, units }));
const does = (...list: [PieceFunction, number][]) => list.map(([f, count]) => ({ does: f, count }));

const SLOW = 'Low speed, to the nearest workshop; then it is replaced.';
const BY_HAND = 'Check by hand before riding, re-torque with a calibrated tool at the first chance.';

export const TROUBLES: readonly Trouble[] = [
  t({
    id: 'puncture-tube',
    name: 'Puncture, tubed',
    rate: per(0.0425, 0.102, 0.255),
    only: { tyres: 'tubed' },
    mend: 1,
    supplies: uses(['patch', 2]),
    functions: does(['inflate', 1], ['lever tyre', 2]),
    turns: ['rear axle', 'front axle'],
    caution: `A patched tube: ${SLOW} ${BY_HAND}`,
  }),
  t({
    id: 'tube-torn-front',
    name: 'Front tube torn beyond patching',
    rate: per(0.003, 0.0072, 0.018),
    only: { tyres: 'tubed' },
    mend: 1,
    supplies: uses(['front tube', 1]),
    functions: does(['inflate', 1], ['lever tyre', 2]),
    turns: ['front axle'],
    caution: BY_HAND,
  }),
  t({
    id: 'tube-torn-rear',
    name: 'Rear tube torn beyond patching',
    rate: per(0.0045, 0.0108, 0.027),
    only: { tyres: 'tubed' },
    mend: 1.2,
    supplies: uses(['rear tube', 1]),
    functions: does(['inflate', 1], ['lever tyre', 2]),
    turns: ['rear axle'],
    caution: BY_HAND,
  }),
  t({
    id: 'puncture-tubeless',
    name: 'Puncture, tubeless',
    rate: per(0.02, 0.08, 0.15),
    only: { tyres: 'tubeless' },
    mend: 0.5,
    supplies: uses(['plug string', 1]),
    functions: does(['inflate', 1]),
    caution: `A plugged tyre: ${SLOW}`,
  }),
  t({
    id: 'valve-core',
    name: 'Valve core leaks',
    rate: per(0.005, 0.01, 0.02),
    mend: 0.3,
    supplies: uses(['valve core', 1]),
    functions: does(['inflate', 1]),
  }),
  t({
    id: 'fastener-lost',
    name: 'Fastener shaken loose or lost',
    rate: per(0.03, 0.1, 0.25),
    stops: false,
    nuisance: 1.5,
    mend: 0.3,
    supplies: uses(['bolt', 1]),
    caution: BY_HAND,
  }),
  t({
    id: 'clutch-lever',
    name: 'Clutch lever broken',
    rate: per(0.0025, 0.01, 0.075),
    mend: 0.4,
    supplies: uses(['clutch lever', 1]),
    turns: ['clutch lever'],
  }),
  t({
    id: 'brake-lever',
    name: 'Brake lever broken',
    rate: per(0.0025, 0.01, 0.075),
    mend: 0.4,
    supplies: uses(['brake lever', 1]),
    turns: ['brake lever'],
    caution: 'Brakes: with any doubt do not ride.',
  }),
  t({
    id: 'gear-pedal',
    name: 'Gear pedal bent',
    rate: per(0.003, 0.01, 0.06),
    mend: 0.5,
    functions: does(['grip', 1]),
    turns: ['gear pedal'],
  }),
  t({
    id: 'mirror',
    name: 'Mirror or indicator broken',
    rate: per(0.01, 0.04, 0.15),
    stops: false,
    nuisance: 0.5,
    mend: 0.2,
    supplies: uses(['cable tie', 3]),
    turns: ['mirror'],
  }),
  t({
    id: 'bars',
    name: 'Bars or guards bent',
    rate: per(0.003, 0.01, 0.05),
    stops: false,
    nuisance: 1,
    mend: 0.5,
    turns: ['bars'],
    caution: BY_HAND,
  }),
  t({
    id: 'luggage',
    name: 'Luggage mount broken',
    rate: per(0.005, 0.03, 0.06),
    stops: false,
    nuisance: 1.5,
    mend: 0.5,
    supplies: uses(['cable tie', 4], ['wire', 1]),
    functions: does(['cut', 1]),
    turns: ['luggage rack'],
    caution: 'Ties melt near the exhaust: wire there.',
  }),
  t({
    id: 'chain',
    name: 'Chain off or broken',
    rate: per(0.003, 0.006, 0.015),
    only: { drive: 'chain' },
    mend: 0.8,
    supplies: uses(['chain link', 1]),
    functions: does(['open chain', 1]),
    turns: ['rear axle'],
    caution: BY_HAND,
  }),
  t({
    id: 'sprocket',
    name: 'Sprocket bolt lost',
    rate: per(0.003, 0.008, 0.015),
    only: { drive: 'chain' },
    mend: 0.6,
    supplies: uses(['bolt M8', 1]),
    turns: ['sprocket'],
    caution: BY_HAND,
  }),
  t({
    id: 'control-cable',
    name: 'Control cable broken',
    rate: per(0.004, 0.008, 0.02),
    mend: 1,
    supplies: uses(['cable inner', 1]),
    functions: does(['cut', 1], ['grip', 1]),
  }),
  t({
    id: 'fuse',
    name: 'Fuse blown or wire chafed',
    rate: per(0.01, 0.02, 0.03),
    mend: 0.7,
    supplies: uses(['fuse', 2], ['cable', 1]),
    functions: does(['measure current', 1], ['cut', 1]),
    turns: ['fuse box'],
    caution: 'A fuse is replaced by the same rating, never bridged. Disconnect before wiring work.',
  }),
  t({
    id: 'battery',
    name: 'Battery flat',
    rate: per(0.03, 0.03, 0.03),
    mend: 0.4,
    functions: does(['jump-start', 1]),
    turns: ['battery'],
    caution: "The manual's order and polarity; no lithium pack that is hot, swollen or wet.",
  }),
  t({
    id: 'coolant-hose',
    name: 'Coolant hose leaks',
    rate: per(0.001, 0.002, 0.004),
    only: { cooling: 'liquid' },
    mend: 0.7,
    supplies: uses(['hose piece', 1], ['coolant', 1]),
    caution: 'Coolant only when cold.',
  }),
  t({
    id: 'radiator',
    name: 'Radiator holed',
    rate: per(0.001, 0.004, 0.02),
    only: { cooling: 'liquid' },
    mend: 1.2,
    supplies: uses(['metal putty', 2], ['coolant', 1]),
    functions: does(['grip', 1]),
    turns: ['radiator guard'],
    caution: `Coolant only when cold. A putty repair: ${SLOW}`,
  }),
  t({
    id: 'case',
    name: 'Engine case holed',
    rate: per(0.0002, 0.001, 0.006),
    mend: 1.5,
    supplies: uses(['metal putty', 2]),
    functions: does(['brush', 1]),
    caution: `A putty repair: ${SLOW}`,
  }),
  t({
    id: 'fuel-hose',
    name: 'Fuel hose leaks',
    rate: per(0.001, 0.002, 0.003),
    mend: 0.6,
    supplies: uses(['fuel hose', 1]),
    functions: does(['cut', 1]),
    turns: ['tank'],
    caution: 'Ignition off, engine cold, no flame.',
  }),
  t({
    id: 'exhaust',
    name: 'Exhaust fixing lost',
    rate: per(0.01, 0.03, 0.06),
    stops: false,
    nuisance: 1,
    mend: 0.4,
    supplies: uses(['bolt M8', 1], ['wire', 1]),
    turns: ['exhaust fixing'],
    caution: 'Wire or steel ties only: plastic melts.',
  }),
  t({
    id: 'drowned',
    name: 'Engine drowned or plug fouled',
    rate: per(0, 0, 0),
    perCrossing: 0.01,
    mend: 1,
    supplies: uses(['spark plug', 1]),
    turns: ['plug', 'seat', 'tank'],
    caution: 'Plug out before cranking, its lead held away from the spray.',
  }),
  t({
    id: 'bulb',
    name: 'Bulb blown',
    rate: per(0.01, 0.015, 0.02),
    stops: false,
    nuisance: 2,
    mend: 0.3,
    supplies: uses(['bulb', 1]),
  }),
  t({
    id: 'spokes',
    name: 'Spokes loose or broken',
    rate: per(0.005, 0.02, 0.05),
    only: { tyres: 'tubed' },
    stops: false,
    nuisance: 1,
    mend: 0.6,
    supplies: uses(['spoke', 2]),
  }),
  t({
    id: 'key-lost',
    name: 'Key lost',
    rate: per(0.005, 0.005, 0.008),
    mend: 0.1,
    supplies: uses(['spare key', 1]),
    caution: 'The doubled key travels on another person or hidden on the bike.',
  }),
  t({
    id: 'injury',
    name: 'Somebody hurt, minor',
    rate: per(0.01, 0.02, 0.06),
    stops: false,
    nuisance: 2,
    mend: 0.3,
    supplies: uses(['dressing', 2]),
    functions: does(['bandage', 1]),
    caution: 'Training first, call for help. This list is no first-aid course.',
  }),
  t({
    id: 'night-out',
    name: 'A night out',
    rate: per(0.001, 0.004, 0.012),
    stops: false,
    nuisance: 6,
    mend: 2,
    functions: does(['shelter', 1], ['light', 1]),
    caution: 'A signal is for emergencies. Fires: bans and season.',
  }),
];

/** Whether a bike can have a trouble at all. */
export const appliesTo = (trouble: Trouble, bike: Bike): boolean =>
  Object.entries(trouble.only ?? {}).every(([key, value]) => bike[key as keyof Bike] === value);
