import type { OwnKind } from '../repairs/supplies/index.js';
import { uuid } from './make.js';

/** A kind of spare that a rider added. */
export const brakeHose: OwnKind = {
  id: uuid(900),
  name: 'brake hose',
  unit: 'hose',
  mass: 140,
  size: { length: 180, width: 120, height: 20 },
  price: 45,
  traits: ['soft'],
  matches: true,
  note: '',
};
