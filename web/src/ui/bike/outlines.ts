import { layoutOf, type Bike, type Fitting } from '@necessaire/core';
import { bikeGeometry, q, type BikeGeometry, type Point } from './geometry';
import { Pen, type Scale, type Stroke } from './pen';
import { wheel } from './wheel';

export type { Scale } from './pen';

/** A point at so many mm along a line from a to b and so many off to its left, looking along it. */
const off = (a: Point, b: Point, l: number, o: number): Point => {
  const run = Math.hypot(b.x - a.x, b.z - a.z);
  const d = q((b.x - a.x) / run, (b.z - a.z) / run);
  return q(a.x + d.x * l - d.z * o, a.z + d.z * l + d.x * o);
};

/** Strokes of one bike's side view, in the order in which they lie over each other. Everything follows from the bike's own numbers. */
export function bikeOutlines(bike: Bike, scale: Scale): { geometry: BikeGeometry; strokes: Stroke[] } {
  const geometry = bikeGeometry(bike);
  const pen = new Pen(scale);
  const has = (f: Fitting) => bike.fitted.includes(f);
  const b = { bike, pen, g: geometry, has, heavy: bike.mass > 190_000 };
  wheels(b);
  rearFrame(b);
  frame(b);
  shock(b);
  exhaust(b);
  engine(b);
  drive(b);
  silencer(b);
  body(b);
  front(b);
  controls(b);
  fitted(b);
  return { geometry, strokes: pen.strokes };
}

interface Drawn {
  bike: Bike;
  pen: Pen;
  g: BikeGeometry;
  has: (f: Fitting) => boolean;
  heavy: boolean;
}

function wheels({ bike, pen, g, heavy }: Drawn): void {
  const wire = bike.wheels === 'spoked';
  const knobs = !heavy || wire;
  wheel(pen, g.rear, { knobs, wire, disc: heavy ? 138 : 116, drum: bike.brakeRear === 'drum' });
  wheel(pen, g.front, { knobs, wire, disc: heavy ? 156 : 132, drum: bike.brakeFront === 'drum' });
}

/** Subframe, mudguard, tail lamp and plate. */
function rearFrame({ bike, pen, g }: Drawn): void {
  const { seat, tail, pivot } = g;
  const root = q(pivot.x - 6, bike.seatHeight - 105);
  pen.put('tube', pen.line(root, q(seat.tail.x + 30, seat.tail.z - 44)), 20);
  pen.put('tube', pen.line(q(pivot.x + 6, pivot.z + 92), q(seat.tail.x - 110, seat.tail.z - 62)), 17);
  pen.put(
    'plate',
    pen.curve(
      [
        q(seat.tail.x - 40, seat.tail.z - 66),
        q(seat.tail.x + 90, seat.tail.z - 40),
        q(tail.x + 4, tail.z - 8),
        q(tail.x + 26, tail.z - 34),
        q(tail.x - 70, tail.z - 66),
        q(seat.tail.x, seat.tail.z - 104),
      ],
      true,
    ),
  );
  // Lamp and number plate hang under the tail.
  pen.put(
    'tone',
    pen.poly(
      q(tail.x + 6, tail.z - 14),
      q(tail.x + 40, tail.z - 22),
      q(tail.x + 36, tail.z - 50),
      q(tail.x + 4, tail.z - 46),
    ),
  );
  pen.put(
    'plate',
    pen.poly(
      q(tail.x + 2, tail.z - 60),
      q(tail.x + 22, tail.z - 64),
      q(tail.x + 58, tail.z - 226),
      q(tail.x + 40, tail.z - 230),
    ),
  );
  pen.put('line', pen.line(q(tail.x - 36, tail.z - 52), q(tail.x - 8, tail.z - 92)));
  pen.put('tone', pen.circle(q(tail.x - 4, tail.z - 98), 17));
}

