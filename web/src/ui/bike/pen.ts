import { at, present } from '@necessaire/core';
import type { Point } from './geometry';

/** From mm to the px of a drawing. */
export interface Scale {
  s: number;
  ox: number;
  ground: number;
}

/** How a stroke of the drawing is laid down; the look of each is BikeShape's. */
export type Ink =
  'line' | 'hair' | 'soft' | 'plate' | 'tone' | 'dark' | 'tube' | 'core' | 'chain' | 'belt' | 'spring' | 'pipe';
export interface Stroke {
  ink: Ink;
  d: string;
  /** Width of a tube in mm, for inks that are drawn as thick as they are. */
  width?: number;
}

/** Writes path data for one scale. Points are in mm. */
export class Pen {
  readonly strokes: Stroke[] = [];
  constructor(private readonly scale: Scale) {}

  x = (x: number) => this.scale.ox + x * this.scale.s;
  y = (z: number) => this.scale.ground - z * this.scale.s;
  px = (mm: number) => mm * this.scale.s;
  private at = (p: Point) => `${this.x(p.x).toFixed(1)} ${this.y(p.z).toFixed(1)}`;

  line = (...ps: Point[]) => `M${ps.map(this.at).join('L')}`;
  poly = (...ps: Point[]) => `${this.line(...ps)}Z`;
  circle = (c: Point, r: number) => {
    const [cx, cy, k] = [this.x(c.x), this.y(c.z), this.px(r)];
    return `M${(cx - k).toFixed(1)} ${cy.toFixed(1)}a${k.toFixed(1)} ${k.toFixed(1)} 0 1 0 ${(2 * k).toFixed(1)} 0a${k.toFixed(1)} ${k.toFixed(1)} 0 1 0 ${(-2 * k).toFixed(1)} 0Z`;
  };
  /** A curve through all points, closed or open (Catmull and Rom's way). */
  curve(points: readonly Point[], closed = false): string {
    const n = points.length;
    const p = (i: number) => (closed ? at(points, (i + n) % n) : present(points[Math.min(n - 1, Math.max(0, i))]));
    let d = `M${this.at(at(points, 0))}`;
    for (let i = 0; i < (closed ? n : n - 1); i++) {
      const [a, b, c, e] = [p(i - 1), p(i), p(i + 1), p(i + 2)];
      const one = { x: b.x + (c.x - a.x) / 6, z: b.z + (c.z - a.z) / 6 };
      const two = { x: c.x - (e.x - b.x) / 6, z: c.z - (e.z - b.z) / 6 };
      d += `C${this.at(one)} ${this.at(two)} ${this.at(c)}`;
    }
    return closed ? `${d}Z` : d;
  }
  put(ink: Ink, d: string, width?: number): void {
    this.strokes.push(width === undefined ? { ink, d } : { ink, d, width });
  }
}
