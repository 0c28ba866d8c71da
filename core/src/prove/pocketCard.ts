import { under } from '../ground/numbers.js';
import { STATION_NAMES, STATIONS, type Bike, type Fastener } from '../bike/index.js';
import { millimetres, printShape, type Head } from '../ground/sizes/index.js';
import type { Gauge } from '../trip/air/index.js';
import { shownBy } from '../trip/air/index.js';
import type { Trip } from '../trip/index.js';

/** A pocket card: what one wants to know by the road when the phone is flat. */
export interface PocketCard {
  /** Heads by station: each size once, with the names that have it. */
  sizes: { station: string; heads: { head: Head; text: string; names: string[] }[]; text: string }[];
  /** Torques, the manual's marked as such: they win. */
  torques: { name: string; value: number; manual: boolean }[];
  /** kPa: on the road and on loose ground, and what the own gauge shows then. */
  pressures: { name: string; mark: string; high: number; low: number | null; shows: number; showsLow: number | null }[];
  fluids: { name: string; value: string }[];
}

/** Heads of one station that a card has room for. */
const MOST_HEADS = 6;

/** A size as a number, for the order alone; what is none comes last. */
const sizeOf = (head: Head): number => {
  const mm = millimetres(head.size);
  return Number.isFinite(mm) ? mm : 999;
};

/** Sizes with their form said once: `hex 8, 10; inside hex 5`. */
function byForm(heads: readonly { text: string }[]): string {
  const forms = new Map<string, string[]>();
  for (const { text } of heads) {
    const at = text.lastIndexOf(' ');
    const form = text.slice(0, Math.max(0, at));
    forms.set(form, [...(forms.get(form) ?? []), text.slice(at + 1)]);
  }
  return [...forms].map(([form, sizes]) => `${form} ${sizes.join(', ')}`.trim()).join('; ');
}

/**
 * What is needed by the road in one’s pocket: sizes by station, torques that lives hang on, pressures as the own gauge
 * shows them, fluids and plugs.
 */
export function pocketCard(
  bike: Bike,
  fasteners: readonly Fastener[],
  trip: Pick<Trip, 'air'> | null,
  gauge: Gauge | null,
): PocketCard {
  const mine = fasteners.filter((f) => f.bikeId === bike.id && f.leftOut === null);
  const sizes = STATIONS.flatMap((station) => {
    const here = mine.filter((f) => f.station === station);
    const by = new Map<string, { head: Head; text: string; names: string[] }>();
    for (const f of here)
      for (const head of [f.head, ...(f.far ? [f.far] : [])]) {
        const text = printShape(head);
        const known = by.get(text) ?? { head, text, names: [] };
        if (!known.names.includes(f.name)) known.names.push(f.name);
        by.set(text, known);
      }
    const heads = [...by.values()].sort((a, b) => b.names.length - a.names.length || (a.text < b.text ? -1 : 1));
    // Those that most bolts have, told from small to large.
    const shown = heads.slice(0, MOST_HEADS).sort((a, b) => sizeOf(a.head) - sizeOf(b.head));
    return shown.length > 0 ? [{ station: STATION_NAMES[station], heads: shown, text: byForm(shown) }] : [];
  });
  const named = new Map<string, number>();
  for (const f of mine) if (f.torque) named.set(f.name, (named.get(f.name) ?? 0) + 1);
  const torques = mine
    .flatMap((f) =>
      f.torque
        ? [
            {
              // Two axles are told apart by where they are.
              name: under(named, f.name) > 1 ? `${f.name}, ${STATION_NAMES[f.station].toLowerCase()}` : f.name,
              value: f.torque.value,
              manual: f.torque.source === 'manual',
            },
          ]
        : [],
    )
    .sort((a, b) => Number(b.manual) - Number(a.manual) || b.value - a.value || (a.name < b.name ? -1 : 1));
  const pressures = trip
    ? [
        { name: 'Front', mark: bike.tyreFront },
        { name: 'Rear', mark: bike.tyreRear },
      ].map((t) => ({
        ...t,
        high: trip.air.high,
        low: trip.air.times > 0 ? trip.air.low : null,
        shows: shownBy(gauge, trip.air.high),
        showsLow: trip.air.times > 0 ? shownBy(gauge, trip.air.low) : null,
      }))
    : [];
  const filled = [
    ['engine oil', 'Engine oil'],
    ['brake fluid', 'Brake fluid'],
    ['chain', 'Chain'],
    ['plug', 'Spark plug'],
    ['bulb main', 'Headlamp'],
    ['bulb tail', 'Tail lamp'],
    ['fuses', 'Fuses'],
    ['valve', 'Valve core'],
  ] as const;
  const fluids = filled.flatMap(([slot, name]) => {
    const value = bike.fit[slot];
    return value ? [{ name, value }] : [];
  });
  return { sizes, torques, pressures, fluids };
}
