import { under } from '../ground/numbers.js';
import type { Measures } from '../bike/index.js';
import { BAG_FILL, type Trait } from '../toolbox/tools/index.js';
import { packBox } from './pack/index.js';
import type { Pin } from './place.js';

/** One thing to be stowed: a copy of a piece, or a stock of one kind. */
export interface StowItem {
  key: string;
  name: string;
  kind: string;
  mass: number;
  size: Measures;
  /** mL it takes. */
  volume: number;
  traits: readonly Trait[];
  /** Room inside it for what nests, mm. */
  hollow: Measures | null;
  /** Whether other things are put into it, and what it keeps from them. Null for what is no container. */
  holds: { pads: boolean; dry: boolean } | null;
  /** Whether it cuts: what is tied shut is opened with it. */
  cuts: boolean;
  /** Expected uses on the trip: what is used most sits outermost. */
  uses: number;
  /** What it is mostly used for, so that it lies with the like; null for what serves all. */
  group: string | null;
}

/** What is put into one place as one: an item with all that is wound round it or lies inside it. */
export interface Unit {
  host: StowItem;
  wound: StowItem[];
  nested: StowItem[];
  mass: number;
  traits: ReadonlySet<Trait>;
  uses: number;
}
/** All things of a unit: what it is laid by, what is wound round that, what lies inside. */
export const itemsOf = (unit: Unit): StowItem[] => [unit.host, ...unit.wound, ...unit.nested];

/** Things that one pouch takes at most, so that each is found in it. Planning value. */
const MOST_WITHIN = 14;
/** Length of handle that one winding takes, and the least of a handle worth winding on, mm. Planning values. */
const WINDING = 70;
const LEAST_HANDLE = 140;
const THICKEST_HANDLE = 45;

/** How many windings an item takes: stiff long ones, but none that breaks or cuts. */
export function windings(item: StowItem): number {
  const [long, middle] = [item.size.length, item.size.width, item.size.height].sort((a, b) => b - a) as [
    number,
    number,
  ];
  const stiff = item.traits.includes('hard') && !item.traits.includes('fragile') && !item.traits.includes('sharp');
  return stiff && !item.traits.includes('dear') && long >= LEAST_HANDLE && middle <= THICKEST_HANDLE
    ? Math.floor(long / WINDING)
    : 0;
}

/** Whether things lie beside each other in a hollow. */
const liesIn = (hollow: Measures, items: readonly StowItem[]): boolean =>
  packBox(
    hollow,
    items.map(({ key, size }) => ({ key, size, upright: false })),
    1,
  ) !== null;
type Hollow = StowItem & { hollow: Measures };
type Holder = Hollow & { holds: NonNullable<StowItem['holds']> };
const isHollow = (item: StowItem): item is Hollow => item.hollow !== null;
const isHolder = (item: Hollow): item is Holder => item.holds !== null;

const longestFirst = (a: StowItem, b: StowItem) =>
  b.size.length - a.size.length || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);
const largestFirst = (a: StowItem, b: StowItem) => b.volume - a.volume || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);

/**
 * Winds what may be wound on the longest handles, and lays what nests into hollows in which it goes beside what is there already. What the
 * rider put into another place than its carrier goes alone, and so does what finds no carrier.
 * @param apart keys of items that carry nothing: they have no place themselves
 */
