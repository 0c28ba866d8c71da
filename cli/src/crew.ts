import { crewAnswer, crewCase, listOfCarrier, readGarageFile, shareOut, type CrewAnswer } from '@necessaire/core';
import { loadSolver } from '@necessaire/solver';
import { UsageError, type Io } from './io.js';
import { named, readFile, today } from './kit.js';

/** `necessaire crew`: who carries what on a trip of an exported garage, by the very functions that the screens call. */
export async function crewCommand(
  file: string,
  options: { trip?: string | undefined; json?: boolean | undefined },
  io: Io,
): Promise<number> {
  const read = readGarageFile(readFile(file));
  if (!read.ok) {
    for (const f of read.faults) io.err(`${file}: ${f.path}: ${f.message}\n`);
    return 2;
  }
  const doc = read.document;
  const withCrew = doc.trips.filter((t) => doc.crews.some((c) => c.tripId === t.id));
  const trip = options.trip === undefined ? withCrew[0] : named(doc.trips, options.trip, 'trip');
  const crew = doc.crews.find((c) => c.tripId === trip?.id);
  if (!trip || !crew)
    throw new UsageError(
      `${file}: nobody rides along${trip ? ` on ${trip.name}` : ' on any trip'}: add them under Crew`,
    );
  const c = crewCase(doc, crew, today());
  const shared = c && shareOut(c, await loadSolver());
  if (!c || !shared) throw new UsageError(`${file}: crews: nobody of this crew has a bike here: add one`);
  const answer = crewAnswer(c, shared);
  io.out(options.json ? `${JSON.stringify(crewSummary(answer, trip.name), null, 2)}\n` : asText(answer, trip.name));
  return 0;
}

/** The lists and figures as they are printed: names instead of ids, figures unrounded. */
export function crewSummary(answer: CrewAnswer, trip: string) {
  return {
    trip,
    mass: answer.mass,
    share: answer.share,
    home: answer.home,
    proven: answer.proven,
    gap: answer.gap,
    gaps: answer.judged.gaps.length,
    carriers: answer.carriers.map((k) => ({
      name: answer.names[k.number]?.name ?? '',
      mass: k.mass,
      limit: k.limit,
      carries: listOfCarrier(answer, k.number).map(({ what, count, mass, from, buy }) => ({
        what,
        count,
        mass,
        from,
        buy,
      })),
    })),
  };
}

function asText(answer: CrewAnswer, trip: string): string {
  const s = crewSummary(answer, trip);
  const proof = s.proven ? 'proven' : `within ${(s.gap * 100).toFixed(1)} %`;
  const lines = [
    `${s.trip}: ${(s.mass / 1000).toFixed(2)} kg for ${s.carriers.length} carriers, ${proof}; ${s.gaps} gaps; all home ${(s.home * 100).toFixed(1)} %`,
  ];
  for (const k of s.carriers) {
    lines.push('', `${k.name}: ${(k.mass / 1000).toFixed(2)} of ${(k.limit / 1000).toFixed(2)} kg`);
    for (const l of k.carries) {
      const more = [l.from && `from ${l.from}`, l.buy > 0 && `buy ${l.buy}`].filter(Boolean).join(', ');
      lines.push(`  ${l.what}${l.count > 1 ? ` ×${l.count}` : ''} (${l.mass.toFixed(0)} g)${more ? ` ${more}` : ''}`);
    }
  }
  return `${lines.join('\n')}\n`;
}
