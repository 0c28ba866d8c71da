/** Nouns that are counted on the screens, for one and for several. */
const NOUNS = {
  bike: ['bike', 'bikes'],
  bolt: ['bolt', 'bolts'],
  cartridge: ['cartridge', 'cartridges'],
  cause: ['cause', 'causes'],
  caution: ['caution', 'cautions'],
  change: ['change', 'changes'],
  check: ['check', 'checks'],
  companion: ['companion', 'companions'],
  day: ['day', 'days'],
  fastener: ['fastener', 'fasteners'],
  gap: ['gap', 'gaps'],
  item: ['item', 'items'],
  leg: ['leg', 'legs'],
  line: ['line', 'lines'],
  look: ['look', 'looks'],
  more: ['more', 'more'],
  repair: ['repair', 'repairs'],
  review: ['review', 'reviews'],
  rider: ['rider', 'riders'],
  row: ['row', 'rows'],
  spare: ['spare', 'spares'],
  thing: ['thing', 'things'],
  time: ['time', 'times'],
  tool: ['tool', 'tools'],
  trip: ['trip', 'trips'],
} as const;
type Noun = keyof typeof NOUNS;

/**
 * A count with its noun: `1 day`, `3 days`.
 * @param one a noun of the list, or the words for one
 * @param many the words for several, where they are not in the list
 */
export function counted(n: number, one: Noun): string;
export function counted(n: number, one: string, many: string): string;
export function counted(n: number, one: string, many?: string): string {
  const [single, several] = many === undefined ? NOUNS[one as Noun] : [one, many];
  return `${n} ${n === 1 ? single : several}`;
}