export function stowUnits(
  items: readonly StowItem[],
  pins: readonly Pin[],
  apart: ReadonlySet<string> = new Set(),
): Unit[] {
  const pinOf = new Map(pins.map((p) => [p.item, p.placeId]));
  const guests = (trait: Trait) => items.filter((i) => i.traits.includes(trait));
  const carried = new Map<StowItem, { host: StowItem; how: 'wound' | 'nested' }>();
  /** What carries something already: it is not carried itself, or what hangs on it would be nowhere. */
  const carriers = new Set<StowItem>();
  /** A guest goes along unless it is pinned elsewhere; one that is pinned needs a host pinned to the same place. */
  const agree = (guest: StowItem, host: StowItem) => {
    const [a, b] = [pinOf.get(guest.key), pinOf.get(host.key)];
    return guest !== host && !carried.has(host) && !carriers.has(guest) && (a === undefined || a === b);
  };
  const wound = [...guests('wound')].sort(largestFirst);
  const handles = items.filter((i) => windings(i) > 0 && !apart.has(i.key)).sort(longestFirst);
  const left = new Map(handles.map((h) => [h, windings(h)]));
  for (const guest of wound) {
    const host = handles.find((h) => under(left, h) > 0 && agree(guest, h));
    if (!host) continue;
    left.set(host, under(left, host) - 1);
    carried.set(guest, { host, how: 'wound' });
    carriers.add(host);
  }
  const hollow = items
    .filter(isHollow)
    .filter((i) => !apart.has(i.key))
    .sort(longestFirst);
  const inside = new Map<StowItem, StowItem[]>();
  for (const guest of [...guests('nests')].filter((g) => !carried.has(g)).sort(largestFirst)) {
    // A host that itself lies in another is not opened twice.
    const host = hollow.find(
      (h) => agree(guest, h) && !inside.has(guest) && liesIn(h.hollow, [...(inside.get(h) ?? []), guest]),
    );
    if (!host) continue;
    inside.set(host, [...(inside.get(host) ?? []), guest]);
    carried.set(guest, { host, how: 'nested' });
    carriers.add(host);
  }
  // Pouches and boxes take the small things in: nothing that leaks or stands, no blades into what does not pad.
  const free = (guest: StowItem, host: Holder) =>
    guest.holds === null &&
    !carried.has(guest) &&
    agree(guest, host) &&
    !guest.traits.some((t) => t === 'leaks' || t === 'upright' || t === 'pressurised') &&
    (host.holds.pads || !guest.traits.includes('sharp'));
  for (const host of hollow.filter(isHolder)) {
    const { length, width, height } = host.hollow;
    const room = ((length * width * height) / 1000) * BAG_FILL;
    let taken = 0;
    const within: StowItem[] = [...(inside.get(host) ?? [])];
    for (const guest of [...items].sort((a, b) => largestFirst(b, a))) {
      if (within.length >= MOST_WITHIN) break;
      if (!free(guest, host) || taken + guest.volume > room) continue;
      if (!liesIn(host.hollow, [...within, guest])) continue;
      within.push(guest);
      taken += guest.volume;
      carried.set(guest, { host, how: 'nested' });
      carriers.add(host);
    }
  }
  return items
    .filter((i) => !carried.has(i))
    .map((host) => {
      const mine = (how: 'wound' | 'nested') =>
        items.filter((i) => carried.get(i)?.host === host && carried.get(i)?.how === how);
      return makeUnit(host, mine('wound'), mine('nested'));
    });
}

function makeUnit(host: StowItem, wound: StowItem[], nested: StowItem[]): Unit {
  const guests = [...wound, ...nested];
  // Padding keeps apart what is inside, and a dry bag keeps it dry.
  const kept = (t: Trait) =>
    (host.holds?.dry === true && t === 'kept dry') ||
    (host.holds?.pads === true && ['fragile', 'sharp', 'conductive', 'pierced easily'].includes(t));
  const traits = new Set<Trait>(host.traits);
  // What a guest must be kept from, its carrier must be kept from too; how it lies is the carrier's.
  for (const g of guests)
    for (const t of g.traits)
      if (!['soft', 'upright', 'wound', 'nests', 'hard'].includes(t) && !(nested.includes(g) && kept(t))) traits.add(t);
  return {
    host,
    wound,
    nested,
    mass: [host, ...guests].reduce((s, i) => s + i.mass, 0),
    traits,
    uses: [host, ...guests].reduce((s, i) => s + i.uses, 0),
  };
}
