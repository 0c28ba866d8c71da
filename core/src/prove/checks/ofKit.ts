import { measure, say } from '../../ground/units/index.js';
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

const named = (c: ProveCase, names: readonly string[]): Pick<Check, 'guards' | 'troubles'> => {
  const ids = c.exposures.filter((e) => names.includes(e.trouble.name)).map((e) => e.trouble.id);
  return { ...guarding(c, ids), troubles: ids };
};
const ofSpare = (c: ProveCase, s: KitSpare) => ({
  guards: s.hours,
  troubles: named(
    c,
    s.for.map((f) => f.trouble),
  ).troubles,
  ofKit: true,
});
const ofPiece = (c: ProveCase, p: KitPiece) => ({
  guards: p.hours,
  troubles: named(c, [...p.serves, ...p.turnsFor]).troubles,
  ofKit: true,
});

function tubes(c: ProveCase): Check[] {
  return c.kit.spares
    .filter((s) => (s.kind === 'front tube' || s.kind === 'rear tube') && s.quantity > s.fitted)
    .map((s) =>
      check({
        key: `tube ${s.kind}`,
        name: `${s.name} holds air`,
        when: 'before leaving',
        daysBefore: 2,
        where: 'kit',
        how: 'Pump it up, leave it overnight and look the next day. Then roll it flat, talc it, and keep it away from what pierces.',
        why: 'A tube that rubbed in its bag is flat when it is needed.',
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
          name: `${spare.name}: date`,
          when: 'on a date',
          date: until,
          where: 'kit',
          how: say`It keeps until ${until}, by the day when it was bought or opened: look at it, and replace it.`,
          why: 'What dried or spoiled does not hold.',
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
      name: 'Patches: the glue is wet',
      when: 'before leaving',
      daysBefore: 3,
      where: 'kit',
      how: 'Open it and look: it must be liquid. An opened tube is replaced each season; a small shut one goes beside it.',
      why: 'Glue dries in an opened tube within months.',
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
        name: `Charge: ${p.piece.name}`,
        when: 'before leaving',
        daysBefore: 1,
        goodFor: CHARGE_DAYS,
        where: 'kit',
        how: say`Charge it or change its cells, and switch it on. Laid up it is charged every ${CHARGE_DAYS} days, at room temperature.`,
        why: 'A pack loses charge as it lies, and quickly in the cold.',
        caution: p.piece.functions.includes('jump-start')
          ? 'A lithium pack that is hot, swollen or was wet is not charged and not carried.'
          : '',
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
      name: 'Tyre gauge beside a good one',
      when: 'before leaving',
      daysBefore: 7,
      goodFor: GAUGE_DAYS,
      where: 'kit',
      how: gauge
        ? say`Compared on ${gauge.on}. Measure one tyre with yours and with a good one, and enter both.`
        : 'Measure one tyre with yours and with a good one, and enter both: Air then says what yours must show.',
      why: 'A cheap gauge is off by more than a rider feels.',
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
            name: 'Steel tools oiled',
            when: 'before leaving',
            daysBefore: 7,
            goodFor: OIL_DAYS,
            where: 'kit',
            how: 'Wipe sockets, spanners and joints with an oily rag, and dry the roll before they go back.',
            why: 'A seized ratchet and a rusted socket are found when they are needed.',
          }),
        ]
      : []),
    ...(pump
      ? [
          check({
            key: `pump ${pump.piece.id}`,
            name: `${pump.piece.name} on the bike’s own valves`,
            when: 'before leaving',
            daysBefore: 7,
            goodFor: GAUGE_DAYS,
            where: 'kit',
            how: 'Screw its hose on each valve and give ten strokes: it must go on beside the disc, and hold.',
            why: 'A hose that is too thick or a dry washer makes a pump of no use.',
            ...ofPiece(c, pump),
          }),
        ]
      : []),
    ...(gas
      ? [
          check({
            key: 'gas',
            name: 'Gas cartridges full, and their head fits',
            when: 'before leaving',
            daysBefore: 7,
            goodFor: GAUGE_DAYS,
            where: 'kit',
            how: 'Weigh each against a new one, look for rust, and screw the empty head on a valve.',
            why: 'A cartridge that leaked looks like a full one.',
            caution: 'Gas cartridges freeze skin and burst when hot: keep them from exhaust and sun.',
            ...ofSpare(c, gas),
          }),
        ]
      : []),
    ...worn.map((p) =>
      check({
        key: `worn ${p.piece.id}`,
        name: `Worn: ${p.piece.name}`,
        when: 'before leaving',
        daysBefore: 7,
        where: 'kit',
        how: 'You marked it worn: look at its jaws or tip, and replace it where it slips.',
        why: 'A worn tool rounds heads.',
        ...ofPiece(c, p),
      }),
    ),
  ];
}

