import type { CrewAnswer, CrewCase } from '../crew/index.js';
import { emptyDocument, type GarageDocument } from '../garage/index.js';

/**
 * A list of one rider as a garage of theirs: their bike, what they carry, the trip, and the list as a saved kit that is packed as it is.
 * @param member number of the rider among the crew, from 0
 * @throws RangeError where nobody of that number rides along
 */
export function riderFile(
  c: CrewCase,
  answer: CrewAnswer,
  member: number,
  given: { nextId: () => string; made: string },
): GarageDocument {
  const m = c.members[member];
  const told = answer.carriers[member];
  if (!m || !told) throw new RangeError('nobody of that number rides along: choose somebody of the crew');
  const kitId = given.nextId();
  const pieces = c.problem.pieces.flatMap((p) => {
    const token = told.tokens.find((t) => t.item === `piece ${p.id}`);
    if (!token || p.kind === undefined) return [];
    const from = token.of.filter((o) => o.member !== member).map((o) => c.members[o.member]?.name ?? '');
    const id = /^[0-9a-f-]{36}$/u.test(p.id) ? p.id : given.nextId();
    return [
      {
        ...p,
        id,
        count: token.count,
        mark: null,
        onlyBike: null,
        note: from.length > 0 ? `From ${from.join(', ')}.` : p.note,
      },
    ];
  });
  const supplies = told.tokens.flatMap((t) => {
    const of = c.classes.get(t.item.replace(/^spare /u, ''));
    return of && t.item.startsWith('spare ')
      ? [{ kind: of.kind, fits: of.fits, count: t.count, name: t.name, mass: t.mass }]
      : [];
  });
  const trip = {
    ...c.trip,
    companions: c.members.length - 1,
    along: [],
    pillion: 0,
    kit: { ...c.trip.kit, use: kitId },
  };
  const byKind = new Map<string, (typeof supplies)[number]>();
  for (const s of supplies) {
    const known = byKind.get(s.kind);
    byKind.set(s.kind, known ? { ...known, count: known.count + s.count, mass: known.mass + s.mass } : s);
  }
  return {
    ...emptyDocument({ name: `${m.name}: ${c.trip.name}`.slice(0, 120), rider: m.person }),
    bikes: [m.bike],
    fasteners: m.fasteners,
    pieces,
    kinds: m.kinds,
    supplies: supplies.map((s) => ({
      ...{ id: given.nextId(), kind: s.kind, quantity: s.count, fits: s.fits, bought: null, opened: null },
      ...{ condition: 'new' as const, fittedOn: null, mark: null, note: '' },
    })),
    trips: [trip],
    places: m.places,
    kits: [
      {
        id: kitId,
        name: `Shared kit: ${m.name}`.slice(0, 120),
        bikeId: m.bike.id,
        tripId: trip.id,
        made: given.made,
        frozen: true,
        pieces: pieces.map((p) => ({ pieceId: p.id, name: p.name, count: p.count, mass: p.mass })),
        supplies: [...byKind.values()].map((s) => ({
          kind: s.kind.slice(0, 60),
          name: s.name.slice(0, 120),
          quantity: s.count,
          mass: s.mass,
        })),
        figures: { mass: told.mass, bulk: told.bulk, price: 0, reached: 0, chosen: 0, saved: 0, atStake: 0, home: 0 },
        note: '',
      },
    ],
  };
}
