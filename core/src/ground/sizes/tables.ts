/** Common sizes and threads. Planning values from general engineering knowledge; a rider may own others. */

export const METRIC_HEX: readonly string[] = [
  '5.5',
  ...Array.from({ length: 31 }, (_, i) => String(i + 6)),
  '38',
  '41',
  '46',
];

/** Greatest common divisor, for writing sixteenths in lowest terms. */
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/**
 * Writes n/of inches in lowest terms: `1/2in`, `1 1/16in`, `1in`.
 * @param n whole numbers, above nought
 * @param of whole numbers, above nought
 * @example inchText(18, 16) // "1 1/8in"
 */
export function inchText(n: number, of: number): string {
  const whole = Math.floor(n / of);
  const rest = n % of;
  if (rest === 0) return `${whole}in`;
  const g = gcd(rest, of);
  const fraction = `${rest / g}/${of / g}in`;
  return whole > 0 ? `${whole} ${fraction}` : fraction;
}

/** ¼ to 1½ in by sixteenths, and 11/32. */
export const INCH_HEX: readonly string[] = [
  ...Array.from({ length: 21 }, (_, i) => inchText(i + 4, 16)),
  inchText(11, 32),
];

export const METRIC_KEY: readonly string[] = ('1.5 2 2.5 3 4 5 6 7 8 10 12 13 14 17 19 22 24' as string).split(' ');
export const INCH_KEY: readonly string[] = (
  '1/16in 5/64in 3/32in 1/8in 9/64in 5/32in 3/16in 7/32in 1/4in 5/16in 3/8in' as string
).split(/ (?=\d+\/)/);

/** Hexagons of spark plugs. */
export const PLUG_HEX: readonly string[] = ['14', '16', '18', '19', '13/16in', '5/8in', '3/4in'];

/** Six-lobe: size number to across-points mm. */
export const SIX_LOBE: Readonly<Record<string, number>> = {
  '8': 2.31,
  '10': 2.8,
  '15': 3.35,
  '20': 3.95,
  '25': 4.5,
  '27': 5.07,
  '30': 5.6,
  '40': 6.75,
  '45': 7.93,
  '50': 8.95,
  '55': 11.35,
  '60': 13.45,
};

/** Outside six-lobe: size number to across-points mm. Planning values. */
export const SIX_LOBE_OUT_POINTS: Readonly<Record<string, number>> = {
  '4': 3.86,
  '5': 4.73,
  '6': 5.74,
  '7': 6.16,
  '8': 7.52,
  '10': 9.42,
  '11': 10.08,
  '12': 11.17,
  '14': 12.9,
  '16': 14.76,
  '18': 16.7,
  '20': 18.45,
};
export const SIX_LOBE_OUT: readonly string[] = Object.keys(SIX_LOBE_OUT_POINTS);

/** Thread to usual tightening torque of an 8.8 steel bolt, N·m. Planning value, never a value to tighten to. */
export const USUAL_TORQUE: Readonly<Record<string, number>> = {
  M4: 3,
  M5: 6,
  M6: 10,
  M8: 24,
  M10: 47,
  M12: 82,
  M14: 130,
  M16: 200,
  // Inch threads, coarse or fine.
  '1/4in': 11,
  '5/16in': 22,
  '3/8in': 40,
  '7/16in': 62,
  '1/2in': 95,
};
export const THREADS = Object.keys(USUAL_TORQUE);

/** Diameter of a thread, mm: `M8` is 8, `5/16in` is 7.9. */
export function threadMm(thread: string): number {
  if (thread.startsWith('M')) return Number(thread.slice(1));
  const [n, of] = thread.replace('in', '').split('/').map(Number) as [number, number];
  return (n / of) * 25.4;
}

/** Head to the thread it usually sits on, where nothing better is known. */
export const USUAL_THREAD: Readonly<Record<string, string>> = {
  'hex 7': 'M4',
  'hex 8': 'M5',
  'hex 10': 'M6',
  'hex 12': 'M8',
  'hex 13': 'M8',
  'hex 14': 'M10',
  'hex 16': 'M10',
  'hex 17': 'M10',
  'hex 18': 'M12',
  'hex 19': 'M12',
  'hex 21': 'M14',
  'hex 22': 'M14',
  'hex 24': 'M16',
  'key 3': 'M4',
  'key 4': 'M5',
  'key 5': 'M6',
  'key 6': 'M8',
  'key 8': 'M10',
  'key 10': 'M12',
  'key 12': 'M14',
  'key 14': 'M16',
  'lobe 25': 'M5',
  'lobe 30': 'M6',
  'lobe 40': 'M8',
  'lobe 50': 'M10',
  'hex 7/16in': '1/4in',
  'hex 1/2in': '5/16in',
  'hex 9/16in': '3/8in',
  'hex 5/8in': '7/16in',
  'hex 3/4in': '1/2in',
  'key 3/16in': '1/4in',
  'key 1/4in': '5/16in',
  'key 5/16in': '3/8in',
  'key 3/8in': '1/2in',
};

/** Outside hex that a thread usually carries, for a row where only the thread is known. */
export const USUAL_HEAD: Readonly<Record<string, string>> = {
  M4: '7',
  M5: '8',
  M6: '10',
  M8: '13',
  M10: '17',
  M12: '19',
  M14: '22',
  M16: '24',
  '1/4in': '7/16in',
  '5/16in': '1/2in',
  '3/8in': '9/16in',
  '7/16in': '5/8in',
  '1/2in': '3/4in',
};

/** Heads that a thread usually carries, the commonest first; small heads and button heads behind them. */
export const USUAL_HEADS: Readonly<Record<string, readonly { form: 'hex' | 'key' | 'lobe'; size: string }[]>> = (() => {
  const rows: Record<string, [hex: string, key: string, lobe: string]> = {
    M4: ['7', '3 2.5', '20'],
    M5: ['8', '4 3', '25'],
    M6: ['10 8', '5 4', '30'],
    M8: ['13 12', '6 5', '40 45'],
    M10: ['17 16 14', '8', '50'],
    M12: ['19 18 17', '10', '55'],
    M14: ['22 21', '12', '60'],
    M16: ['24', '14', '60'],
    '1/4in': ['7/16in', '3/16in', ''],
    '5/16in': ['1/2in', '1/4in', ''],
    '3/8in': ['9/16in', '5/16in', ''],
    '7/16in': ['5/8in', '', ''],
    '1/2in': ['3/4in', '3/8in', ''],
  };
  const list = (form: 'hex' | 'key' | 'lobe', sizes: string) =>
    sizes.split(' ').flatMap((size) => (size === '' ? [] : [{ form, size }]));
  return Object.fromEntries(
    Object.entries(rows).map(([thread, [hex, key, lobe]]) => [
      thread,
      [...list('hex', hex), ...list('key', key), ...list('lobe', lobe)],
    ]),
  );
})();