function frame({ bike, pen, g }: Drawn): void {
  const [low, top] = g.head;
  const { pivot, crank, peg } = g;
  const c = crank.at;
  if (layoutOf(bike.engine) !== 'flat')
    pen.put(
      'tube',
      pen.curve([
        off(low, top, 30, 0),
        q(low.x + 92, low.z - 200),
        q(c.x - 168, c.z + 6),
        q(c.x - 118, c.z - 128),
        q(c.x + 90, c.z - 136),
      ]),
      27,
    );
  pen.put(
    'tube',
    pen.curve([
      off(low, top, 120, 0),
      q(low.x + 250, low.z + 10),
      q(pivot.x - 60, bike.seatHeight - 130),
      q(pivot.x - 4, bike.seatHeight - 210),
      q(pivot.x + 4, pivot.z + 60),
      pivot,
    ]),
    30,
  );
  pen.put('tube', pen.line(q(pivot.x - 8, pivot.z - 10), q(c.x + 90, c.z - 132)), 24);
  pen.put('plate', pen.circle(pivot, 22));
  // Side stand.
  pen.put('tube', pen.line(q(peg.x + 30, peg.z - 46), q(peg.x - 34, 26)), 15);
  pen.put('line', pen.line(q(peg.x - 62, 20), q(peg.x - 12, 20)));
}

function shock({ bike, pen, g }: Drawn): void {
  const [low, top] = g.shock;
  const run = Math.hypot(top.x - low.x, top.z - low.z);
  pen.put('tube', pen.line(low, top), 20);
  if (bike.drive === 'shaft') pen.put('tube', pen.line(q(low.x, low.z - 10), q(low.x + 50, low.z - 40)), 18);
  const turns = 8;
  const coil: Point[] = [];
  for (let i = 0; i <= turns * 2; i++)
    coil.push(off(low, top, run * (0.16 + (0.62 * i) / (turns * 2)), i % 2 ? 33 : -33));
  pen.put('spring', pen.line(...coil));
  pen.put(
    'plate',
    pen.poly(
      off(low, top, run * 0.13, 36),
      off(low, top, run * 0.13, -36),
      off(low, top, run * 0.17, -36),
      off(low, top, run * 0.17, 36),
    ),
  );
  pen.put(
    'plate',
    pen.poly(
      off(low, top, run * 0.79, 34),
      off(low, top, run * 0.79, -34),
      off(low, top, run * 0.83, -34),
      off(low, top, run * 0.83, 34),
    ),
  );
  pen.put('plate', pen.circle(low, 14));
}

/** Where the exhaust leaves the engine. */
const port = ({ bike, g }: Drawn): Point =>
  layoutOf(bike.engine) === 'flat'
    ? q(g.crank.at.x - 168, g.crank.at.z - 30)
    : q(g.cylinderTop.x - 54, g.cylinderTop.z - 92);

function exhaust(b: Drawn): void {
  const { pen, g, bike } = b;
  const c = g.crank.at;
  const [sa] = g.silencer;
  const p = port(b);
  const flat = layoutOf(bike.engine) === 'flat';
  const run = flat
    ? [
        p,
        q(p.x - 40, p.z - 70),
        q(c.x - 120, c.z - 150),
        q(c.x + 110, c.z - 160),
        q(g.pivot.x + 40, g.pivot.z - 60),
        q(sa.x - 60, sa.z - 40),
        sa,
      ]
    : [
        p,
        q(p.x - 62, p.z - 22),
        q(c.x - 214, c.z + 130),
        q(c.x - 196, c.z - 20),
        q(c.x - 90, c.z - 148),
        q(c.x + 120, c.z - 120),
        q(g.pivot.x + 30, g.pivot.z + 90),
        q(sa.x - 70, sa.z - 52),
        sa,
      ];
  pen.put('pipe', pen.curve(run), 36);
  pen.put('core', pen.curve(run), 30);
  if (layoutOf(bike.engine) === 'v') {
    const rear = q(c.x + 190, c.z + 190);
    const second = [rear, q(rear.x + 60, rear.z - 30), q(sa.x - 100, sa.z - 10), sa];
    pen.put('pipe', pen.curve(second), 34);
    pen.put('core', pen.curve(second), 28);
  }
}

