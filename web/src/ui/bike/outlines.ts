import type { Bike } from '@necessaire/core';
import { bikeGeometry, q, type Point, type Wheel } from './geometry';

/** From mm to the px of a drawing. */
export interface Scale {
  s: number;
  ox: number;
  ground: number;
}

/** Paths of one bike's side view, as SVG path data in px, in the order in which they lie over each other. */
export function bikeOutlines(bike: Bike, { s, ox, ground }: Scale) {
  const g = bikeGeometry(bike);
  const X = (x: number) => ox + x * s;
  const Y = (z: number) => ground - z * s;
  const at = (p: Point) => `${X(p.x).toFixed(1)} ${Y(p.z).toFixed(1)}`;
  const poly = (...ps: Point[]) => `M${ps.map(at).join('L')}Z`;
  const line = (...ps: Point[]) => `M${ps.map(at).join('L')}`;
  const curve = (a: Point, b: Point, c: Point) => `C${at(a)} ${at(b)} ${at(c)}`;
  const { head, seat, tail, crank, cylinderTop, pivot, rear, front, lamp, bars, peg } = g;
  const [low, top] = head;
  const c = crank.at;
  const spoked = bike.tyres === 'tubed';
  const flat = bike.engine === 'flat twin';

  const spokes = (wheel: Wheel) => {
    const n = spoked ? 32 : 6;
    return Array.from({ length: n }, (_, i) => {
      const a = (i / n) * Math.PI * 2;
      // Wire spokes cross: each leaves the hub a little ahead of or behind its place at the rim.
      const b = a + (spoked ? (i % 2 ? 0.5 : -0.5) : 0);
      return line(
        q(wheel.at.x + 34 * Math.cos(b), wheel.at.z + 34 * Math.sin(b)),
        q(wheel.at.x + (wheel.rim - 6) * Math.cos(a), wheel.at.z + (wheel.rim - 6) * Math.sin(a)),
      );
    }).join('');
  };
  const cylinder = (lean: number) => {
    const base = q(c.x - 30, c.z + 60);
    const d = q(Math.sin(lean), Math.cos(lean));
    const corner = (l: number, o: number) => q(base.x + d.x * l - d.z * o, base.z + d.z * l + d.x * o);
    return poly(
      ...(
        [
          [0, 62],
          [245, 62],
          [262, 70],
          [300, 58],
          [300, -58],
          [262, -70],
          [245, -62],
          [0, -62],
        ] as const
      ).map(([l, o]) => corner(l, o)),
    );
  };
  const leans = { single: [-0.2], 'v-twin': [-0.62, 0.55], 'parallel twin': [-0.3], 'flat twin': [] }[bike.engine];
  const fins = leans.flatMap((lean) =>
    Array.from({ length: 6 }, (_, i) => {
      const l = 70 + i * 32;
      const d = q(Math.sin(lean), Math.cos(lean));
      const m = q(c.x - 30 + d.x * l, c.z + 60 + d.z * l);
      return line(q(m.x - d.z * 72, m.z + d.x * 72), q(m.x + d.z * 72, m.z - d.x * 72));
    }),
  );
  const port = flat ? q(c.x - 150, c.z + 10) : q(cylinderTop.x - 62, cylinderTop.z - 90);
  const [sa, sb] = g.silencer;
  const run = Math.hypot(sb.x - sa.x, sb.z - sa.z);
  const n = q((-(sb.z - sa.z) / run) * 48, ((sb.x - sa.x) / run) * 48);
  const by = (p: Point, k: number) => q(p.x + n.x * k, p.z + n.z * k);
  const neck = q(sa.x + 70, sa.z + 20);
  const arm = bike.drive === 'shaft' ? 52 : 34;
  const small = q(pivot.x - 70, pivot.z + 5);
  const SPROCKET = 96;
  const fr = front.radius;
  return {
    geometry: g,
    spoked,
    flat,
    spokes: [spokes(front), spokes(rear)],
    frame: [
      line(low, q(low.x + 120, c.z + 60), q(c.x - 110, c.z - 128)),
      line(q(low.x + 20, low.z + 60), q(pivot.x - 10, bike.seatHeight - 110), pivot),
      line(q(pivot.x - 10, bike.seatHeight - 110), q(tail.x - 40, tail.z - 70)),
      line(q(pivot.x + 10, pivot.z + 80), q(seat.tail.x - 60, bike.seatHeight - 70)),
      line(peg, q(peg.x + 62, peg.z - 6)),
      line(q(peg.x + 20, peg.z - 40), q(peg.x - 40, 40)),
    ],
    shock: line(...g.shock),
    header: `M${at(port)}${curve(q(port.x - 110, port.z - 60), q(c.x - 250, c.z - 110), q(c.x - 120, c.z - 158))}S${at(q(sa.x - 120, sa.z - 90))} ${at(sa)}`,
    cylinders: leans.map(cylinder),
    fins: bike.cooling === 'air' ? fins.join('') : '',
    crankcase: `M${at(q(c.x - 173, c.z - 20))}${curve(q(c.x - 168, c.z + 110), q(c.x - 20, c.z + 120), q(pivot.x - 20, pivot.z + 90))}L${at(q(pivot.x + 12, pivot.z - 40))}L${at(q(c.x + 60, c.z - 126))}L${at(q(c.x - 90, c.z - 126))}Z`,
    flatHead: poly(
      q(c.x - 178, c.z + 84),
      q(c.x - 22, c.z + 84),
      q(c.x - 12, c.z + 60),
      q(c.x - 12, c.z - 44),
      q(c.x - 28, c.z - 66),
      q(c.x - 172, c.z - 66),
      q(c.x - 188, c.z - 44),
      q(c.x - 188, c.z + 60),
    ),
    flatFins: [0, 1, 2, 3, 4]
      .map((i) => line(q(c.x - 168, c.z + 62 - i * 26), q(c.x - 32, c.z + 62 - i * 26)))
      .join(''),
    radiator: poly(
      q(low.x + 92, low.z - 110),
      q(low.x + 150, low.z - 128),
      q(low.x + 176, c.z + 200),
      q(low.x + 120, c.z + 190),
    ),
    skidPlate: poly(
      q(c.x - 225, c.z - 60),
      q(c.x - 130, c.z - 140),
      q(c.x + 110, c.z - 142),
      q(c.x + 110, c.z - 164),
      q(c.x - 150, c.z - 164),
      q(c.x - 240, c.z - 72),
    ),
    silencer: poly(by(sa, -0.5), by(sa, 0.5), by(neck, 1), by(sb, 1), by(sb, -1), by(neck, -1)),
    swingarm: poly(
      q(pivot.x, pivot.z + 40),
      q(rear.at.x + 10, rear.at.z + arm - 8),
      q(rear.at.x + 46, rear.at.z),
      q(rear.at.x + 10, rear.at.z - arm + 8),
      q(pivot.x, pivot.z - 36),
    ),
    runs: [
      line(q(small.x, small.z + 34), q(rear.at.x, rear.at.z + SPROCKET)),
      line(q(small.x, small.z - 34), q(rear.at.x, rear.at.z - SPROCKET)),
    ].join(''),
    sprocket: SPROCKET * s,
    smallSprocket: { x: X(small.x), y: Y(small.z), r: 46 * s },
    forkLower: line(q(front.at.x - 6, front.at.z), q(low.x - 30, low.z - 55)),
    forkUpper: line(q(low.x - 30, low.z - 55), q(top.x - 14, top.z + 10)),
    tank: `M${at(q(top.x + 62, top.z - 62))}${curve(q(top.x + 150, top.z + 26), q(top.x + 250, top.z + 6), q(seat.nose.x + 30, seat.nose.z + 10))}L${at(q(seat.nose.x + 10, seat.nose.z - 120))}L${at(q(low.x + 190, low.z - 150))}L${at(q(low.x + 66, low.z - 40))}Z`,
    seat: `M${at(q(seat.nose.x - 20, seat.nose.z - 2))}${curve(q(seat.nose.x + 150, seat.nose.z - 40), q(seat.tail.x - 180, seat.tail.z - 22), q(seat.tail.x + 60, seat.tail.z + 12))}L${at(q(seat.tail.x + 70, seat.tail.z - 34))}L${at(q(seat.nose.x + 30, seat.nose.z - 92))}Z`,
    tail: poly(
      q(seat.tail.x + 20, seat.tail.z - 36),
      q(tail.x, tail.z + 4),
      q(tail.x + 6, tail.z - 22),
      q(seat.tail.x - 40, seat.tail.z - 96),
    ),
    mudguard: spoked
      ? poly(q(-150, fr * 2 + 92), q(120, fr * 2 + 122), q(250, fr * 2 + 78), q(130, fr * 2 + 92))
      : `M${at(q(-fr * 0.72, fr * 1.78))}A${(fr + 22) * s} ${(fr + 22) * s} 0 0 1 ${at(q(fr * 0.86, fr * 1.62))}L${at(q(fr * 0.8, fr * 1.56))}A${(fr + 4) * s} ${(fr + 4) * s} 0 0 0 ${at(q(-fr * 0.68, fr * 1.74))}Z`,
    fairing: poly(
      q(top.x + 96, top.z - 60),
      q(top.x - 150, top.z - 190),
      q(top.x - 190, top.z - 60),
      q(top.x - 90, top.z + 60),
      q(top.x + 40, top.z + 20),
    ),
    screen: line(
      q(top.x - 130, top.z + 10),
      q(top.x - 20, top.z + 250),
      q(top.x + 20, top.z + 215),
      q(top.x - 10, top.z + 40),
    ),
    lamp: poly(
      q(lamp.x - 60, lamp.z + 6),
      q(lamp.x + 20, lamp.z + 96),
      q(lamp.x + 62, lamp.z + 60),
      q(lamp.x + 16, lamp.z - 70),
      q(lamp.x - 40, lamp.z - 66),
    ),
    bars: line(q(top.x - 14, top.z + 6), q(bars.x - 40, bars.z), q(bars.x + 70, bars.z - 18)),
    rack: line(q(tail.x - 240, tail.z + 26), q(tail.x - 10, tail.z + 40), q(tail.x - 10, tail.z + 8)),
    X,
    Y,
  };
}
