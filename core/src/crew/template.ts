import { newBike, type Bike, type Fastener, type Role } from '../bike/index.js';
import { sizePrior } from '../bike/sizePrior.js';
import { looksOf, proposal } from '../bike/walk/index.js';

/** Kinds of bike that a companion is likely to ride, each with what such a bike usually is. Typical values throughout. */
export const BIKE_KINDS = {
  enduro: {
    mass: 118_000,
    payload: 165_000,
    tank: 8.5,
    wheelbase: 1480,
    seatHeight: 950,
    starter: 'electric and kick',
  },
  trail: { mass: 125_000, payload: 160_000, tank: 9, wheelbase: 1380, seatHeight: 830 },
  'dual-sport': { mass: 150_000, payload: 180_000, tank: 11, wheelbase: 1470, seatHeight: 890 },
  adventure: {
    ...{
      mass: 225_000,
      payload: 210_000,
      tank: 20,
      wheelbase: 1550,
      seatHeight: 860,
      seat: 'stepped',
      engine: 'parallel twin',
    },
    ...{ tyreFront: '110/80-19', tyreRear: '150/70-17', tyres: 'tubeless', brakeFront: 'two discs', wheels: 'cast' },
  },
  touring: {
    ...{
      mass: 250_000,
      payload: 215_000,
      tank: 24,
      wheelbase: 1510,
      seatHeight: 815,
      seat: 'stepped',
      engine: 'in-line four',
    },
    ...{ tyreFront: '120/70-17', tyreRear: '180/55-17', tyres: 'tubeless', brakeFront: 'two discs', wheels: 'cast' },
    drive: 'shaft',
  },
  cruiser: {
    ...{
      mass: 265_000,
      payload: 190_000,
      tank: 17,
      wheelbase: 1640,
      seatHeight: 690,
      seat: 'stepped',
      engine: 'v-twin',
    },
    ...{ tyreFront: '130/90-16', tyreRear: '150/80-16', cooling: 'air', drive: 'belt' },
  },
  street: {
    ...{ mass: 185_000, payload: 185_000, tank: 14, wheelbase: 1420, seatHeight: 795, engine: 'parallel twin' },
    ...{ tyreFront: '120/70-17', tyreRear: '160/60-17', tyres: 'tubeless', brakeFront: 'two discs', wheels: 'cast' },
  },
  scooter: {
    ...{ mass: 130_000, payload: 165_000, tank: 7, wheelbase: 1340, seatHeight: 780, seat: 'stepped', drive: 'belt' },
    ...{ tyreFront: '110/70-14', tyreRear: '130/70-13', tyres: 'tubeless', wheels: 'cast' },
  },
} as const satisfies Record<string, Partial<Bike>>;
export type BikeKind = keyof typeof BIKE_KINDS;

/** A bike of a kind, before anything more is known of it. */
export const templateBike = (id: string, name: string, kind: BikeKind | null): Bike => ({
  ...newBike(id, name),
  ...(kind ? BIKE_KINDS[kind] : {}),
});

/** Jobs whose size nobody can guess well: each size that is common counts, until somebody looks. */
const UNSURE: ReadonlySet<Role | null> = new Set<Role | null>(['front axle', 'rear axle']);
/** Sizes that hold wheels on such bikes, outside hexagons, mm. */
const AXLE_HEXES = ['17', '19', '22', '24', '27', '30', '32'];
/** Share of all such bikes that the sizes looked at cover. Typical value. */
const COVERS = 0.8;
/** What a template looks at: heads of a job by the road, and those that shake loose. */
const matters = (f: Fastener): boolean => f.role !== null || f.shakesLoose;

/** A size that an unknown head may have, with how likely that is. */
export interface Guess {
  size: string;
  odds: number;
}

/** Sizes that an axle nut of an unknown bike may have, the likeliest first, as many as cover most bikes. */
export function axleGuesses(bike: Bike): Guess[] {
  const prior = sizePrior('hex', { thread: null, accessory: false, id: '' }, []);
  const weights = AXLE_HEXES.map((size) => ({ size, w: prior({ form: 'hex', size }) * fits(bike, Number(size)) }));
  const sum = weights.reduce((s, x) => s + x.w, 0);
  const out: Guess[] = [];
  let covered = 0;
  for (const { size, w } of weights.sort((a, b) => b.w - a.w || Number(a.size) - Number(b.size))) {
    if (covered >= COVERS) break;
    out.push({ size, odds: w / sum });
    covered += w / sum;
  }
  return out;
}
/** Light bikes have small axles: so much likelier is a size on a bike of its weight. Typical value. */
const fits = (bike: Bike, mm: number): number => {
  const usual = bike.mass < 130_000 ? 19 : bike.mass < 170_000 ? 24 : 27;
  return 2 ** (-Math.abs(mm - usual) / 4);
};

/** Fasteners that such a bike usually has, all of them assumed; a size that nobody can guess is listed with each that is likely. */
export function templateFasteners(bike: Bike, nextId: () => string): Fastener[] {
  return looksOf(bike)
    .map((look) => proposal(look, bike, nextId()))
    .filter(matters)
    .flatMap((f): Fastener[] =>
      UNSURE.has(f.role)
        ? axleGuesses(bike).map((g) => ({
            ...f,
            id: nextId(),
            name: `${f.name}, if ${g.size} mm`,
            head: { form: 'hex', size: g.size },
            far: null,
            look: null,
            note: `Not known: ${Math.round(100 * g.odds)} % of such bikes. Typical value.`,
          }))
        : [f],
    );
}

/** The jobs of a companion's bike whose size is not known, with the sizes that count until it is. */
export function unknownJobs(fasteners: readonly Fastener[]): { role: Role; rows: Fastener[] }[] {
  const by = new Map<Role, Fastener[]>();
  for (const f of fasteners)
    if (f.role !== null && UNSURE.has(f.role) && / if \S+ mm$/u.test(f.name))
      by.set(f.role, [...(by.get(f.role) ?? []), f]);
  return [...by].map(([role, rows]) => ({ role, rows }));
}

/** A fact that came in: the head of a job is this size, and its other guesses go. */
export function settleSize(fasteners: readonly Fastener[], role: Role, size: string): Fastener[] {
  const [first, ...rest] = unknownJobs(fasteners).find((u) => u.role === role)?.rows ?? [];
  if (!first) return [...fasteners];
  const gone = new Set(rest.map((f) => f.id));
  return fasteners
    .filter((f) => !gone.has(f.id))
    .map((f) =>
      f.id === first.id
        ? {
            ...f,
            name: f.name.replace(/, if \S+ mm$/u, ''),
            head: { form: 'hex' as const, size },
            evidence: 'measured' as const,
            note: '',
          }
        : f,
    );
}