function silencer({ pen, g, heavy }: Drawn): void {
  const [a, z] = g.silencer;
  const run = Math.hypot(z.x - a.x, z.z - a.z);
  const r = heavy ? 62 : 52;
  pen.put(
    'plate',
    pen.poly(
      off(a, z, -10, 20),
      off(a, z, 70, r),
      off(a, z, run - 34, r),
      off(a, z, run, r * 0.62),
      off(a, z, run, -r * 0.62),
      off(a, z, run - 34, -r),
      off(a, z, 70, -r),
      off(a, z, -10, -20),
    ),
  );
  pen.put('line', pen.line(off(a, z, run - 34, r), off(a, z, run - 34, -r)));
  pen.put('hair', pen.line(off(a, z, 86, r), off(a, z, 86, -r)));
  pen.put('dark', pen.circle(off(a, z, run - 2, 0), 15));
  pen.put('tube', pen.line(off(a, z, run * 0.5, r), off(a, z, run * 0.46, r + 62)), 12);
}

/** One cylinder leaning by so many radians from upright, forward negative, standing on the crankcase. */
function cylinder(pen: Pen, base: Point, lean: number, cooled: 'air' | 'liquid', height: number): void {
  const top = q(base.x + Math.sin(lean) * height, base.z + Math.cos(lean) * height);
  const at = (l: number, o: number) => off(base, top, l, o);
  const barrel = height * 0.55;
  pen.put('plate', pen.poly(at(0, 66), at(barrel, 62), at(barrel, -62), at(0, -66)));
  if (cooled === 'air')
    for (let i = 0; i < 7; i++)
      pen.put('line', pen.line(at(14 + i * (barrel / 7), 84), at(14 + i * (barrel / 7), -84)));
  else pen.put('hair', pen.line(at(barrel * 0.5, 63), at(barrel * 0.5, -63)));
  pen.put(
    'plate',
    pen.poly(
      at(barrel, 74),
      at(height * 0.82, 76),
      at(height, 58),
      at(height, -54),
      at(height * 0.82, -76),
      at(barrel, -74),
    ),
  );
  pen.put('hair', pen.line(at(height * 0.82, 76), at(height * 0.82, -76)));
  for (const o of [48, -44]) pen.put('line', pen.circle(at(height * 0.91, o), 6));
}

