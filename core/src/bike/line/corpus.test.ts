import { describe, expect, test } from '@jest/globals';
import { typeShape } from '../../ground/sizes/index.js';
import { corpusOf } from '../../testing/corpus/read.js';
import { FASTENER_LINES } from '../../testing/corpus/fasteners.js';
import { FREE_ACCESS, type Access, type Fastener } from '../fastener.js';
import { readEntry } from './index.js';

const accessWords = (access: Access | undefined, prefix: string): string[] => {
  const a = access ?? FREE_ACCESS;
  return [
    ...(a.recess ? [`sunk ${a.recess}`] : []),
    ...(a.clearance === null ? [] : [`well ${a.clearance}`]),
    ...(a.headroom === null ? [] : [`room ${a.headroom}`]),
    ...(a.thin === null ? [] : [`thin ${a.thin}`]),
    ...(a.stud ? [`stud ${a.stud}`] : []),
    ...(a.swing === null ? [] : [`swing ${a.swing}`]),
    ...(a.approach === 'any' ? [] : [a.approach]),
  ].map((w) => prefix + w);
};
const draftWords = (d: Partial<Fastener>): string[] => [
  ...(d.head ? [typeShape(d.head)] : []),
  ...(d.name ? [d.name] : []),
  ...(d.torque ? [`nm ${d.torque.value}`, ...(d.torque.source === 'user' ? [] : [`by ${d.torque.source}`])] : []),
  ...(d.count ? [`x${d.count}`] : []),
  ...(d.far ? [`far ${typeShape(d.far)}`] : []),
  ...(d.thread ? [d.thread] : []),
  ...accessWords(d.access, ''),
  ...accessWords(d.farAccess, 'far '),
  ...(d.shakesLoose ? ['loose'] : []),
  ...(d.getsLost ? ['lost'] : []),
  ...(d.breaks ? ['breaks'] : []),
  ...(d.accessory ? ['accessory'] : []),
  ...(d.condition ? [d.condition] : []),
  ...(d.evidence ? [d.evidence] : []),
  ...(d.role ? [`role ${d.role}`] : []),
  ...(d.station ? [`@${d.station}`] : []),
  ...(d.leftOut ? [`out: ${d.leftOut}`] : []),
  ...(d.note ? [`note: ${d.note}`] : []),
];
/** What the line was read as, in the corpus' words; `~` where another reading is offered for a part of it. */
function readAs(line: string): string {
  const { draft, parts, asks, faults } = readEntry(line, { here: 'exhaust' });
  const [fault] = faults;
  const [ask] = asks;
  if (fault) return `! ${line.slice(fault.start, fault.end)}`.trim();
  if (ask) return `? ${line.slice(ask.start, ask.end)}`;
  const doubt = parts.some((p) => p.what !== 'at' && p.what !== 'job' && p.others.length > 0);
  return [...draftWords(draft), ...(doubt ? ['~'] : [])].join(' | ');
}

describe('fasteners as riders write and say them', () => {
  test.each(corpusOf(FASTENER_LINES))('$line', ({ line, right }) => {
    expect(readAs(line)).toBe(right);
  });
});
