import { describe, expect, test } from '@jest/globals';
import { SaxesParser } from 'saxes';
import { newBike } from '../../bike/index.js';
import { people } from '../load/index.js';
import { uuid } from '../../testing/make.js';
import { KINDS } from '../../toolbox/tools/index.js';
import { assign } from '../assign.js';
import { type StowInput } from '../stowInput.js';
import { NEW_GOALS } from '../goals.js';
import type { StowItem } from '../item.js';
import { placeLibrary } from '../usual.js';
import {
  HEM,
  LABELS,
  labelSheet,
  PAPER,
  rollLayout,
  rollSheets,
  rollSvg,
  SEAM,
  SHARED,
  sheetsOf,
  silhouette,
  slotLabel,
} from './index.js';

const bike = newBike(uuid(1), 'Test');
const roll = { ...placeLibrary(bike).find((p) => p.kind === 'roll')!, id: uuid(2), bikeId: bike.id };
const item = (n: number, name: string, kind: string, length: number, width: number): StowItem => ({
  key: `piece ${n}`,
  name,
  kind,
  mass: 50,
  size: { length, width, height: 10 },
  volume: (length * width) / 100,
  traits: ['hard'],
  holds: null,
  cuts: false,
  hollow: null,
  uses: 0,
  group: null,
});
const items = [
  item(1, 'Combination spanner 10', 'combination spanner', 150, 25),
  item(2, 'Socket ⅜ in, 13 deep', 'socket', 64, 19),
  item(3, 'Pliers <"&">', 'pliers', 160, 55),
  item(4, 'Screwdriver with a very long name that no slot holds', 'driver', 200, 30),
  item(5, 'Ratchet ⅜ in', 'ratchet', 200, 35),
];
const input: StowInput = {
  items,
  places: [roll],
  pins: [],
  bike,
  goals: NEW_GOALS,
  rough: false,
  people: people(bike, { mass: 80_000 }, null),
};
const packing = assign(input);
const layout = rollLayout(roll, packing)!;

/** Every tag and every text of an SVG; throws where it is no XML. */
function parsed(svg: string): { tags: { name: string; attributes: Record<string, string> }[]; texts: string[] } {
  const tags: { name: string; attributes: Record<string, string> }[] = [];
  const texts: string[] = [];
  const parser = new SaxesParser();
  parser.on('error', (e) => {
    throw e;
  });
  parser.on('opentag', (t) => tags.push({ name: t.name, attributes: t.attributes as Record<string, string> }));
  parser.on('text', (t) => texts.push(t));
  parser.write(svg).close();
  return { tags, texts };
}
/** End points of a path's strokes, and its control points, mm. */
function pointsOf(d: string): [number, number][] {
  const out: [number, number][] = [];
  let [x, y, x0, y0] = [0, 0, 0, 0];
  for (const [, c, rest] of d.matchAll(/([a-zA-Z])([^a-zA-Z]*)/gu)) {
    const n = (rest!.match(/-?\d+(\.\d+)?/gu) ?? []).map(Number);
    const to = (nx: number, ny: number) => {
      [x, y] = [nx, ny];
      out.push([x, y]);
    };
    if (c === 'M' || c === 'L') for (let i = 0; i < n.length; i += 2) to(n[i]!, n[i + 1]!);
    if (c === 'M') [x0, y0] = [n[0]!, n[1]!];
    if (c === 'H') to(n[0]!, y);
    if (c === 'V') to(x, n[0]!);
    if (c === 'h') to(x + n[0]!, y);
    if (c === 'v') to(x, y + n[0]!);
    if (c === 'Q') {
      out.push([n[0]!, n[1]!]);
      to(n[2]!, n[3]!);
    }
    if (c === 'A') to(n[5]!, n[6]!);
    if (c === 'a') for (let i = 0; i < n.length; i += 7) to(x + n[i + 5]!, y + n[i + 6]!);
    if (c === 'z') [x, y] = [x0, y0];
  }
  return out;
}