function engine(b: Drawn): void {
  const { bike, pen, g } = b;
  const c = g.crank.at;
  const height = Math.hypot(g.cylinderTop.x - c.x, g.cylinderTop.z - c.z) - 30;
  const base = q(c.x - 34, c.z + 66);
  if (layoutOf(bike.engine) === 'v') {
    cylinder(pen, q(c.x + 28, c.z + 60), 0.62, bike.cooling, height * 0.92);
    cylinder(pen, q(c.x - 52, c.z + 60), -0.6, bike.cooling, height * 0.92);
  } else if (layoutOf(bike.engine) === 'in line') {
    cylinder(pen, q(base.x + 20, base.z + 8), -0.28, bike.cooling, height);
    cylinder(pen, base, -0.28, bike.cooling, height);
  } else if (layoutOf(bike.engine) === 'single') cylinder(pen, base, -0.2, bike.cooling, height);
  // Crankcase with its gearbox, reaching back to the swingarm pivot.
  const { pivot } = g;
  pen.put(
    'plate',
    pen.curve(
      [
        q(c.x - 176, c.z - 30),
        q(c.x - 150, c.z + 70),
        q(c.x - 40, c.z + 112),
        q(c.x + 80, c.z + 96),
        q(pivot.x - 24, pivot.z + 66),
        q(pivot.x - 14, pivot.z - 22),
        q(c.x + 96, c.z - 110),
        q(c.x - 30, c.z - 132),
        q(c.x - 140, c.z - 112),
      ],
      true,
    ),
  );
  pen.put('plate', pen.circle(c, 92));
  const bolts = Array.from({ length: 8 }, (_, i) =>
    pen.circle(q(c.x + 80 * Math.cos((i / 8) * 6.283 + 0.3), c.z + 80 * Math.sin((i / 8) * 6.283 + 0.3)), 5),
  );
  pen.put('hair', bolts.join(''));
  pen.put('hair', pen.circle(c, 66));
  pen.put(
    'plate',
    pen.curve([q(c.x + 60, c.z + 70), q(c.x + 150, c.z + 40), q(c.x + 150, c.z - 50), q(c.x + 70, c.z - 80)], true),
  );
  if (layoutOf(bike.engine) === 'flat') {
    const [w, h] = [92, 76];
    const m = q(c.x - 86, c.z + 6);
    pen.put(
      'plate',
      pen.poly(
        q(m.x - w, m.z + h - 22),
        q(m.x - w + 22, m.z + h),
        q(m.x + w - 22, m.z + h),
        q(m.x + w, m.z + h - 22),
        q(m.x + w, m.z - h + 26),
        q(m.x + w - 26, m.z - h),
        q(m.x - w + 26, m.z - h),
        q(m.x - w, m.z - h + 26),
      ),
    );
    for (let i = 0; i < 5; i++)
      pen.put('line', pen.line(q(m.x - w + 16, m.z + 46 - i * 23), q(m.x + w - 16, m.z + 46 - i * 23)));
    for (const [x, z] of [
      [-66, 56],
      [66, 56],
      [-66, -56],
      [66, -56],
    ] as const)
      pen.put('plate', pen.circle(q(m.x + x, m.z + z), 8));
    pen.put('tube', pen.curve([q(m.x + 78, m.z + 66), q(m.x + 140, m.z + 130), q(m.x + 190, m.z + 190)]), 34);
  } else {
    // Intake towards the air box.
    const top = g.cylinderTop;
    pen.put('tube', pen.line(q(top.x + 50, top.z - 84), q(top.x + 150, top.z - 60)), 44);
  }
  if (bike.starter === 'kick' || bike.starter === 'electric and kick')
    pen.put('tube', pen.curve([q(c.x + 130, c.z + 12), q(c.x + 190, c.z + 90), q(c.x + 176, c.z + 190)]), 14);
  if (bike.cooling === 'liquid') radiator(b);
}

function radiator({ pen, g }: Drawn): void {
  const [low] = g.head;
  const c = g.crank.at;
  const [a, z] = [q(low.x + 66, low.z - 130), q(c.x - 170, c.z + 190)];
  const corner = (l: number, o: number) => off(a, z, l, o);
  const run = Math.hypot(z.x - a.x, z.z - a.z);
  pen.put('plate', pen.poly(corner(0, 24), corner(run, 24), corner(run, -24), corner(0, -24)));
  const fins = Array.from({ length: 12 }, (_, i) =>
    pen.line(corner((run * (i + 1)) / 13, 20), corner((run * (i + 1)) / 13, -20)),
  );
  pen.put('hair', fins.join(''));
}

