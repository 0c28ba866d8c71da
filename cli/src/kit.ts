import { readFileSync, statSync } from 'node:fs';
import {
  frontShare,
  MOST_BYTES,
  readGarageFile,
  wholeAnswer,
  type Answer,
  type Bike,
  type GarageDocument,
} from '@necessaire/core';
import { loadSolver } from '@necessaire/solver';
import { faultTitle, neededWords, reasonOf, said, whyRules } from '@necessaire/words';
import { UsageError, type Io } from './io.js';

interface Options {
  bike?: string | undefined;
  trip?: string | undefined;
  json?: boolean | undefined;
}

/** A file's text, or standard input. @throws UsageError when it cannot be read */
export function readFile(file: string): string {
  try {
    if (file === '-') return readFileSync(0, 'utf8');
    if (statSync(file).size > MOST_BYTES)
      throw new UsageError(`${file}: over ${MOST_BYTES / 1024 / 1024} MB and cannot be a garage file`);
    return readFileSync(file, 'utf8');
  } catch (error) {
    if (error instanceof UsageError) throw error;
    const { code } = error as { code?: string };
    throw new UsageError(
      `${file}: ${code === 'ENOENT' ? 'there is no such file' : code === 'EISDIR' ? 'this is a folder' : 'cannot be read'}`,
    );
  }
}

/** A row by its name, or the first when no name is given. */
export function named<T extends { name: string }>(
  rows: readonly T[],
  name: string | undefined,
  what: string,
): T | undefined {
  if (name === undefined) return rows[0];
  const found = rows.find((r) => r.name.toLowerCase() === name.toLowerCase());
  if (!found)
    throw new UsageError(`no ${what} is called "${name}": ${rows.map((r) => r.name).join(', ') || 'there is none'}`);
  return found;
}

/** `necessaire kit`: reads the file, works out the answer, prints it. */
export async function kitCommand(file: string, options: Options, io: Io): Promise<number> {
  const read = readGarageFile(readFile(file));
  if (!read.ok) {
    for (const f of read.faults) io.err(`${file}: ${f.path}: ${f.message}\n`);
    return 2;
  }
  const doc = read.document;
  const bike = named(doc.bikes, options.bike, 'bike');
  if (!bike) {
    io.err(`${file}: bikes: there is no bike in this garage: add one\n`);
    return 2;
  }
  const trip = named(doc.trips, options.trip, 'trip');
  const question = { bikeId: bike.id, tripId: trip?.id ?? null, today: today() };
  const answer = wholeAnswer(doc, question, await loadSolver());
  const summary = summaryOf(doc, answer, bike, trip?.name ?? null);
  io.out(options.json ? `${JSON.stringify(summary, null, 2)}\n` : asText(summary));
  return 0;
}

/** The answer as it is printed: names instead of ids, figures unrounded. */
export function summaryOf(doc: GarageDocument, answer: Answer, bike: Pick<Bike, 'id' | 'name'>, trip: string | null) {
  const fastener = new Map(doc.fasteners.map((f) => [f.id, f.name]));
  const place = new Map(doc.places.map((p) => [p.id, p.name]));
  const { kit } = answer;
  return {
    bike: bike.name,
    trip,
    reached: answer.reached,
    chosen: answer.chosen,
    mass: kit.mass,
    toolMass: kit.toolMass,
    spareMass: kit.spareMass,
    bulk: kit.bulk,
    proven: kit.proven,
    gap: kit.gap,
    home: kit.home,
    hoursAtStake: kit.atStake,
    tools: kit.pieces.map((p) => ({
      name: p.piece.name,
      count: p.count,
      mass: p.piece.mass * p.count,
      neededBy: p.neededBy.map((n) => neededWords(n, doc.bikes, bike.id)),
      why: reasonOf(p, doc.bikes, bike.id),
      hours: p.hours,
      serves: p.serves.map((t) => t.name),
    })),
    spares: kit.spares.map((s) => ({ name: s.name, quantity: s.quantity, mass: s.mass, buy: s.buy })),
    outOfReach: answer.fasteners
      .filter((f) => !f.reached)
      .map((f) => ({
        name: fastener.get(f.id) ?? f.id,
        why: f.fails.map((x) => said('metric', x.fail.message)),
        cure: f.cure ? f.cure.buy.map((p) => p.name) : null,
      })),
    missing: kit.missing,
    mends: kit.mends.map((m) => ({ trouble: m.name, way: m.wayName, grade: m.grade, hoursSaved: m.hoursSaved })),
    places: answer.packing.stowed.map((s) => ({
      item: s.item.name,
      place: s.placeId ? (place.get(s.placeId) ?? null) : null,
      slot: s.slot === null ? null : s.slot + 1,
      on: s.on?.name ?? null,
    })),
    packing: {
      points: answer.packing.cost,
      bound: answer.packing.bound,
      proven: answer.packing.proven,
      broken: answer.packing.faults.map((f) => ({
        rule: f.rule,
        what: faultTitle(f),
        why: said('metric', f.message) || whyRules(f.breaks),
      })),
    },
    load: answer.packing.load,
  };
}
export type Summary = ReturnType<typeof summaryOf>;

/** Today by the clock of this machine, as ISO date. */
export const today = (): string => {
  const now = new Date();
  const two = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
};

const kg = (grams: number) => `${(grams / 1000).toFixed(2)} kg`;

function asText(s: Summary): string {
  const lines = [
    `${s.bike}${s.trip ? `, ${s.trip}` : ''}`,
    `reached ${s.reached}/${s.chosen}   kit ${kg(s.mass)} (tools ${kg(s.toolMass)}, spares ${kg(s.spareMass)})   ${s.proven ? 'proven lightest' : `within ${(s.gap * 100).toFixed(1)} % of proven`}`,
    `home by own means ${(s.home * 100).toFixed(1)} %   hours at risk ${s.hoursAtStake.toFixed(1)}   bulk ${(s.bulk / 1000).toFixed(1)} L`,
    '',
    'TOOLS',
    ...s.tools.map(
      (t) => `  ${String(t.mass).padStart(5)} g  ${t.name}${t.count > 1 ? ` x${t.count}` : ''}  (${t.why})`,
    ),
    '',
    'SPARES',
    ...s.spares.map(
      (p) => `  ${String(p.mass).padStart(5)} g  ${p.quantity} ${p.name}${p.buy > 0 ? `  (buy ${p.buy})` : ''}`,
    ),
    '',
    'OUT OF REACH',
    ...(s.outOfReach.length === 0
      ? ['  nothing']
      : s.outOfReach.map((o) => `  ${o.name}: ${o.why.join('; ')}${o.cure ? `. Cure: ${o.cure.join(' and ')}` : ''}`)),
    '',
    'WHERE',
    ...s.places.map(
      (p) =>
        `  ${p.item}: ${p.place ?? 'no place found'}${p.slot === null ? '' : `, slot ${p.slot}`}${p.on === null ? '' : `, on ${p.on}`}`,
    ),
    '',
    'LOAD',
    `  packed ${kg(s.load.packed.mass)}, middle ${(s.load.packed.centre?.z ?? 0).toFixed(0)} mm high, ${(frontShare(s.load.packed) * 100).toFixed(1)} % on the front, ${s.load.packed.side.toFixed(2)} kg·m to the left`,
    `  packing ${s.packing.proven ? 'proven' : `within ${(s.packing.points - s.packing.bound).toFixed(2)} points of proven`}, ${s.packing.points.toFixed(2)} points`,
    ...s.packing.broken.map((b) => `  ${b.what}: ${b.why}`),
    '',
  ];
  return `${lines.join('\n')}\n`;
}