describe('the roll laid open', () => {
  test('slots stand side by side with their seams, and every piece stands within its own', () => {
    expect(layout.slots).toHaveLength(17);
    layout.slots
      .slice(1)
      .forEach((s, i) => expect(s.x).toBeCloseTo(layout.slots[i]!.x + layout.slots[i]!.width + SEAM, 9));
    expect(layout.width).toBeCloseTo(layout.slots.at(-1)!.x + layout.slots.at(-1)!.width + HEM, 9);
    expect(layout.taken).toBe(5);
    expect(layout.mass).toBe(250);
    for (const { piece, x, width, length } of layout.slots) {
      if (!piece) continue;
      expect(piece.x).toBeGreaterThanOrEqual(x);
      expect(piece.x + piece.width).toBeLessThanOrEqual(x + width + 1e-9);
      expect(piece.length).toBeLessThanOrEqual(length);
      expect(piece.y + piece.length).toBeCloseTo(layout.height - LABELS, 9);
    }
  });
  test('a roll that is too narrow for its slots says so; a place without slots is none', () => {
    expect(layout.over).toBe(false);
    expect(rollLayout({ ...roll, inside: { ...roll.inside, width: 500 } }, packing)!.over).toBe(true);
    expect(rollLayout({ ...roll, slots: null }, packing)).toBeNull();
  });
  test('shows what lies in this roll alone, each with what hangs on it, as high as its longest slot', () => {
    const as = (item: StowItem, given: Partial<(typeof packing.stowed)[number]>) => ({
      ...packing.stowed[0]!,
      item,
      placeId: roll.id,
      slot: null,
      on: null,
      ...given,
    });
    const [spanner, cloth, other, lost] = [10, 11, 12, 13].map((n) => item(n, `Thing ${n}`, 'other', 100, 20)) as [
      StowItem,
      StowItem,
      StowItem,
      StowItem,
    ];
    const laid = rollLayout(
      {
        ...roll,
        slots: [
          { count: 1, width: 30, length: 200 },
          { count: 2, width: 40, length: 150 },
        ],
      },
      {
        stowed: [
          as(spanner, { slot: 0 }),
          as(cloth, { slot: 0, on: { key: spanner.key, how: 'wound' } as never }),
          as(other, { slot: 1, placeId: uuid(99) }),
          as(lost, {}),
        ],
      },
    )!;
    expect(laid.slots.map((s) => [s.piece?.name ?? null, s.with])).toEqual([
      ['Thing 10', ['Thing 11']],
      [null, []],
      [null, []],
    ]);
    // Three things are in it, one of them in a slot.
    expect([laid.taken, laid.mass, laid.height]).toEqual([1, 150, HEM + 200 + LABELS]);
    expect(laid.width).toBe(HEM + 30 + SEAM + 40 + SEAM + 40 + HEM);
  });
  test('is too wide from the first millimetre on, and never where its width is not known', () => {
    const over = (width: number) => rollLayout({ ...roll, inside: { ...roll.inside, width } }, packing)!.over;
    expect([over(layout.width - 1), over(layout.width), over(0)]).toEqual([true, false, false]);
  });
  test('labels keep what tells pieces apart', () => {
    expect(slotLabel({ name: 'Combination spanner 10', kind: '' })).toBe('10');
    expect(slotLabel({ name: 'Socket ⅜ in, 13 deep', kind: '' })).toBe('⅜·13 deep');
    expect(slotLabel({ name: 'Ring spanner 10 and 12', kind: '' })).toBe('10/12');
    expect(slotLabel({ name: 'Tyre lever (2 of 2)', kind: '' })).toBe('Tyre lever');
    expect(slotLabel({ name: 'Bit socket ⅜ in, inside hex 6', kind: '' })).toBe('⅜·i6');
    expect(slotLabel(items[3]!).length).toBeLessThanOrEqual(26);
  });
  test.each([...KINDS, 'clutch lever', 'brake lever', 'spark plug', 'anything else'])(
    'the outline of a %s fills its measures',
    (kind) => {
      for (const [w, l] of [
        [25, 150],
        [40, 230],
        [20, 50],
        [90, 120],
      ] as const) {
        const points = pointsOf(silhouette(kind, w, l).d);
        const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
        expect(points.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
        expect(Math.min(...xs)).toBeGreaterThanOrEqual(-0.05 * w);
        expect(Math.max(...xs)).toBeLessThanOrEqual(1.05 * w);
        expect(Math.min(...ys)).toBeGreaterThanOrEqual(-0.05 * l);
        expect(Math.max(...ys)).toBeLessThanOrEqual(1.05 * l);
        expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan(0.4 * l);
      }
    },
  );
});

describe('on paper', () => {
  test('the whole roll: a millimetre is a millimetre, and names cannot break the file', () => {
    const svg = rollSvg(layout);
    const { tags, texts } = parsed(svg);
    const [root] = tags;
    expect(root!.attributes).toMatchObject({
      width: `${layout.width}mm`,
      height: `${layout.height}mm`,
      viewBox: `0 0 ${layout.width} ${layout.height}`,
    });
    expect(texts.join(' ')).toContain('Pliers <"&"');
    expect(svg).not.toContain('<"&">');
    // An outline for each piece, at its place.
    expect(tags.filter((t) => t.attributes['fill-rule'] === 'evenodd')).toHaveLength(5);
  });
  test('sheets cover every millimetre, share a strip to glue, and carry a rule of 100 mm', () => {
    const sheets = rollSheets(layout);
    const { across, down } = sheetsOf(layout);
    expect(sheets).toHaveLength(across * down);
    const windows = sheets.map((svg, i) => {
      const { tags, texts } = parsed(svg);
      expect(tags[0]!.attributes).toMatchObject({ width: `${PAPER.width}mm`, height: `${PAPER.height}mm` });
      expect(svg).toContain('h100m');
      expect(texts.join(' ')).toContain(`sheet ${i + 1} of ${sheets.length}`);
      const clip = tags.find((t) => t.name === 'clipPath')!;
      const rect = tags[tags.indexOf(clip) + 1]!.attributes;
      const [, tx, ty] = /translate\(([-\d.]+) ([-\d.]+)\)/u.exec(
        tags.find((t) => t.attributes['transform']?.startsWith('translate'))!.attributes['transform']!,
      )!;
      const [w, h] = [Number(rect['width']), Number(rect['height'])];
      const [x, y] = [PAPER.margin - Number(tx), PAPER.margin - Number(ty)];
      return { x, y, w, h };
    });
    const shown = (x: number, y: number) =>
      windows.filter((v) => x >= v.x && x <= v.x + v.w && y >= v.y && y <= v.y + v.h).length;
    for (let x = 0; x <= layout.width; x += 3)
      for (let y = 0; y <= layout.height; y += 3) expect(shown(x, y)).toBeGreaterThan(0);
    // Neighbours share their strip.
    expect(windows[0]!.x + windows[0]!.w - windows[1]!.x).toBeCloseTo(SHARED, 6);
  });
  test('labels are at least as wide as a finger and as their slot', () => {
    const { tags, texts } = parsed(labelSheet(layout));
    const rects = tags.filter((t) => t.name === 'rect');
    expect(rects).toHaveLength(5);
    for (const r of rects) {
      expect(Number(r.attributes['width'])).toBeGreaterThanOrEqual(24);
      expect(Number(r.attributes['x']) + Number(r.attributes['width'])).toBeLessThanOrEqual(PAPER.width);
    }
    expect(texts.join(' ')).toContain('⅜·13 deep');
  });
});