const SPROCKET = 104;
function drive({ bike, pen, g }: Drawn): void {
  const { pivot, rear } = g;
  const at = rear.at;
  const thick = bike.drive === 'shaft' ? 50 : 32;
  const arm = pen.curve(
    [
      q(pivot.x - 20, pivot.z + 6),
      q(pivot.x + 30, pivot.z + thick + 12),
      q(at.x - 60, at.z + thick - 2),
      q(at.x + 44, at.z + 22),
      q(at.x + 54, at.z - 10),
      q(at.x - 30, at.z - thick + 6),
      q(pivot.x + 40, pivot.z - thick - 6),
    ],
    true,
  );
  if (bike.drive === 'shaft') {
    pen.put('plate', arm);
    pen.put('plate', pen.circle(at, 92));
    pen.put('hair', pen.circle(at, 66));
    pen.put('line', pen.circle(q(at.x - 60, at.z + 46), 9));
    return;
  }
  const small = q(pivot.x - 66, pivot.z + 8);
  const teeth = Array.from({ length: 42 }, (_, i) => {
    const a = (i / 42) * 2 * Math.PI;
    const r = SPROCKET + (i % 2 ? 4 : -3);
    return q(at.x + r * Math.cos(a), at.z + r * Math.sin(a));
  });
  pen.put('plate', pen.poly(...teeth));
  const lights = Array.from({ length: 6 }, (_, i) =>
    pen.circle(q(at.x + 72 * Math.cos((i * Math.PI) / 3), at.z + 72 * Math.sin((i * Math.PI) / 3)), 15),
  );
  pen.put('hair', lights.join(''));
  pen.put(bike.drive, pen.line(q(small.x, small.z - 40), q(at.x, at.z - SPROCKET)));
  pen.put('plate', arm);
  pen.put('hair', pen.line(q(pivot.x + 70, pivot.z + 8), q(at.x - 90, at.z + 4)));
  pen.put(bike.drive, pen.line(q(small.x, small.z + 40), q(at.x, at.z + SPROCKET)));
  pen.put('plate', pen.circle(small, 34));
  pen.put('plate', pen.circle(at, 30));
  pen.put(
    'plate',
    pen.poly(
      ...Array.from({ length: 6 }, (_, i) =>
        q(at.x + 20 * Math.cos((i * Math.PI) / 3), at.z + 20 * Math.sin((i * Math.PI) / 3)),
      ),
    ),
  );
  // Adjuster block at the end of the arm.
  pen.put('line', pen.line(q(at.x + 54, at.z + 4), q(at.x + 84, at.z + 8)));
  pen.put('plate', pen.circle(pivot, 15));
}

/** Tank, shroud, seat and side panel. A large tank reaches further down and stands higher. */
function body({ bike, pen, g, heavy }: Drawn): void {
  const [low, top] = g.head;
  const { seat } = g;
  const big = Math.min(1, Math.max(0, (bike.tank - 8) / 16));
  const hump = top.z + 2 + big * 54 - (heavy ? 30 : 0);
  const nose = seat.nose;
  const seatTop = seat.tail.z;
  pen.put(
    'plate',
    pen.curve(
      [
        q(top.x + 48, top.z - 74),
        q(top.x + 96, hump - 22),
        q(top.x + 190, hump),
        q(nose.x - 50, nose.z + 34 + big * 14),
        q(nose.x + 46, nose.z - 14),
        q(nose.x + 30, nose.z - 118),
        q(low.x + 240 + big * 30, low.z - 172 - big * 90),
        q(low.x + 110, low.z - 120 - big * 50),
      ],
      true,
    ),
  );
  pen.put('hair', pen.curve([q(top.x + 84, top.z - 96), q(top.x + 200, hump - 96), q(nose.x + 14, nose.z - 70)]));
  pen.put('plate', pen.circle(q(top.x + 168, hump - 2), 22));
  // Shroud over the radiator, or the tank's own flank.
  pen.put(
    'plate',
    pen.curve(
      [
        q(low.x + 8, low.z + 6),
        q(low.x + 120, low.z - 20),
        q(low.x + 236 + big * 30, low.z - 120),
        q(low.x + 150 + big * 20, low.z - 208 - big * 60),
        q(low.x + 62, low.z - 178 - big * 40),
      ],
      true,
    ),
  );
  pen.put('hair', pen.line(q(low.x + 54, low.z - 40), q(low.x + 146, low.z - 150)));
  // Seat.
  const step = bike.seat === 'stepped' ? 46 : 0;
  const mid = q((nose.x + seat.tail.x) / 2 + 60, bike.seatHeight + 6);
  pen.put(
    'tone',
    pen.curve(
      [
        q(nose.x - 34, nose.z + 30),
        q(nose.x + 60, nose.z - 2),
        q(mid.x - 90, mid.z),
        q(mid.x + 30, mid.z + step * 0.5),
        q(mid.x + 90, mid.z + 16 + step),
        q(seat.tail.x + 20, seatTop + 14 + step * 0.8),
        q(seat.tail.x + 92, seatTop - 2 + step * 0.5),
        q(seat.tail.x + 70, seatTop - 40),
        q(mid.x + 40, mid.z - 62),
        q(nose.x + 80, nose.z - 88),
        q(nose.x + 6, nose.z - 74),
      ],
      true,
    ),
  );
  pen.put('hair', pen.curve([q(nose.x + 20, nose.z - 40), q(mid.x, mid.z - 34), q(seat.tail.x + 60, seatTop - 16)]));
  // Side panel under the seat, over the air box.
  pen.put(
    'plate',
    pen.curve(
      [
        q(nose.x + 40, nose.z - 112),
        q(mid.x - 10, mid.z - 84),
        q(mid.x + 110, mid.z - 78),
        q(mid.x + 30, mid.z - 190),
        q(g.pivot.x + 20, g.pivot.z + 190),
        q(nose.x + 60, nose.z - 210),
      ],
      true,
    ),
  );
}

