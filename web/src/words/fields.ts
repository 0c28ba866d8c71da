import { figure, printShape, unitOf, type HeadForm, type Quantity, type UnitSystem } from '@necessaire/core';

/** Fields whose names in the document are not the words of the screens. */
const WORDS: Record<string, string> = {
  bikeId: 'bike',
  placeId: 'place',
  far: 'far end',
  farAccess: 'access at the far end',
  leftOut: 'left out because',
  who: 'measured by',
  getsLost: 'gets lost',
  mark: 'mark in the toolbox',
  onlyBike: 'only for',
  kept: 'location',
  takenMass: 'weight in it already',
  item: 'item',
  fuelGapKm: 'km to the next fuel',
};
/** Quantities of fields that are numbers, so that they stand in the units on show. */
const QUANTITIES: Record<string, Quantity> = {
  mass: 'mass',
  recess: 'length',
  clearance: 'length',
  headroom: 'length',
  thin: 'length',
  stud: 'length',
  length: 'length',
  width: 'length',
  height: 'length',
  volume: 'volume',
  torque: 'torque',
};

/** A field's name as a reader would say it: `getsLost` is "gets lost". */
export const fieldWords = (field: string): string =>
  WORDS[field] ?? field.replace(/([a-z0-9])([A-Z])/g, '$1 $2').toLowerCase();

/** How values are said: the units on show, and what a row is called by its id. */
export interface Saying {
  units: UnitSystem;
  nameOf: (id: string) => string | null;
}
type Part = Readonly<Record<string, unknown>>;
const isPart = (v: unknown): v is Part => typeof v === 'object' && v !== null && !Array.isArray(v);
const ID = /^[0-9a-f]{8}-([0-9a-f]{4}-){3}[0-9a-f]{12}$/;

/** A value in words, never as it is stored. */
export function valueWords(value: unknown, say: Saying, field = ''): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') {
    const quantity = QUANTITIES[field];
    return quantity ? `${figure(say.units, quantity, value)} ${unitOf(say.units, quantity)}` : String(value);
  }
  if (typeof value === 'string') return ID.test(value) ? (say.nameOf(value) ?? 'a row that is gone') : value;
  if (Array.isArray(value)) {
    if (value.length === 0) return 'nothing';
    return value.length > 4
      ? `${value.length} entries`
      : value.map((v) => valueWords(v, say, field)).join(field === 'legs' ? '; ' : ', ');
  }
  const part = value as Part;
  if (typeof part['form'] === 'string' && typeof part['size'] === 'string')
    return printShape({ form: part['form'] as HeadForm, size: part['size'] });
  if ('value' in part && 'source' in part)
    return `${valueWords(part['value'], say, field)}, ${valueWords(part['source'], say)}`;
  return Object.entries(part)
    .filter(([, v]) => v !== null && v !== undefined && v !== '')
    .map(([k, v]) => `${fieldWords(k)} ${valueWords(v, say, k)}`)
    .join(', ');
}

/** One thing in which two versions differ, in words. */
export interface Difference {
  name: string;
  mine: string;
  theirs: string;
}

/**
 * In what two versions of a row differ: field by field, and part by part within a field, so that no long value hides a small difference.
 * @param mine, theirs the rows; null where it was deleted
 */
export function differences(mine: Part | null, theirs: Part | null, say: Saying): Difference[] {
  if (!mine || !theirs)
    return [{ name: 'all of it', mine: mine ? 'stays' : 'deleted', theirs: theirs ? 'stays' : 'deleted' }];
  const out: Difference[] = [];
  const compare = (name: string, field: string, a: unknown, b: unknown, depth: number) => {
    // A shape, and a value with its source, are said in one.
    const whole = (v: unknown) => isPart(v) && (('form' in v && 'size' in v) || ('value' in v && 'source' in v));
    if (isPart(a) && isPart(b) && depth < 3 && !whole(a) && !whole(b)) {
      for (const k of new Set([...Object.keys(a), ...Object.keys(b)]))
        compare([name, fieldWords(k)].filter(Boolean).join(', '), k, a[k], b[k], depth + 1);
      return;
    }
    if (Array.isArray(a) && Array.isArray(b) && depth < 3 && a.length === b.length && a.some(isPart)) {
      a.forEach((v, i) => compare(`${name} ${i + 1}`, field, v, b[i], depth + 1));
      return;
    }
    const [m, t] = [valueWords(a, say, field), valueWords(b, say, field)];
    if (m !== t) out.push({ name, mine: m, theirs: t });
  };
  compare('', '', mine, theirs, 0);
  return out;
}
