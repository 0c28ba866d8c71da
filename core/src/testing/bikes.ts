import fc from 'fast-check';
import { BRAKES, DRIVES, ENGINES, FITTINGS, STARTERS, TYRES, newBike, type Bike } from '../bike/index.js';
import { uuid } from './make.js';

/** Any kind of bike that there is. */
export const anyBike: fc.Arbitrary<Bike> = fc
  .record({
    drive: fc.constantFrom(...DRIVES),
    engine: fc.constantFrom(...ENGINES),
    tyres: fc.constantFrom(...TYRES),
    cooling: fc.constantFrom('air' as const, 'liquid' as const),
    fuelling: fc.constantFrom('carburettor' as const, 'injection' as const),
    strokes: fc.constantFrom(2 as const, 4 as const),
    plugs: fc.constantFrom(1 as const, 2 as const),
    starter: fc.constantFrom(...STARTERS),
    wheels: fc.constantFrom('spoked' as const, 'cast' as const),
    brakeFront: fc.constantFrom(...BRAKES),
    brakeRear: fc.constantFrom('disc' as const, 'drum' as const),
    mass: fc.integer({ min: 90_000, max: 300_000 }),
    fitted: fc.subarray([...FITTINGS]),
  })
  .map((fields): Bike => ({ ...newBike(uuid(1), 'Any'), ...fields }));