/** Fork, front mudguard, lamp or fairing, bars. */
function front({ bike, pen, g, heavy, has }: Drawn): void {
  const [, top] = g.head;
  const at = g.front.at;
  const r = g.front.radius;
  const leg = (l: number, o: number) => off(at, top, l, o);
  const run = Math.hypot(top.x - at.x, top.z - at.z);
  if (bike.brakeFront !== 'drum') {
    const k = off(at, top, heavy ? 130 : 112, heavy ? -92 : -78);
    pen.put(
      'plate',
      pen.curve([q(k.x - 34, k.z + 46), q(k.x + 26, k.z + 40), q(k.x + 34, k.z - 34), q(k.x - 22, k.z - 44)], true),
    );
  }
  // Legs: the thick part below on a telescopic fork, above on an upside-down one.
  const upsideDown = !heavy;
  pen.put('tube', pen.line(leg(0, 0), leg(run + 18, 0)), upsideDown ? 38 : 36);
  pen.put(
    'tube',
    upsideDown ? pen.line(leg(run * 0.46, 0), leg(run + 10, 0)) : pen.line(leg(-6, 0), leg(run * 0.52, 0)),
    54,
  );
  if (upsideDown) pen.put('plate', pen.poly(leg(8, 30), leg(run * 0.42, 26), leg(run * 0.42, -12), leg(8, -16)));
  pen.put('plate', pen.poly(leg(-26, 24), leg(30, 26), leg(30, -26), leg(-26, -24)));
  for (const l of [run - 176, run - 14])
    pen.put('plate', pen.poly(leg(l, 38), leg(l + 28, 38), leg(l + 28, -34), leg(l, -34)));
  pen.put('plate', pen.circle(at, 20));
  pen.put('plate', pen.circle(at, 10));
  if (heavy) {
    const ring = (radius: number, from: number, to: number) =>
      Array.from({ length: 9 }, (_, i) => {
        const a = from + ((to - from) * i) / 8;
        return q(at.x + radius * Math.cos(a), at.z + radius * Math.sin(a));
      });
    pen.put('plate', pen.poly(...ring(r + 26, 0.25, 2.5), ...ring(r + 12, 2.4, 0.2)));
  } else {
    const z = at.z + r + 84;
    pen.put(
      'plate',
      pen.curve(
        [
          q(-176, z - 6),
          q(-20, z + 34),
          q(140, z + 52),
          q(268, z + 20),
          q(330, z - 52),
          q(300, z - 56),
          q(222, z - 8),
          q(100, z + 22),
          q(-30, z + 12),
        ],
        true,
      ),
    );
  }
  if (heavy || has('screen')) {
    // A fairing with its own lamp, and the screen behind it.
    pen.put(
      'plate',
      pen.curve(
        [
          q(top.x + 110, top.z - 84),
          q(top.x - 20, top.z - 176),
          q(top.x - 150, top.z - 196),
          q(top.x - 214, top.z - 96),
          q(top.x - 168, top.z + 10),
          q(top.x - 60, top.z + 58),
          q(top.x + 70, top.z + 30),
        ],
        true,
      ),
    );
    pen.put(
      'tone',
      pen.curve(
        [q(top.x - 206, top.z - 90), q(top.x - 150, top.z - 6), q(top.x - 96, top.z - 30), q(top.x - 120, top.z - 120)],
        true,
      ),
    );
    if (has('screen') || heavy)
      pen.put(
        'line',
        pen.curve([
          q(top.x - 150, top.z + 22),
          q(top.x - 96, top.z + 150),
          q(top.x - 8, top.z + 236),
          q(top.x + 6, top.z + 214),
          q(top.x - 40, top.z + 60),
        ]),
      );
  } else {
    pen.put(
      'plate',
      pen.curve(
        [
          q(top.x - 46, top.z + 78),
          q(top.x - 108, top.z + 54),
          q(top.x - 152, top.z - 60),
          q(top.x - 116, top.z - 146),
          q(top.x - 46, top.z - 130),
          q(top.x - 36, top.z - 20),
        ],
        true,
      ),
    );
    pen.put(
      'tone',
      pen.curve(
        [q(top.x - 150, top.z - 44), q(top.x - 120, top.z + 6), q(top.x - 92, top.z - 50), q(top.x - 118, top.z - 110)],
        true,
      ),
    );
  }
  // Indicator on a stalk.
  pen.put('line', pen.line(q(top.x - 70, top.z - 60), q(top.x - 108, top.z - 20)));
}

