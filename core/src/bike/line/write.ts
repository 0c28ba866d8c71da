import { quoted } from '../../ground/line/index.js';
import { typeShape } from '../../ground/sizes/index.js';
import type { UnitSystem } from '../../ground/units/index.js';
import type { Access, Fastener } from '../fastener.js';
import { readEntry } from './read.js';

const LB_FT = 1.3558179483;
const MM_IN = 25.4;

/** A figure with at most so many decimals and no noughts behind. */
const trimmed = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

/** What stands in the way, as words of the entry line. A plug's own stud goes without saying. */
function typeAccess(a: Access, plainStud: boolean, units: UnitSystem): string[] {
  const mm = (value: number) => (units === 'inch' ? `${trimmed(value / MM_IN, 3)}in` : String(value));
  return [
    ...(a.recess ? [`sunk ${mm(a.recess)}`] : []),
    ...(a.clearance !== null ? [`well ${mm(a.clearance)}`] : []),
    ...(a.headroom !== null ? [`room ${mm(a.headroom)}`] : []),
    ...(a.thin !== null ? [`thin ${mm(a.thin)}`] : []),
    ...(a.stud && !plainStud ? [`stud ${mm(a.stud)}`] : []),
    ...(a.swing !== null ? [`swing ${a.swing}`] : []),
    ...(a.approach !== 'any' ? [a.approach] : []),
  ];
}

/** A name in quotes where the line would read one of its words as something else, or ask what it is. */
function typeName(text: string): string {
  const { draft, faults, asks, parts } = readEntry(`10 ${text}`);
  const plain =
    faults.length === 0 &&
    asks.length === 0 &&
    parts.every((p) => p.others.length === 0) &&
    Object.keys(draft).every((k) => k === 'head' || k === 'name');
  return plain && draft.name === text && draft.head?.form === 'hex' ? text : quoted(text);
}

const SOURCE_WORDS = { manual: ' manual', 'planning value': ' planned', 'own log': ' logged', user: '' } as const;

/** A fastener as one entry line in the units on show; reading it again gives every field back but its evidence's history. */
export function typeEntry(f: Fastener, units: UnitSystem = 'metric'): string {
  const same = f.far && f.far.form === f.head.form && f.far.size === f.head.size;
  const torque = f.torque && {
    figure: units === 'inch' ? `${trimmed(f.torque.value / LB_FT, 2)}lbft` : `${f.torque.value}nm`,
    source: SOURCE_WORDS[f.torque.source],
  };
  const reason = f.leftOut !== null && /note\s*:|"|[“”„«»]/iu.test(f.leftOut) ? quoted(f.leftOut) : f.leftOut;
  return [
    ...(same ? ['2 ends'] : []),
    typeShape(f.head),
    typeName(f.name),
    ...(f.far && !same ? [`far ${typeShape(f.far)}`] : []),
    ...(f.count > 1 ? [`x${f.count}`] : []),
    ...(f.thread ? [f.thread.startsWith('M') ? f.thread.toLowerCase() : `thread ${f.thread}`] : []),
    ...(torque ? [torque.figure + torque.source] : []),
    ...typeAccess(f.access, f.head.form === 'plug' && f.access.stud === 50, units),
    ...typeAccess(f.farAccess, false, units).map((w) => `far ${w}`),
    ...(f.shakesLoose ? ['loose'] : []),
    ...(f.getsLost ? ['lost'] : []),
    ...(f.breaks ? ['breaks'] : []),
    ...(f.accessory ? ['accessory'] : []),
    ...(f.condition !== 'dirty' ? [f.condition] : []),
    ...(f.role ? [`role ${f.role}`] : []),
    f.evidence,
    `@${f.station}`,
    ...(reason !== null ? [`left out: ${reason}`] : []),
    ...(f.note.trim() ? [`note: ${f.note.replace(/\s+/g, ' ').trim()}`] : []),
  ].join(' ');
}
