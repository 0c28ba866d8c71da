import { cut } from '../../ground/text.js';
import { FUNCTIONS, type PieceFunction, type PieceModel } from '../tools/piece.js';
import { refuse } from './bench.js';

/** Grams and mm of a thing of which only the name is said. Planning values. */
const THING = { mass: 100, size: { length: 120, width: 60, height: 30 } };

/**
 * Something that turns nothing, or is made at home: its name, and after `to` what it is there for: `made hooked arm to pry`, `thing towel to pad`.
 * @throws Stop when it has no name, or is there for nothing that a repair asks for
 */
export function thing(text: string, kind: 'other' | 'home-made'): PieceModel {
  const [name = '', to = ''] = text.trim().split(/(?:^| )to /iu, 2);
  const wanted = to
    .split(/,| and /iu)
    .map((w) => w.trim().toLowerCase())
    .filter(Boolean);
  const unknown = wanted.find((w) => !FUNCTIONS.includes(w as PieceFunction));
  const called = name.trim();
  if (called === '') throw refuse('say what it is called: thing towel 110g to pad');
  if (unknown !== undefined)
    throw refuse(
      `"${cut(unknown, 40)}" is nothing that a repair asks for: after “to” say one of ${FUNCTIONS.join(', ')}`,
    );
  const [first = ''] = called;
  return {
    name: cut(first.toUpperCase() + called.slice(first.length), 110),
    kind,
    modes: [],
    functions: wanted as PieceFunction[],
    traits: [],
    mass: THING.mass,
    size: THING.size,
    price: 0,
  };
}