/** Bars, levers, mirror, peg and pedals: on the near side, so over everything. */
function controls({ pen, g, has, bike }: Drawn): void {
  const [, top] = g.head;
  const { bars, peg } = g;
  const grip = q(bars.x + 40, bars.z - 6);
  const tip = q(bars.x + 136, bars.z - 26);
  pen.put('tube', pen.curve([q(top.x - 6, top.z + 18), q(bars.x - 56, bars.z - 6), grip, tip]), 20);
  pen.put(
    'dark',
    pen.poly(off(grip, tip, 0, 16), off(grip, tip, 100, 15), off(grip, tip, 100, -15), off(grip, tip, 0, -16)),
  );
  pen.put('line', pen.curve([q(bars.x + 14, bars.z - 8), q(bars.x + 2, bars.z - 46), q(bars.x + 94, bars.z - 66)]));
  pen.put('line', pen.curve([q(bars.x + 6, bars.z), q(bars.x - 8, bars.z + 70), q(bars.x - 22, bars.z + 108)]));
  pen.put(
    'plate',
    pen.curve(
      [
        q(bars.x - 52, bars.z + 104),
        q(bars.x - 20, bars.z + 144),
        q(bars.x + 16, bars.z + 132),
        q(bars.x - 6, bars.z + 98),
      ],
      true,
    ),
  );
  if (has('hand guards'))
    pen.put(
      'plate',
      pen.curve(
        [
          q(bars.x - 62, bars.z + 34),
          q(bars.x + 6, bars.z + 36),
          q(bars.x + 130, bars.z - 6),
          q(bars.x + 138, bars.z - 44),
          q(bars.x + 40, bars.z - 58),
          q(bars.x - 54, bars.z - 40),
        ],
        true,
      ),
    );
  // Peg, gear pedal.
  pen.put('tube', pen.line(q(peg.x - 18, peg.z), q(peg.x + 62, peg.z - 4)), 20);
  pen.put('tube', pen.curve([q(peg.x - 96, peg.z + 34), q(peg.x - 150, peg.z + 26), q(peg.x - 206, peg.z + 8)]), 12);
  pen.put('dark', pen.circle(q(peg.x - 208, peg.z + 8), 13));
  pen.put('plate', pen.circle(q(peg.x - 94, peg.z + 34), 13));
  // A pillion's peg on bikes made for two.
  if (bike.seat === 'stepped') pen.put('tube', pen.line(q(peg.x + 250, peg.z + 150), q(peg.x + 320, peg.z + 148)), 16);
}

