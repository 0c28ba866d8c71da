import { BRAKE_TROUBLES } from './brakes.js';
import { DRIVE } from './drive.js';
import { ELECTRICS } from './electrics.js';
import { ENGINE } from './engine.js';
import { FALL } from './fall.js';
import { LOOSE } from './loose.js';
import { PEOPLE } from './people.js';
import { SERVICES } from './services.js';
import type { Trouble } from './trouble.js';
import { WHEELS } from './wheels.js';

/** Everything that this program knows to go wrong or fall due, with its ways. Planning values throughout. */
export const TROUBLES: readonly Trouble[] = [
  ...WHEELS,
  ...LOOSE,
  ...FALL,
  ...DRIVE,
  ...ELECTRICS,
  ...ENGINE,
  ...BRAKE_TROUBLES,
  ...PEOPLE,
  ...SERVICES,
];
