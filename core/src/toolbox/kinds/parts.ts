import { printSize, type Shape } from '../../ground/sizes/index.js';
import type { Mode, Offer, PieceModel, Trait } from '../tools/piece.js';

/**
 * Generic pieces in usual proportions, made by size. All figures are planning values.
 * Each maker returns a piece without an owner; the garage adds id, count and marks.
 */
export const box = (length: number, width: number, height: number) => ({
  length: Math.round(length),
  width: Math.round(width),
  height: Math.round(height),
});
export const STEEL: Trait[] = ['hard', 'conductive'];

/**
 * What is turned by hand.
 * @param arm mm
 */
export const hand = (hold: Extract<Offer, { by: 'hand' }>['hold'], arm: number, takesPipe = false): Offer => ({
  by: 'hand',
  hold,
  arm: Math.round(arm),
  takesPipe,
});
/** What holds a piece: a shape of another one, such as a square drive. */
export const held = (form: Shape['form'], size: string): Offer => ({ by: 'shape', shape: { form, size } });

/** A mode from what differs; the rest is a plain fixed piece that comes in line. */
export const mode = (given: Pick<Mode, 'offer' | 'turns' | 'bears' | 'length' | 'width'> & Partial<Mode>): Mode => ({
  grip: 'six',
  opensTo: null,
  thickness: 0,
  hollow: 0,
  step: 0,
  swivels: false,
  ...given,
});
/** A piece of steel that does nothing but turn, unless it is said. */
export const piece = (given: Omit<PieceModel, 'functions' | 'traits'> & Partial<PieceModel>): PieceModel => ({
  functions: [],
  traits: STEEL,
  ...given,
});

/** A price that grows with the size, euros, to ten cents. */
export const money = (base: number, perMm: number, s: number) => Math.round((base + perMm * s) * 10) / 10;

/** A shape as it stands in a name: `T30`, `inside hex 5`. */
export const label = (shape: Shape): string => {
  const letters: Partial<Record<Shape['form'], string>> = {
    lobe: 'T',
    'lobe-pin': 'pinned T',
    'lobe-out': 'E',
    ph: 'PH',
    jis: 'Japanese cross ',
    key: 'inside hex ',
    slot: 'slot ',
    square: 'square recess ',
  };
  return `${letters[shape.form] ?? ''}${printSize(shape.size)}`;
};
