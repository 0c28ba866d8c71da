import { INCH_HEX, METRIC_HEX, millimetres, SIX_LOBE, type Shape } from '../../ground/sizes/index.js';

/** Sizes that tools are sold in, of a list from one to another, both included, in mm. */
const between = (list: readonly string[], from: number, to: number) =>
  list.filter((s) => millimetres(s) >= from - 1e-9 && millimetres(s) <= to + 1e-9);
export const metric = (from: number, to: number) => between(METRIC_HEX, from, to);
const inch = (from: number, to: number) => between(INCH_HEX, from, to);
export const both = (from: number, to: number) => [...metric(from, to), ...inch(from, to)];
export const shapes = (form: Shape['form'], sizes: readonly string[]) => sizes.map((size): Shape => ({ form, size }));
export const words = (text: string) => text.split(' ');

export const LOBES = Object.keys(SIX_LOBE);
export const KEYS = words('1.5 2 2.5 3 4 5 6 7 8 10 12 14 17 19');
export const INCH_KEYS = '5/64in 3/32in 1/8in 9/64in 5/32in 3/16in 7/32in 1/4in 5/16in 3/8in'.split(' ');
export const CROSSES: Shape[] = [...shapes('ph', words('0 1 2 3')), ...shapes('jis', words('0 1 2 3'))];
export const SLOTS = shapes('slot', words('3 4 5.5 6 8 10'));
