import { layoutOf, tyreMeasures, type Bike, type Station } from '@necessaire/core';

export interface Point {
  x: number;
  /** Up from the ground. */
  z: number;
}
export const q = (x: number, z: number): Point => ({ x, z });
const along = (a: Point, b: Point, t: number): Point => q(a.x + (b.x - a.x) * t, a.z + (b.z - a.z) * t);

export interface Wheel {
  at: Point;
  radius: number;
  rim: number;
}

/** Everything that the side view is drawn from, in mm: x from the front axle rearwards, z up. Left side of the bike, nose to the left. */
export interface BikeGeometry {
  front: Wheel;
  rear: Wheel;
  /** Steering head, bottom and top. */
  head: [Point, Point];
  bars: Point;
  pivot: Point;
  crank: { at: Point; radius: number };
  cylinderTop: Point;
  seat: { nose: Point; tail: Point };
  tail: Point;
  silencer: [Point, Point];
  shock: [Point, Point];
  peg: Point;
  lamp: Point;
  top: number;
  left: number;
  right: number;
  stations: Record<Station, Point>;
}

const RAKE = (27.5 * Math.PI) / 180;

/** Works out the side view of a bike from its own numbers. */
export function bikeGeometry(bike: Bike): BikeGeometry {
  const f = tyreMeasures(bike.tyreFront);
  const r = tyreMeasures(bike.tyreRear);
  const w = bike.wheelbase;
  const front = q(0, f.radius);
  const rear = q(w, r.radius);
  const seatHeight = bike.seatHeight;
  const up = (length: number) => q(front.x + Math.sin(RAKE) * length, front.z + Math.cos(RAKE) * length);
  // The bars follow the seat, and the steering head sits just under them.
  const barHeight = seatHeight + 190;
  const forkLength = (barHeight - 40 - front.z) / Math.cos(RAKE);
  const head: [Point, Point] = [up(forkLength - 175), up(forkLength)];
  const bars = q(head[1].x + 45, barHeight + 25);
  const pivot = q(w - Math.max(540, r.radius * 1.75), rear.z + 45);
  const clearance = seatHeight > 870 ? 290 : 215;
  const crank = { at: q(pivot.x - 165, clearance + 165), radius: 118 };
  const cylinderTop =
    layoutOf(bike.engine) === 'flat' ? q(crank.at.x - 60, crank.at.z + 15) : q(crank.at.x - 95, crank.at.z + 315);
  const nose = q(head[1].x + 330, seatHeight + 18);
  const seatTail = q(w - 40, seatHeight + 34);
  const tail = q(w + 215, seatHeight + 72);
  const silencer: [Point, Point] = [q(w - 250, rear.z + 250), q(w + 150, rear.z + 345)];
  const shock: [Point, Point] = [q(pivot.x + 165, pivot.z + 20), q(pivot.x + 30, seatHeight - 130)];
  const peg = q(pivot.x - 25, pivot.z - 70);
  const lamp = q(head[1].x - 115, head[1].z - 40);
  return {
    front: { at: front, radius: f.radius, rim: f.rim * 12.7 },
    rear: { at: rear, radius: r.radius, rim: r.rim * 12.7 },
    head,
    bars,
    pivot,
    crank,
    cylinderTop,
    tail,
    silencer,
    shock,
    peg,
    lamp,
    seat: { nose, tail: seatTail },
    // Mirrors, and a screen where there is one, stand above the bars.
    top: bars.z + (bike.mass > 190_000 || bike.fitted.includes('screen') ? 230 : 150),
    left: -f.radius - 20,
    right: Math.max(w + r.radius, tail.x) + 20,
    stations: {
      'front-wheel': front,
      cockpit: q(bars.x - 10, bars.z - 30),
      'front-end': along(front, head[0], 0.66),
      'tank-seat': q((nose.x + head[1].x) / 2 + 120, seatHeight + 15),
      electrics: q(seatTail.x - 190, seatHeight - 40),
      'plug-top': q(cylinderTop.x + 10, cylinderTop.z - 40),
      engine: q(crank.at.x - 40, crank.at.z - 95),
      controls: peg,
      exhaust: along(silencer[0], silencer[1], 0.55),
      'rear-wheel': rear,
      suspension: along(shock[0], shock[1], 0.42),
      racks: q(tail.x - 60, tail.z + 5),
    },
  };
}
