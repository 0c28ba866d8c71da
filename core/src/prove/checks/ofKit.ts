import type { KitPiece, KitSpare } from '../../kit/index.js';
import { goodUntil, type Supply } from '../../repairs/supplies/index.js';
import { fitsNowhere } from '../../stow/index.js';
import type { Loan } from '../../toolbox/loan.js';
import type { PieceFunction } from '../../toolbox/tools/index.js';
import type { Gauge } from '../../trip/air/index.js';
import { tripDays } from '../../trip/index.js';
import type { ProveCase } from '../proveCase.js';
import { check, guarding, type Check } from './check.js';

/** What runs on charge. */
const CHARGED: readonly PieceFunction[] = ['electric air', 'jump-start', 'light', 'drill', 'read codes'];
/** What does so only where it must be kept dry: a beacon, not a whistle; a meter, not a test lamp. */
const CHARGED_IF_DRY: readonly PieceFunction[] = ['signal', 'measure current'];
const isCharged = ({ functions, traits }: KitPiece['piece']): boolean =>
  functions.some((f) => CHARGED.includes(f)) ||
  (traits.includes('kept dry') && functions.some((f) => CHARGED_IF_DRY.includes(f)));
/** A pack that lies about is charged again after so many days. Typical value: the maker’s paper comes first. */
const CHARGE_DAYS = 90;
/** Gauges are compared again after so many days. Planning value. */
const GAUGE_DAYS = 365;
/** Steel is oiled again after so many days. Planning value. */
const OIL_DAYS = 180;

/** Troubles of this trip among some. */
const known = (c: ProveCase, ids: readonly string[]): string[] =>
  c.exposures.map((e) => e.trouble.id).filter((id) => ids.includes(id));
const ofSpare = (c: ProveCase, s: KitSpare) => ({
  guards: s.hours,
  troubles: known(
    c,
    s.for.map((f) => f.troubleId),
  ),
  ofKit: true,
});
const ofPiece = (c: ProveCase, p: KitPiece) => ({
  guards: p.hours,
  troubles: known(
    c,
    [...p.serves, ...p.turnsFor].map((t) => t.id),
  ),
  ofKit: true,
});

function tubes(c: ProveCase): Check[] {
  return c.kit.spares
    .filter((s) => (s.kind === 'front tube' || s.kind === 'rear tube') && s.quantity > s.fitted)
    .map((s) =>
      check({
        key: `tube ${s.kind}`,
        about: { code: 'check.tube', name: s.name },
        when: 'before leaving',
        daysBefore: 2,
        where: 'kit',
        ...ofSpare(c, s),
      }),
    );
}

function dates(c: ProveCase, supplies: readonly Supply[]): Check[] {
  const packed = new Map(c.kit.spares.map((s) => [s.kind, s]));
  return supplies
    .filter((s) => s.fittedOn === null && s.mark !== 'never' && s.condition !== 'spent')
    .flatMap((s) => {
      const spare = packed.get(s.kind);
      const until = goodUntil(s);
      if (!spare || until === null) return [];
      return [
        check({
          key: `date ${s.id} ${until}`,
          about: { code: 'check.date', name: spare.name, until },
          when: 'on a date',
          date: until,
          where: 'kit',
          ...ofSpare(c, spare),
        }),
      ];
    });
}

function glue(c: ProveCase): Check[] {
  const patches = c.kit.spares.find((s) => s.kind === 'patch' && s.quantity > 0);
  if (!patches) return [];
  return [
    check({
      key: 'glue',
      about: { code: 'check.glue' },
      when: 'before leaving',
      daysBefore: 3,
      where: 'kit',
      ...ofSpare(c, patches),
    }),
  ];
}

function charge(c: ProveCase): Check[] {
  return c.kit.pieces
    .filter((p) => isCharged(p.piece))
    .map((p) =>
      check({
        key: `charge ${p.piece.id}`,
        about: {
          code: 'check.charge',
          name: p.piece.name,
          everyDays: CHARGE_DAYS,
          lithium: p.piece.functions.includes('jump-start'),
        },
        when: 'before leaving',
        daysBefore: 1,
        goodFor: CHARGE_DAYS,
        where: 'kit',
        ...ofPiece(c, p),
      }),
    );
}

function gauges(c: ProveCase, gauge: Gauge | null): Check[] {
  const own = c.kit.pieces.find((p) => p.piece.functions.includes('gauge'));
  if (!own) return [];
  return [
    check({
      key: 'gauge',
      about: { code: 'check.gauge', comparedOn: gauge?.on ?? null },
      when: 'before leaving',
      daysBefore: 7,
      goodFor: GAUGE_DAYS,
      where: 'kit',
      ...guarding(c, ['pressures']),
      ofKit: false,
    }),
  ];
}

function tools(c: ProveCase): Check[] {
  const steel = c.kit.pieces.some((p) => p.piece.traits.includes('hard') || p.piece.traits.includes('conductive'));
  const pump = c.kit.pieces.find((p) => p.piece.functions.includes('hand air'));
  const gas = c.kit.spares.find((s) => s.kind === 'gas cartridge' && s.quantity > 0);
  const worn = c.kit.pieces.filter((p) => p.piece.condition === 'worn');
  return [
    ...(steel
      ? [
          check({
            key: 'rust',
            about: { code: 'check.rust' },
            when: 'before leaving',
            daysBefore: 7,
            goodFor: OIL_DAYS,
            where: 'kit',
          }),
        ]
      : []),
    ...(pump
      ? [
          check({
            key: `pump ${pump.piece.id}`,
            about: { code: 'check.pump', name: pump.piece.name },
            when: 'before leaving',
            daysBefore: 7,
            goodFor: GAUGE_DAYS,
            where: 'kit',
            ...ofPiece(c, pump),
          }),
        ]
      : []),
    ...(gas
      ? [
          check({
            key: 'gas',
            about: { code: 'check.gas' },
            when: 'before leaving',
            daysBefore: 7,
            goodFor: GAUGE_DAYS,
            where: 'kit',
            ...ofSpare(c, gas),
          }),
        ]
      : []),
    ...worn.map((p) =>
      check({
        key: `worn ${p.piece.id}`,
        about: { code: 'check.worn', name: p.piece.name },
        when: 'before leaving',
        daysBefore: 7,
        where: 'kit',
        ...ofPiece(c, p),
      }),
    ),
  ];
}

