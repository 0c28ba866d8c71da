import { newFastener, type Fastener } from '../bike/index.js';
import type { Head } from '../ground/sizes/index.js';

/** Heads that some stranger's bike is likely to have turned by the road. Planning values. */
const HEADS: [string, Head, number][] = [
  ...['8', '10', '12', '13', '14', '17'].map((s): [string, Head, number] => [`hex ${s}`, { form: 'hex', size: s }, 10]),
  ...['22', '24', '27', '32'].map((s): [string, Head, number] => [`axle nut ${s}`, { form: 'hex', size: s }, 70]),
  ...['4', '5', '6', '8'].map((s): [string, Head, number] => [`inside hex ${s}`, { form: 'key', size: s }, 8]),
  ['cross-recess 2', { form: 'ph', size: '2' }, 2],
  ['six-lobe 30', { form: 'lobe', size: '30' }, 8],
];
const ID = '00000000-0000-4000-8000-';
export const STRANGERS_BIKE = `${ID}00000000ffff`;

/** The heads of a bike that nobody knows yet. */
export const strangersHeads = (): Fastener[] =>
  HEADS.map(([name, head, torque], i) =>
    newFastener({
      id: `${ID}${(0xf000 + i).toString(16).padStart(12, '0')}`,
      bikeId: STRANGERS_BIKE,
      name: `a stranger’s ${name}`,
      head,
      torque: { value: torque, source: 'planning value' },
      condition: 'clean',
    }),
  );
