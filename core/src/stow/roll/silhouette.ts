/**
 * Outlines of pieces from their own measures, for the roll at true scale. Each fills a box of its width and length, the working end up; holes
 * are cut by the even-odd rule. They tell kinds apart, they are no drawings of a make.
 */
export interface Silhouette {
  /** SVG path in mm, from 0,0 at the top left. */
  d: string;
}

const n = (x: number) => String(Math.round(x * 100) / 100);
const rect = (x: number, y: number, w: number, h: number) => `M${n(x)} ${n(y)}h${n(w)}v${n(h)}h${n(-w)}z`;
const round = (x: number, y: number, w: number, h: number, radius: number) => {
  const r = Math.min(radius, w / 2, h / 2);
  return (
    `M${n(x + r)} ${n(y)}h${n(w - 2 * r)}a${n(r)} ${n(r)} 0 0 1 ${n(r)} ${n(r)}v${n(h - 2 * r)}a${n(r)} ${n(r)} 0 0 1 ${n(-r)} ${n(r)}` +
    `h${n(2 * r - w)}a${n(r)} ${n(r)} 0 0 1 ${n(-r)} ${n(-r)}v${n(2 * r - h)}a${n(r)} ${n(r)} 0 0 1 ${n(r)} ${n(-r)}z`
  );
};
const polygon = (points: readonly (readonly [number, number])[]) =>
  `M${points.map(([x, y]) => `${n(x)} ${n(y)}`).join('L')}z`;
const hexagon = (x: number, y: number, r: number) =>
  polygon(
    [0, 1, 2, 3, 4, 5].map((i) => [x + r * Math.sin((i * Math.PI) / 3), y + r * Math.cos((i * Math.PI) / 3)] as const),
  );
const disc = (x: number, y: number, r: number) =>
  `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0z`;

/** An open end: two jaws round a gap, in a square of width w; `down` turns it over. */
function jaw(c: number, y: number, w: number, down: boolean): string {
  const s = down ? -1 : 1;
  const p = (x: number, dy: number): readonly [number, number] => [c + x * w, y + s * dy * w];
  return polygon([
    p(-0.5, 0.38),
    p(-0.34, 0.02),
    p(-0.2, 0),
    p(-0.2, 0.46),
    p(0.2, 0.46),
    p(0.2, 0),
    p(0.34, 0.02),
    p(0.5, 0.38),
    p(0.36, 0.8),
    p(0.17, 0.95),
    p(-0.17, 0.95),
    p(-0.36, 0.8),
  ]);
}
const ring = (c: number, y: number, r: number) => disc(c, y, r) + hexagon(c, y, r * 0.62);

type Draw = (w: number, l: number) => string;
/** Shaft of a spanner between two ends that reach so far in. */
const shaft = (w: number, l: number, top: number, bottom: number, share = 0.34) =>
  rect(w / 2 - (w * share) / 2, top, w * share, Math.max(0, l - top - bottom));

