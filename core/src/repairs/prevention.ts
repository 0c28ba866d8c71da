import type { Bike } from '../bike/index.js';
import { hasTraits, type BikeTraits } from './way.js';

/** What is done or fitted before leaving, so that something goes wrong less often. All figures are planning values. */
export interface Prevention {
  id: string;
  name: string;
  /** Grams that the bike gains; 0 for work that adds nothing. */
  mass: number;
  price: number;
  /** Minutes in the garage. */
  minutes: number;
  /** Factor on the rate of each trouble that it touches. */
  factors: Readonly<Record<string, number>>;
  only: BikeTraits;
  /** Fitted already where the bike has this; then it is no question any more. */
  fitted: string | null;
  caution: string;
}
const p = (
  id: string,
  name: string,
  [mass, price, minutes]: [number, number, number],
  factors: Record<string, number>,
  more: Partial<Pick<Prevention, 'only' | 'fitted' | 'caution'>> = {},
): Prevention => ({ id, name, mass, price, minutes, factors, only: {}, fitted: null, caution: '', ...more });

export const PREVENTIONS: readonly Prevention[] = [
  p(
    'hand-guards',
    'Hand guards',
    [620, 70, 60],
    { 'clutch-lever': 0.3, 'brake-lever': 0.3 },
    { fitted: 'hand guards' },
  ),
  p(
    'levers-turn',
    'Levers clamped so that they turn in a fall',
    [0, 0, 10],
    { 'clutch-lever': 0.6, 'brake-lever': 0.6 },
    {
      caution: 'A lever clamp that is left loose must still hold a full pull: try it before you ride.',
    },
  ),
  p('skid-plate', 'Skid plate', [1900, 140, 60], { case: 0.2, 'oil-leak': 0.7 }, { fitted: 'skid plate' }),
  p(
    'radiator-guard',
    'Radiator guard',
    [450, 80, 45],
    { radiator: 0.25, overheating: 0.9 },
    {
      fitted: 'radiator guard',
      only: { cooling: 'liquid' },
    },
  ),
  p('locks', 'Disc lock with an alarm, key apart', [650, 60, 5], { theft: 0.4 }),
  p('threadlocker', 'Threadlocker and paint marks on what shakes', [0, 9, 90], {
    'fastener-lost': 0.45,
    'fastener-loose': 0.5,
    sprocket: 0.4,
    exhaust: 0.5,
  }),
  p('sealing', 'Wires taped, tied clear and plugs greased', [60, 8, 90], {
    fuse: 0.5,
    charging: 0.6,
    coil: 0.7,
    switch: 0.6,
  }),
  p('new-cables', 'Cables renewed', [0, 45, 90], { 'control-cable': 0.35, 'throttle-cable': 0.35 }),
  p(
    'new-pads',
    'Brake pads renewed',
    [0, 40, 60],
    { pads: 0.2, 'service-pads': 0.1 },
    { caution: 'New pads brake badly at first: bed them in before you leave.' },
  ),
  p('new-battery', 'Battery tested or renewed', [0, 80, 30], { battery: 0.4 }),
  p(
    'sealant',
    'Sealant in the tyres',
    [260, 20, 20],
    { 'puncture-tubeless': 0.6, 'slow-leak': 0.5 },
    { only: { tyres: 'tubeless' } },
  ),
  p('heavy-tubes', 'Heavy tubes fitted', [950, 40, 90], { 'puncture-tube': 0.6 }, { only: { tyres: 'tubed' } }),
  p(
    'new-chain',
    'Chain and sprockets renewed',
    [0, 160, 120],
    { chain: 0.3, 'chain-off': 0.4, 'chain-slack': 0.5 },
    {
      only: { drive: 'chain' },
    },
  ),
  p('fresh-filter', 'Air filter cleaned and oiled', [0, 4, 40], { 'air-filter': 0.5 }),
  p('fresh-plug', 'New spark plug', [0, 9, 25], { 'plug-fouled': 0.4, 'service-plug': 0 }),
];

/** Those that are still a question on a bike. */
export const preventionsFor = (bike: Bike): Prevention[] =>
  PREVENTIONS.filter(
    (x) => hasTraits(x.only, bike) && !(x.fitted && (bike.fitted as readonly string[]).includes(x.fitted)),
  );