/** What the kit still lacks in the hand: to be bought, to be fetched back, without a place. */
function inHand(c: ProveCase, loans: readonly Loan[]): Check[] {
  const buy = [
    ...c.kit.spares.filter((s) => s.buy > 0).map((s) => `${s.name}${s.buy > 1 ? ` ×${s.buy}` : ''}`),
    ...c.kit.pieces.filter((p) => p.toBuy).map((p) => p.piece.name),
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
            name: 'Bought and packed',
            when: 'before leaving',
            daysBefore: 10,
            where: 'kit',
            how: say`The kit counts on what you do not own yet: ${buy.slice(0, 8).join(', ')}${buy.length > 8 ? ` and ${buy.length - 8} more` : ''}.`,
            why: 'What is not bought is not there.',
            guards: hours,
          }),
        ]
      : []),
    ...loans
      .filter((l) => l.settled === null)
      .map((l) =>
        check({
          key: `loan ${l.id}`,
          name: `${l.to === 'missing' ? 'Find or replace' : 'Get back'}: ${l.name}`,
          when: 'before leaving',
          daysBefore: 7,
          where: 'table',
          how:
            l.to === 'missing'
              ? say`It was missing on ${l.date}. Say in Crew, under lent things, when it is found or replaced.`
              : say`Lent to ${l.to || 'somebody'} on ${l.date}. Say in Crew, under lent things, when it is back.`,
          why: 'Until then every kit is worked out without it.',
        }),
      ),
    ...(lost.length > 0
      ? [
          check({
            key: 'no-place',
            name: 'Everything has a place',
            when: 'before leaving',
            daysBefore: 3,
            where: 'bags',
            how: say`No place was found for ${lost
              .slice(0, 5)
              .map((s) => s.item.name)
              .join(', ')}${lost.length > 5 ? ` and ${lost.length - 5} more` : ''}: look at Stow.`,
            why: 'What has no place stays at home.',
          }),
        ]
      : []),
  ];
}

/** Where bags hang: what rubs, rattles and comes loose. */
function bags(c: ProveCase): Check[] {
  const used = c.places.filter((p) => c.packing.stowed.some((s) => s.placeId === p.id));
  const tied = used.filter((p) => p.kind === 'tie-on' || p.onRack || p.kind === 'roll');
  if (used.length === 0) return [];
  const names = (tied.length > 0 ? tied : used).map((p) => p.name).slice(0, 5);
  return [
    check({
      key: 'lashings',
      name: 'Lashings and ties',
      when: 'each evening',
      where: 'bags',
      how: say`Pull at every strap and tie of ${names.join(', ')}; look for what rubs on hose, cable, tyre or exhaust.`,
      why: 'A strap that comes loose goes into the wheel.',
      ...guarding(c, ['luggage', 'bag-torn']),
      caution: 'A loose strap stops a wheel dead: tuck every end away.',
    }),
    check({
      key: 'sit-against',
      name: 'Packed, and sat against',
      when: 'before leaving',
      daysBefore: 3,
      where: 'bags',
      how: 'Load everything, sit and stand on the bike, turn the bars to both stops, and push it once round: nothing may touch, and you reach the ground.',
      why: 'A bag in the small of the back is felt after an hour.',
      ...guarding(c, ['luggage']),
    }),
    check({
      key: 'first-100',
      name: 'First stop: straps and marks',
      when: 'after some km',
      everyKm: 100,
      where: 'bags',
      how: say`Stop after ${measure('distance', 100)}: straps, rattle, rubbing, chain slack, and the torque marks of what you turned last.`,
      why: 'What settles does so in the first hour.',
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
  const needs = Math.max(0, ...c.trip.legs.map((l) => l.fuelGapKm ?? 0));
  return [
    ...(tripDays(c.trip) >= LONG_DAYS
      ? [
          check({
            key: 'rehearsal',
            name: 'A weekend as if it were the trip',
            when: 'before leaving',
            daysBefore: 21,
            where: 'table',
            how: 'Ride two days near home with the whole load, and use only what is on the bike. Write down what you missed and what you never touched.',
            why: 'Near home a fault costs an afternoon.',
            guards: 0,
          }),
        ]
      : []),
    ...(companions > 0
      ? [
          check({
            key: 'spare-key',
            name: 'Spare key with somebody else',
            when: 'before leaving',
            daysBefore: 1,
            where: 'table',
            how: 'Give the second key to a companion, and take theirs.',
            why: 'A key in the same pocket is lost with the first.',
            ...guarding(c, ['key-lost']),
          }),
        ]
      : []),
    check({
      key: 'papers',
      name: 'Papers, money and numbers',
      when: 'before leaving',
      daysBefore: 2,
      where: 'table',
      how: 'Licence, registration, insurance, recovery number, cards and cash: on you, with copies in a bag. Somebody at home knows the way and when you are back.',
      why: 'Without them a small problem ends the trip.',
      ...guarding(c, ['theft', 'injury-serious']),
      guards: 0,
    }),
    check({
      key: 'card',
      name: 'Pocket card filled in and printed',
      when: 'before leaving',
      daysBefore: 2,
      where: 'table',
      how: 'Print it under Calendar and paper, write the emergency lines by hand, and put it in your jacket.',
      why: 'Phones break and run flat.',
    }),
    check({
      key: 'fuel-water',
      name: 'Fuel and water for the longest gap',
      when: 'before leaving',
      daysBefore: 1,
      where: 'tank-seat',
      how:
        needs > 0
          ? 'Fill up, and take what Trip says for the longest way between pumps, in approved cans away from exhaust and sun. Fill the bottles.'
          : 'Fill up, and fill the bottles.',
      why: 'Both run out far from where they are sold.',
      ...guarding(c, ['out-of-fuel', 'heat-thirst']),
    }),
  ];
}
