import { newBike, newFastener } from '../bike/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';
import { newPlace } from '../stow/index.js';
import { combinationSpanner, functional, newPiece, socket, ratchet } from '../toolbox/tools/index.js';
import { newLeg, newTrip } from '../trip/index.js';
import { newSupply } from '../repairs/supplies/index.js';
import { uuid } from './make.js';

/** The least garage in which everything is asked: one bike with three heads, five tools, a spare, a place, a trip of two legs. Answered at once. */
export function tinyGarage(): GarageDocument {
  const bike = newBike(uuid(1), 'Tiny');
  const hex = (n: number, size: string, role: 'rear axle' | null = null) =>
    newFastener({
      id: uuid(n),
      bikeId: bike.id,
      head: { form: 'hex', size },
      name: `Bolt ${size}`,
      role,
      torque: { value: 8, source: 'manual' },
    });
  const leg = (n: number, track: number) => ({
    ...newLeg(uuid(n), `Leg ${n}`),
    days: 1,
    km: { paved: 50, gravel: 20, track },
  });
  return {
    ...emptyDocument({ name: 'Tiny' }),
    bikes: [bike],
    fasteners: [hex(2, '10'), hex(3, '13', 'rear axle'), hex(4, '24')],
    pieces: [
      newPiece(combinationSpanner('10'), { id: uuid(5) }),
      newPiece(combinationSpanner('13'), { id: uuid(6) }),
      newPiece(ratchet('1/4in'), { id: uuid(7) }),
      newPiece(socket('1/4in', '10'), { id: uuid(8) }),
      newPiece(functional('Pump', ['inflate', 'hand air'], 130, [200, 30, 30], 20), { id: uuid(9) }),
    ],
    supplies: [newSupply({ id: uuid(10), kind: 'patch', quantity: 6 })],
    places: [newPlace(uuid(11), bike)],
    trips: [{ ...newTrip(uuid(12), 'Trip'), legs: [leg(13, 60), leg(14, 0)] }],
  };
}