/** What the kit still lacks in the hand: to be bought, to be fetched back, without a place. */
function inHand(c: ProveCase, loans: readonly Loan[]): Check[] {
  const buy = [
    ...c.kit.spares.filter((s) => s.buy > 0).map((s) => ({ name: s.name, count: s.buy })),
    ...c.kit.pieces.filter((p) => p.toBuy).map((p) => ({ name: p.piece.name, count: 1 })),
  ];
  const hours =
    c.kit.spares.filter((s) => s.buy > 0).reduce((sum, s) => sum + s.hours, 0) +
    c.kit.pieces.filter((p) => p.toBuy).reduce((sum, p) => sum + p.hours, 0);
  const lost = c.trip ? fitsNowhere({ stowed: [...c.packing.stowed] }) : [];
  return [
    ...(buy.length > 0
      ? [
          check({
            key: 'buy',
            about: { code: 'check.buy', things: buy },
            when: 'before leaving',
            daysBefore: 10,
            where: 'kit',
            guards: hours,
          }),
        ]
      : []),
    ...loans
      .filter((l) => l.settled === null)
      .map((l) =>
        check({
          key: `loan ${l.id}`,
          about: { code: 'check.loan', name: l.name, to: l.to, on: l.date },
          when: 'before leaving',
          daysBefore: 7,
          where: 'table',
        }),
      ),
    ...(lost.length > 0
      ? [
          check({
            key: 'no-place',
            about: { code: 'check.no-place', names: lost.map((s) => s.item.name) },
            when: 'before leaving',
            daysBefore: 3,
            where: 'bags',
          }),
        ]
      : []),
  ];
}

/** Straps settle within so many km. Planning value. */
const FIRST_STOP_KM = 100;

/** Where bags hang: what rubs, rattles and comes loose. */
function bags(c: ProveCase): Check[] {
  const used = c.places.filter((p) => c.packing.stowed.some((s) => s.placeId === p.id));
  const tied = used.filter((p) => p.kind === 'tie-on' || p.onRack || p.kind === 'roll');
  if (used.length === 0) return [];
  const places = (tied.length > 0 ? tied : used).map((p) => p.name);
  return [
    check({
      key: 'lashings',
      about: { code: 'check.lashings', places },
      when: 'each evening',
      where: 'bags',
      ...guarding(c, ['luggage', 'bag-torn']),
    }),
    check({
      key: 'sit-against',
      about: { code: 'check.sit-against' },
      when: 'before leaving',
      daysBefore: 3,
      where: 'bags',
      ...guarding(c, ['luggage']),
    }),
    check({
      key: 'first-100',
      about: { code: 'check.first-stop', km: FIRST_STOP_KM },
      when: 'after some km',
      everyKm: FIRST_STOP_KM,
      where: 'bags',
      ...guarding(c, ['luggage', 'fastener-loose']),
    }),
  ];
}

/** Checks of the kit, its dates, and where it hangs. */
export function checksOfKit(
  c: ProveCase,
  with_: { supplies: readonly Supply[]; loans: readonly Loan[]; gauge: Gauge | null },
): Check[] {
  return [
    ...bags(c),
    ...tubes(c),
    ...glue(c),
    ...dates(c, with_.supplies),
    ...charge(c),
    ...gauges(c, with_.gauge),
    ...tools(c),
    ...inHand(c, with_.loans),
  ];
}

/** Nights from which a rehearsal is worth a weekend. Planning value. */
const LONG_DAYS = 4;

/**
 * Checks of the trip: people, papers, and a rehearsal for a long one.
 * @param companions how many
 */
export function checksOfTrip(c: ProveCase, companions: number): Check[] {
  if (!c.trip) return [];
  return [
    ...(tripDays(c.trip) >= LONG_DAYS
      ? [
          check({
            key: 'rehearsal',
            about: { code: 'check.rehearsal' },
            when: 'before leaving',
            daysBefore: 21,
            where: 'table',
            guards: 0,
          }),
        ]
      : []),
    ...(companions > 0
      ? [
          check({
            key: 'spare-key',
            about: { code: 'check.spare-key' },
            when: 'before leaving',
            daysBefore: 1,
            where: 'table',
            ...guarding(c, ['key-lost']),
          }),
        ]
      : []),
    check({
      key: 'papers',
      about: { code: 'check.papers' },
      when: 'before leaving',
      daysBefore: 2,
      where: 'table',
      ...guarding(c, ['theft', 'injury-serious']),
      guards: 0,
    }),
    check({
      key: 'card',
      about: { code: 'check.card' },
      when: 'before leaving',
      daysBefore: 2,
      where: 'table',
    }),
    check({
      key: 'fuel-water',
      about: { code: 'check.fuel-water', gap: c.trip.legs.some((l) => (l.fuelGapKm ?? 0) > 0) },
      when: 'before leaving',
      daysBefore: 1,
      where: 'tank-seat',
      ...guarding(c, ['out-of-fuel', 'heat-thirst']),
    }),
  ];
}
