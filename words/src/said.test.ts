import { describe, expect, test } from '@jest/globals';
import { said, type Fact } from './index.js';

const hex = (size: string) => ({ form: 'hex' as const, size });

/** A fact, how it reads in metric, and in inches where that differs. */
const SENTENCES: readonly (readonly [fact: Fact, metric: string, inch?: string])[] = [
  [
    { code: 'reach.recess', deep: 40, reaches: 32 },
    'the head sits 40 mm deep, this reaches 32 mm: 8 mm short',
    'the head sits 1.57 in deep, this reaches 1.26 in: 0.31 in short',
  ],
  [
    { code: 'reach.clearance', free: 20, piece: 'Socket', wide: 24 },
    '20 mm is free round the head, Socket is 24 mm wide',
    '0.79 in is free round the head, Socket is 0.94 in wide',
  ],
  [
    { code: 'reach.rim', deep: 40, piece: 'Ratchet ⅜ in', below: 12 },
    'the well is 40 mm deep, the handle of Ratchet ⅜ in would lie 12 mm below its rim',
    'the well is 1.57 in deep, the handle of Ratchet ⅜ in would lie 0.47 in below its rim',
  ],
  [
    { code: 'reach.headroom', room: 50, high: 62 },
    '50 mm of room in line, this stands 62 mm high',
    '1.97 in of room in line, this stands 2.44 in high',
  ],
  [
    { code: 'reach.thin', limit: 5.5, piece: 'Spanner', thick: 7.25 },
    'only 5.5 mm thick goes in, Spanner is 7.25 mm',
    'only 0.22 in thick goes in, Spanner is 0.29 in',
  ],
  [
    { code: 'reach.thin', limit: 6, piece: 'Socket', thick: null },
    'only a spanner up to 6 mm thick goes in',
    'only a spanner up to 0.24 in thick goes in',
  ],
  [{ code: 'reach.swing', swing: 20, piece: 'Spanner', step: 60 }, '20° of swing, Spanner takes 60° to the next bite'],
  [
    { code: 'reach.stud', stud: 30, piece: 'Socket', hollow: 12 },
    '30 mm stands through the head, the hollow of Socket is 12 mm',
    '1.18 in stands through the head, the hollow of Socket is 0.47 in',
  ],
  [
    { code: 'reach.bears', need: 147, piece: 'Ratchet', bears: 60 },
    'breaking loose takes 147 N·m, Ratchet bears 60 N·m',
    'breaking loose takes 108.4 lb·ft, Ratchet bears 44.3 lb·ft',
  ],
  [
    { code: 'reach.arm', need: 147, force: 600, arm: 240, gives: 144, pipe: 55 },
    'breaking loose takes 147 N·m, 600 N on 240 mm gives 144 N·m: a pipe of 55 mm closes it',
    'breaking loose takes 108.4 lb·ft, 135 lbf on 9.45 in gives 106.2 lb·ft: a pipe of 2.17 in closes it',
  ],
  [
    { code: 'reach.palm', need: 1.2, piece: 'Wheel', gives: 1 },
    'breaking loose takes 1.2 N·m, a hand on Wheel gives 1 N·m',
    'breaking loose takes 0.9 lb·ft, a hand on Wheel gives 0.7 lb·ft',
  ],
  [{ code: 'reach.nothing-fits', head: { form: 'key', size: '14' } }, 'nothing in the toolbox turns inside hex 14'],
  [
    { code: 'reach.nothing-drives', piece: 'Bit', by: { form: 'drive', size: '1/2in' } },
    'Bit fits, but nothing in the toolbox turns it: it takes a square drive ½ in handle',
  ],
  [
    { code: 'reach.nothing-drives', piece: 'Bit', by: hex('1/4in') },
    'Bit fits, but nothing in the toolbox turns it: it takes a tool that turns hex ¼ in',
  ],
  [
    { code: 'reach.nothing-drives', piece: 'Handle', by: 'hand' },
    'Handle fits, but nothing in the toolbox turns it: it takes a hand',
  ],
  [
    { code: 'cure.near-size', piece: 'Socket ½ in', tool: hex('1/2in'), head: hex('13'), of100: 99 },
    'Socket ½ in is made for hex ½ in: it fits 99 of 100 heads of hex 13',
  ],
  [{ code: 'fit.play', verdict: 'fits', degrees: 4.26 }, '4.3° of free play at worst'],
  [
    { code: 'fit.play', verdict: 'loose', degrees: 7 },
    'loose: 7.0° of free play at worst; spins it by hand, rounds it under load',
  ],
  [{ code: 'fit.play', verdict: 'rounds', degrees: 12 }, 'rounds the head off: 12.0° of free play at worst'],
  [{ code: 'fit.goes-on', of100: 80 }, 'goes on 80 of 100 such heads only'],
  [{ code: 'fit.does-not-go-on' }, 'does not go on'],
  [{ code: 'torque.source', source: 'planning value' }, 'typical value'],
  [{ code: 'torque.source', source: 'manual' }, 'manual'],
  [{ code: 'torque.plug' }, 'typical value for a spark plug'],
  [{ code: 'torque.thread', thread: 'M10' }, 'typical value for M10'],
  [
    { code: 'torque.job', role: 'rear axle', from: 80, to: 150 },
    'typical value for a rear axle, usually 80 N·m to 150 N·m',
    'typical value for a rear axle, usually 59.0 lb·ft to 110.6 lb·ft',
  ],
  [
    { code: 'torque.break-loose', tightening: 98, of: { code: 'torque.head' }, factor: 1.5, condition: 'dirty' },
    '98 N·m (typical value for such a head) × 1.5 dirty',
    '72.3 lb·ft (typical value for such a head) × 1.5 dirty',
  ],
  [{ code: 'line.torque', typed: '30 lb·ft', value: 40.7, source: null }, '30 lb·ft, 40.7 N·m', '30 lb·ft, 30.0 lb·ft'],
  [{ code: 'line.torque', typed: null, value: 30, source: 'manual' }, '30 N·m, manual', '22.1 lb·ft, manual'],
  [{ code: 'line.length', mm: 61, of: 'recess' }, '61 mm deep', '2.40 in deep'],
  [{ code: 'line.length', mm: 12, of: 'clearance' }, '12 mm free round it', '0.47 in free round it'],
  [
    { code: 'stow.no-slot', long: 250, middle: 40, longest: 220, widest: 30 },
    '250 mm × 40 mm, the longest slot is 220 mm and the widest 30 mm',
    '9.84 in × 1.57 in, the longest slot is 8.66 in and the widest 1.18 in',
  ],
  [
    { code: 'stow.no-angle', sides: [300, 200, 100], inside: [250, 150, 90] },
    '300 mm × 200 mm × 100 mm does not fit at any angle, there is 250 mm × 150 mm × 90 mm',
    '11.81 in × 7.87 in × 3.94 in does not fit at any angle, there is 9.84 in × 5.91 in × 3.54 in',
  ],
  [
    { code: 'stow.too-long', long: 300, longest: 250 },
    '300 mm long, the longest that goes in is 250 mm',
    '11.81 in long, the longest that goes in is 9.84 in',
  ],
  [
    { code: 'stow.bore', middle: 60, thin: 50, bore: 70 },
    '60 mm × 50 mm across, the tube is 70 mm wide',
    '2.36 in × 1.97 in across, the tube is 2.76 in wide',
  ],
  [
    { code: 'stow.too-tall', tall: 300, room: 250 },
    'stands 300 mm tall, there is 250 mm',
    '11.81 in tall, there is 9.84 in'.replace('11.81', 'stands 11.81'),
  ],
  [{ code: 'stow.slots-taken', count: 12 }, 'all slots of its size are taken, 12 in all'],
  [
    { code: 'stow.no-room', more: 500, usable: 2000, taken: 1700 },
    '0.50 L more in 2.0 L with 1.7 L taken',
    '0.53 qt more in 2.1 qt with 1.8 qt taken',
  ],
  [
    { code: 'stow.over-weight', mass: 1500, bears: 900 },
    '1.50 kg where the mount bears 900 g',
    '3.31 lb where the mount bears 31.7 oz',
  ],
  [{ code: 'stow.not-laid', names: [] }, 'no way was found to lay it beside what is there'],
  [{ code: 'stow.not-laid', names: ['Pump', 'Roll'] }, 'no way was found to lay these beside each other: Pump, Roll'],
  [{ code: 'stow.blade-shut-in', place: 'Roll' }, 'Roll is tied shut, and every blade lies inside: keep one outside'],
  [
    { code: 'load.payload', carried: 190_000, allows: 180_000 },
    '190.0 kg on board where the maker allows 180.0 kg',
    '418.88 lb on board where the maker allows 396.83 lb',
  ],
  [
    { code: 'load.rack', carried: 7000, bears: 6000 },
    '7.0 kg on the rack, which bears 6.0 kg',
    '15.43 lb on the rack, which bears 13.23 lb',
  ],
  [
    { code: 'load.tyre', tyre: 'rear tyre', carries: 260_000, index: 66, bears: 250_000 },
    '260.0 kg on the rear tyre, load index 66 bears 250.0 kg',
    '573.20 lb on the rear tyre, load index 66 bears 551.16 lb',
  ],
  [
    { code: 'load.front-share', lost: 3.41, most: 3 },
    'the front wheel has 3.4 points less of the weight than with the rider alone; over 3 it is felt',
  ],
  [
    { code: 'load.side', moment: 1.8, to: 'left', most: 1.5 },
    '1.80 kg·m to the left, 1.50 kg·m is the most',
    '13.02 lb·ft to the left, 10.85 lb·ft is the most',
  ],
  [
    { code: 'load.back', carried: 6500, most: 6000 },
    '6.5 kg on the rider, over 6.0 kg',
    '14.33 lb on the rider, over 13.23 lb',
  ],
  [
    {
      code: 'stranded.no-rescue',
      ...{ raise: 3, by: 'foot', helpKm: 12, helpSpeed: 4 },
      ...{ wait: 2, beyondCover: true, workshopKm: 200, onTow: false, speed: 40 },
    },
    '3.0 h walk 12 km at 4 km/h + 2.0 h wait (beyond the cover) + 200 km hitching at 40 km/h',
    '3.0 h walk 7 mi at 2 mph + 2.0 h wait (beyond the cover) + 124 mi hitching at 25 mph',
  ],
  [
    {
      code: 'stranded.no-rescue',
      ...{ raise: 0.3, by: 'companion', helpKm: 4.5, helpSpeed: 15 },
      ...{ wait: 0, beyondCover: false, workshopKm: 200, onTow: true, speed: 25.5 },
    },
    '0.3 h companion rides 4.5 km at 15 km/h + 0.0 h wait + 200 km on tow at 25.5 km/h',
    '0.3 h companion rides 2.8 mi at 9 mph + 0.0 h wait + 124 mi on tow at 15.8 mph',
  ],
  [
    {
      code: 'stranded.rescued',
      ...{ raise: 0.25, by: 'signal', helpKm: 12, helpSpeed: 4 },
      ...{ recovery: 'friend', arrive: 6, transport: 4, workshopKm: 200, speed: 50 },
    },
    '0.3 h call with signal + 6.0 h until the friend is there + 4.0 h back over 200 km at 50 km/h',
    '0.3 h call with signal + 6.0 h until the friend is there + 4.0 h back over 124 mi at 31 mph',
  ],
  [
    {
      code: 'due.interval',
      km: { every: 6000, gone: 5400, dust: 1.5 },
      hours: { every: 30, gone: 12 },
      days: { every: 365, last: null },
    },
    'every 6000 km, 5400 km gone; dust counts a distance on gravel or track 1.5 times; every 30 engine hours, 12 gone; every 365 days, last not known',
    'every 3728 mi, 3355 mi gone; dust counts a distance on gravel or track 1.5 times; every 30 engine hours, 12 gone; every 365 days, last not known',
  ],
  [
    { code: 'due.interval', km: null, hours: null, days: { every: 365, last: '2026-01-01' } },
    'every 365 days, last 2026-01-01',
  ],
  [
    {
      code: 'fuel.range',
      ...{ tank: 12, reserve: 0.15, consumption: 5, factor: 1.1, range: 185.4, gap: 220, detour: 1.2, per100: 5.5 },
    },
    '12.0 L × (1 − 0.15) ÷ (5.0 L/100 km × 1.10 for the ground) = 185 km; spare = (220 km × 1.2 − range) × 5.5 L/100 km',
    '3.2 gal × (1 − 0.15) ÷ (2.1 gal/100 mi × 1.10 for the ground) = 115 mi; spare = (137 mi × 1.2 − range) × 2.3 gal/100 mi',
  ],
  [
    {
      code: 'stock.level',
      asked: [
        { trouble: 'Puncture', lambda: 0.4, units: 2 },
        { trouble: 'Leak', lambda: 0.1, units: 1 },
      ],
      quantity: 4,
      enough: 0.9912,
    },
    'Puncture: Λ 0.400 × 2; Leak: Λ 0.100 × 1. P(demand ≤ 4) = 99.1 %',
  ],
  [
    {
      code: 'count.lambda',
      ridden: [
        { rate: 0.05, km: 500, on: 'paved' },
        { rate: 0.4, km: 300, on: 'gravel' },
      ],
      crossings: { rate: 0.02, times: 3 },
      ...{ factor: 1.2, weak: 3, record: { factor: 2, events: 4, expected: 1 }, lambda: 0.3 },
    },
    'Λ = (0.05 per 1000 km × 500 km paved + 0.4 per 1000 km × 300 km gravel + 0.02 × 3 crossings) × 1.20 for age, load and care × 3 as a weak point of this bike × 2.00 by your record ((2 + 4) ÷ (2 + 1.00)) = 0.300',
    'Λ = (0.08 per 1000 mi × 311 mi paved + 0.64 per 1000 mi × 186 mi gravel + 0.02 × 3 crossings) × 1.20 for age, load and care × 3 as a weak point of this bike × 2.00 by your record ((2 + 4) ÷ (2 + 1.00)) = 0.300',
  ],
  [
    { code: 'count.lambda', ridden: [], crossings: null, factor: 1, weak: 1, record: null, lambda: 0 },
    'Λ = (0) × 1.00 for age, load and care = 0.000',
  ],
  [
    {
      code: 'count.due',
      services: [
        { name: 'Oil', due: { code: 'due.interval', km: null, hours: { every: 30, gone: 12 }, days: null } },
        { name: 'Filter', due: { code: 'due.interval', km: null, hours: { every: 15, gone: 2 }, days: null } },
      ],
    },
    'Oil: every 30 engine hours, 12 gone. Filter: every 15 engine hours, 2 gone',
  ],
  [
    { code: 'count.aired', times: 4, low: 100, high: 180 },
    '4 times between 100 kPa and 180 kPa, as the trip says',
    '4 times between 15 psi and 26 psi, as the trip says',
  ],
  [{ code: 'supply.spent' }, 'spent'],
  [{ code: 'supply.past-date', until: '2027-01-31' }, 'past its date, 2027-01-31'],
  [
    { code: 'supply.made-for', fits: '120/90-18', because: [{ code: 'supply.rim', rim: 18, tyre: '90/90-21' }] },
    'made for 120/90-18: for a 18 inch rim, the tyre is 90/90-21',
  ],
  [
    {
      code: 'supply.made-for',
      fits: '525, rivet',
      because: [
        { code: 'supply.differs', what: 'size', there: 525, here: 520 },
        { code: 'supply.differs', what: 'kind of link', there: 'rivet', here: 'clip' },
      ],
    },
    'made for 525, rivet: size 525, here 520, kind of link rivet, here clip',
  ],
  [{ code: 'supply.made-for', fits: 'round', because: [] }, 'made for round'],
  [{ code: 'sheet.tube', rim: 19, tyre: '90/90-21' }, 'a tube for a 19 inch rim does not go into the 90/90-21 tyre'],
  [
    { code: 'way.lasting', lasts: { km: 150, kmh: 80 }, ruin: 'heat' },
    'Good for about 150 km at no more than 80 km/h: a typical value, the maker’s rule comes first. What ends it: heat.',
    'Good for about 93 mi at no more than 50 mph: a typical value, the maker’s rule comes first. What ends it: heat.',
  ],
  [{ code: 'way.lasting', lasts: null, ruin: 'heat' }, 'What ends it: heat.'],
];

describe('what core says, in words', () => {
  test.each(SENTENCES)('%j', (fact, metric, inch = metric) => {
    expect([said('metric', fact), said('inch', fact)]).toEqual([metric, inch]);
  });
  test('nothing is empty, a text stands as it is, several facts stand behind each other', () => {
    expect([said('metric', null), said('metric', []), said('metric', 'as it is')]).toEqual(['', '', 'as it is']);
    expect(said('metric', [{ code: 'stow.dry' }, { code: 'stow.too-tall', tall: 300, room: 250 }])).toBe(
      'must be kept dry; stands 300 mm tall, there is 250 mm',
    );
    expect(said('inch', ['every ', { quantity: 'distance', value: 100 }])).toBe('every 62 mi');
  });
});
