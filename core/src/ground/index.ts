export * from './units/index.js';
export * from './sizes/index.js';
export {
  parseShape,
  isList,
  linesOf,
  quoted,
  readSize,
  rewritten,
  tokensOf,
  type LineAsk,
  type LineFact,
  type LineFault,
  type LineOption,
  type LinePart,
  type LineReading,
  type OwnWord,
  type Phrasebook,
  type FormBook,
  type FormTerm,
  type PhraseAt,
  type ShapeWanted,
  type SizeReading,
  type Token,
} from './line/index.js';
export * from './fields.js';
export { cleaned, cut } from './text.js';
export * from './terrain.js';
export { eachOnce, type Coded } from './facts.js';
export * from './faults.js';
export * from './json.js';
export * from './milp.js';