/** What was fitted on top: guards, plate, racks, lamps, stand. */
function fitted({ pen, g, has, bike }: Drawn): void {
  const c = g.crank.at;
  const [low, top] = g.head;
  const { tail, seat, rear, pivot } = g;
  if (has('skid plate')) {
    pen.put(
      'plate',
      pen.poly(
        q(c.x - 250, c.z - 34),
        q(c.x - 222, c.z - 30),
        q(c.x - 136, c.z - 140),
        q(c.x + 120, c.z - 146),
        q(c.x + 128, c.z - 166),
        q(c.x - 150, c.z - 168),
        q(c.x - 172, c.z - 158),
      ),
    );
    for (const [x, z] of [
      [-190, -90],
      [-90, -154],
      [60, -156],
    ] as const)
      pen.put('dark', pen.circle(q(c.x + x, c.z + z), 6));
  }
  if (has('crash bars'))
    pen.put(
      'tube',
      pen.curve([
        q(low.x + 96, low.z - 60),
        q(low.x - 2, low.z - 150),
        q(c.x - 300, c.z + 130),
        q(c.x - 286, c.z - 10),
        q(c.x - 170, c.z - 76),
      ]),
      24,
    );
  if (has('extra lamps')) {
    const at = q(low.x - 62, low.z - 60);
    pen.put('line', pen.line(q(low.x, low.z - 30), at));
    pen.put('tone', pen.circle(at, 38));
    pen.put('hair', pen.circle(at, 24));
  }
  if (has('device mount')) {
    const m = q(top.x + 20, top.z + 78);
    pen.put('line', pen.line(q(top.x + 12, top.z + 40), m));
    pen.put(
      'tone',
      pen.poly(q(m.x - 28, m.z + 96), q(m.x - 12, m.z + 102), q(m.x + 34, m.z + 4), q(m.x + 18, m.z - 4)),
    );
  }
  if (has('rear rack')) {
    const z = Math.max(seat.tail.z + (bike.seat === 'stepped' ? 56 : 24), tail.z + 26);
    pen.put('tube', pen.line(q(seat.tail.x + 10, z - 6), q(tail.x + 50, z + 8)), 15);
    pen.put('tube', pen.line(q(seat.tail.x + 96, z), q(seat.tail.x + 70, seat.tail.z - 44)), 12);
    pen.put('tube', pen.line(q(tail.x - 24, z + 4), q(tail.x - 70, tail.z - 30)), 12);
  }
  if (has('side racks'))
    pen.put(
      'tube',
      pen.curve([
        q(seat.tail.x - 120, seat.tail.z - 74),
        q(seat.tail.x + 120, seat.tail.z - 70),
        q(tail.x + 20, tail.z - 110),
        q(tail.x + 10, rear.at.z + 210),
        q(seat.tail.x - 20, rear.at.z + 170),
        q(seat.tail.x - 130, rear.at.z + 250),
        q(seat.tail.x - 120, seat.tail.z - 74),
      ]),
      17,
    );
  if (has('centre stand'))
    pen.put('tube', pen.curve([q(pivot.x + 20, pivot.z - 60), q(pivot.x + 130, 96), q(pivot.x + 176, 60)]), 22);
}
