import {
  freePlay,
  gaugedBand,
  lobePlay,
  lobeRadius,
  openingBand,
  keyBand,
  lobeToolBand,
  type Head,
  type Shape,
} from '@necessaire/core';

/** A tool on a head, in the head's own mm: who is the opening, who turns inside it, and by how much before it bites. */
export interface Jaw {
  kind: 'hexagon' | 'lobe';
  /** Across flats (or points) of the opening and of what sits in it, mm. */
  opening: number;
  inner: number;
  /** Whether the head is the inner one, as with outside heads. */
  headInside: boolean;
  /** Free play, degrees; NaN when it does not go on, 30 when it spins. */
  play: number;
}

const middle = ({ min, max }: { min: number; max: number }) => (min + max) / 2;

/**
 * A tool of a nominal size on a head of a known measure.
 * @param measure mm of this very head; the middle of its size's band when nothing was measured
 * @returns null for forms that are no hexagon or six-lobe
 */
export function jawOf(head: Head, tool: Shape, measure: number): Jaw | null {
  const band = gaugedBand(head);
  if (!band) return null;
  const of = Number.isFinite(measure) ? measure : middle(band);
  const lobed = head.form.startsWith('lobe');
  const made = lobed ? lobeToolBand(tool) : head.form === 'key' ? keyBand(tool.size) : openingBand(tool.size);
  const headInside = head.form !== 'key' && head.form !== 'lobe' && head.form !== 'lobe-pin';
  const [opening, inner] = headInside ? [middle(made), of] : [of, middle(made)];
  return {
    kind: lobed ? 'lobe' : 'hexagon',
    opening,
    inner,
    headInside,
    play: lobed ? lobePlay(opening, inner) : freePlay(opening, inner),
  };
}

/** Corners of a hexagon of across-flats s round the origin, turned by degrees; flats left and right at nought. */
export const hexagon = (s: number, degrees: number): [number, number][] =>
  Array.from({ length: 6 }, (_, i) => {
    const a = ((30 + 60 * i + degrees) * Math.PI) / 180;
    const r = s / 2 / Math.cos(Math.PI / 6);
    return [r * Math.cos(a), r * Math.sin(a)];
  });

/** Outline of a six-lobe of a size across points, turned by degrees. */
export const lobe = (across: number, degrees: number): [number, number][] =>
  Array.from({ length: 90 }, (_, i) => {
    const phi = i * 4;
    const r = lobeRadius(across, phi - degrees);
    const a = (phi * Math.PI) / 180;
    return [r * Math.cos(a), r * Math.sin(a)];
  });