const BY_KIND: Readonly<Record<string, Draw>> = {
  'combination spanner': (w, l) =>
    jaw(w / 2, 0, w, false) + shaft(w, l, w * 0.95, w * 0.8) + ring(w / 2, l - w * 0.4, w * 0.4),
  'ring spanner': (w, l) => ring(w / 2, w / 2, w / 2) + shaft(w, l, w, w * 0.84) + ring(w / 2, l - w * 0.42, w * 0.42),
  'open spanner': (w, l) => jaw(w / 2, 0, w, false) + shaft(w, l, w * 0.95, w * 0.8) + jaw(w / 2, l, w * 0.84, true),
  socket: (w, l) =>
    round(0, 0, w, l * 0.62, 1.5) +
    round(w * 0.08, l * 0.62, w * 0.84, l * 0.38, 1.5) +
    rect(w * 0.34, l - w * 0.32, w * 0.32, w * 0.2),
  ratchet: (w, l) => {
    const head = Math.min(w, l * 0.45);
    const rest = l - head * 0.98;
    return (
      disc(w / 2, head / 2, head / 2) +
      rect(w / 2 - head * 0.15, head / 2 - head * 0.15, head * 0.3, head * 0.3) +
      round(w * 0.28, head * 0.98, w * 0.44, rest * 0.5, 3) +
      round(w * 0.18, head * 0.98 + rest * 0.5, w * 0.64, rest * 0.5, 6)
    );
  },
  'plain bar': (w, l) => round(w * 0.3, w * 0.9, w * 0.4, Math.max(2, l - w * 0.9), 3) + round(0, 0, w, w * 0.9, 2),
  extension: (w, l) =>
    rect(w * 0.25, 0, w * 0.5, w * 0.5) +
    round(w * 0.22, w * 0.5, w * 0.56, Math.max(1, l - w * 1.6), 1) +
    round(0, l - w * 1.1, w, w * 1.1, 1.5),
  adapter: (w, l) => rect(w * 0.25, 0, w * 0.5, l * 0.35) + round(0, l * 0.35, w, l * 0.65, 1.5),
  joint: (w, l) =>
    rect(w * 0.25, 0, w * 0.5, l * 0.2) +
    round(0.12 * w, l * 0.2, w * 0.76, l * 0.3, 2) +
    round(0, l * 0.5, w, l * 0.5, 2),
  bit: (w, l) =>
    polygon([
      [w * 0.3, 0],
      [w * 0.7, 0],
      [w * 0.75, l * 0.4],
      [w, l * 0.45],
      [w, l],
      [0, l],
      [0, l * 0.45],
      [w * 0.25, l * 0.4],
    ]),
  driver: (w, l) =>
    rect(w / 2 - w * 0.09, 0, w * 0.18, l * 0.5) +
    round(w * 0.12, l * 0.5, w * 0.76, l * 0.08, 2) +
    round(0, l * 0.56, w, l * 0.44, w * 0.3),
  key: (w, l) => {
    const t = Math.min(w * 0.3, 10);
    return `M0 0h${n(t)}v${n(l - t)}h${n(w - t)}v${n(t)}h${n(-w)}z`;
  },
  'key set': (w, l) =>
    round(0, 0, w, l, 4) +
    [0.25, 0.5, 0.75].map((x) => rect(w * x - 0.6, l * 0.08, 1.2, l * 0.7)).join('') +
    disc(w / 2, l * 0.9, Math.min(3, w * 0.12)),
  adjustable: (w, l) =>
    polygon([
      [w * 0.1, 0],
      [w * 0.38, 0],
      [w * 0.38, w * 0.5],
      [w * 0.62, w * 0.5],
      [w * 0.62, w * 0.06],
      [w * 0.92, w * 0.1],
      [w, w * 0.7],
      [w * 0.7, w * 1.05],
      [w * 0.66, l - 4],
      [w * 0.34, l - 4],
      [w * 0.3, w * 1.05],
      [0, w * 0.6],
    ]) + round(w * 0.26, l - w * 0.4, w * 0.48, w * 0.4, w * 0.2),
  pliers: (w, l) =>
    polygon([
      [w * 0.36, 0],
      [w * 0.64, 0],
      [w * 0.72, l * 0.26],
      [w * 0.68, l * 0.36],
      [w, l * 0.6],
      [w * 0.96, l],
      [w * 0.78, l],
      [w * 0.76, l * 0.62],
      [w * 0.5, l * 0.42],
      [w * 0.24, l * 0.62],
      [w * 0.22, l],
      [w * 0.04, l],
      [0, l * 0.6],
      [w * 0.32, l * 0.36],
      [w * 0.28, l * 0.26],
    ]) + disc(w / 2, l * 0.34, w * 0.06),
  'tyre lever': (w, l) =>
    `M${n(w * 0.2)} 0Q${n(w / 2)} ${n(-0.001)} ${n(w * 0.8)} 0L${n(w)} ${n(l * 0.12)}L${n(w * 0.8)} ${n(l * 0.4)}V${n(l - w * 0.4)}` +
    `Q${n(w * 0.8)} ${n(l)} ${n(w / 2)} ${n(l)}Q${n(w * 0.2)} ${n(l)} ${n(w * 0.2)} ${n(l - w * 0.4)}V${n(l * 0.4)}L0 ${n(l * 0.12)}z` +
    disc(w / 2, l - w * 0.42, w * 0.12),
  'plug spanner': (w, l) =>
    round(0, 0, w, l, 2) + disc(w / 2, l - w * 0.35, w * 0.14) + rect(w * 0.2, 0.8, w * 0.6, 1.2),
  'hook spanner': (w, l) =>
    `M${n(w * 0.1)} ${n(w * 0.55)}A${n(w * 0.42)} ${n(w * 0.42)} 0 1 1 ${n(w * 0.62)} ${n(w * 0.92)}L${n(w * 0.6)} ${n(l)}H${n(w * 0.4)}L${n(w * 0.42)} ${n(w * 0.74)}A${n(w * 0.26)} ${n(w * 0.26)} 0 1 0 ${n(w * 0.25)} ${n(w * 0.5)}z`,
  'spoke key': (w, l) => {
    const head = Math.min(w, l * 0.6);
    return (
      disc(w / 2, head / 2, head / 2) +
      rect(w / 2 - head * 0.08, 0, head * 0.16, head * 0.45) +
      round(w * 0.3, head * 0.96, w * 0.4, l - head * 0.96, 2)
    );
  },
  'valve tool': (w, l) => rect(w * 0.3, 0, w * 0.4, l * 0.3) + round(0, l * 0.3, w, l * 0.7, 1),
  pipe: (w, l) => rect(0, 0, w, l) + rect(w * 0.12, 0.8, w * 0.76, 1.4),
  'clutch lever': (w, l) =>
    `M0 0H${n(w * 0.45)}L${n(w * 0.6)} ${n(l * 0.2)}Q${n(w * 0.5)} ${n(l * 0.7)} ${n(w)} ${n(l)}H${n(w * 0.7)}Q${n(w * 0.2)} ${n(l * 0.7)} ${n(w * 0.28)} ${n(l * 0.24)}L0 ${n(l * 0.14)}z`,
  'spark plug': (w, l) =>
    round(w * 0.35, 0, w * 0.3, l * 0.12, 1) +
    round(w * 0.22, l * 0.12, w * 0.56, l * 0.4, 2) +
    hexagon(w / 2, l * 0.58, w / 2) +
    rect(w * 0.26, l * 0.66, w * 0.48, l * 0.34),
  'home-made': (w, l) =>
    polygon([
      [w * 0.1, 0],
      [w * 0.9, 0],
      [w, l * 0.25],
      [w * 0.8, l * 0.4],
      [w * 0.8, l],
      [w * 0.2, l],
      [w * 0.2, l * 0.4],
      [0, l * 0.25],
    ]),
};
const ALIKE: Readonly<Record<string, string>> = { 'brake lever': 'clutch lever' };

/**
 * Outline of a piece of a kind in a box of `width` × `length` mm.
 * @param width mm
 * @param length mm
 */
export function silhouette(kind: string, width: number, length: number): Silhouette {
  const draw = BY_KIND[kind] ?? BY_KIND[ALIKE[kind] ?? ''];
  return { d: draw ? draw(width, length) : round(0, 0, width, length, Math.min(6, width * 0.2)) };
}
