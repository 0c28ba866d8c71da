import {
  answerFor,
  calendarFile,
  proofTold,
  proveCaseOf,
  readGarageFile,
  tripDays,
  type ProofTold,
} from '@necessaire/core';
import { loadSolver } from '@necessaire/solver';
import { calendarWords, checkWords, said } from '@necessaire/words';
import type { Io } from './io.js';
import { named, readFile, today } from './kit.js';

interface Options {
  bike?: string | undefined;
  trip?: string | undefined;
  json?: boolean | undefined;
  calendar?: boolean | undefined;
}

/** `necessaire prove`: how ready bike, kit and rider are, which drill is next and what is to be checked; or the checks as a calendar file. */
export async function proveCommand(file: string, options: Options, io: Io): Promise<number> {
  const read = readGarageFile(readFile(file));
  if (!read.ok) {
    for (const f of read.faults) io.err(`${file}: ${f.path}: ${f.message}\n`);
    return 2;
  }
  const doc = read.document;
  const bike = named(doc.bikes, options.bike, 'bike');
  const trip = named(doc.trips, options.trip, 'trip');
  if (!bike || !trip) {
    io.err(`${file}: ${bike ? 'trips: there is no trip' : 'bikes: there is no bike'} in this garage: add one\n`);
    return 2;
  }
  const question = { bikeId: bike.id, tripId: trip.id, today: today() };
  const answer = answerFor(doc, question, await loadSolver());
  const told = proofTold(doc, proveCaseOf(doc, question, answer, question.today));
  if (options.calendar) {
    const of = { id: trip.id, name: trip.name, leaves: trip.leaves, days: tripDays(trip) };
    io.out(
      calendarFile(told.checks, { bike, trip: of, words: calendarWords('metric'), now: new Date().toISOString() }),
    );
    return 0;
  }
  const summary = summaryOf(told, bike.name, trip.name);
  io.out(options.json ? `${JSON.stringify(summary, null, 2)}\n` : asText(summary));
  return 0;
}

/** What is printed: names instead of ids, figures unrounded. */
function summaryOf(told: ProofTold, bike: string, trip: string) {
  const { ready } = told;
  return {
    bike,
    trip,
    ready: ready.share,
    hoursAtStake: ready.atStake,
    hoursSaved: ready.saved,
    hoursProven: ready.proven,
    drills: told.offers
      .filter((o) => o.worth > 0)
      .map((o) => ({ name: o.name, way: o.way, wheel: o.wheel, minutes: o.minutes, proves: o.proves, worth: o.worth })),
    checks: told.checks.map((k) => ({
      name: checkWords(k.about).name,
      when: k.when,
      due: k.due,
      standing: k.standing,
      guards: k.guards,
      how: said('metric', checkWords(k.about).how),
    })),
  };
}
type Summary = ReturnType<typeof summaryOf>;

const MOST_DRILLS = 10;
function asText(s: Summary): string {
  const open = s.checks.filter((k) => k.standing !== 'done' && k.standing !== 'skipped');
  const lines = [
    `${s.bike}, ${s.trip}`,
    `ready ${s.ready === null ? '–' : `${(s.ready * 100).toFixed(0)} %`}   at risk ${s.hoursAtStake.toFixed(1)} h, saved as planned ${s.hoursSaved.toFixed(1)} h, proven ${s.hoursProven.toFixed(1)} h`,
    '',
    'DRILLS',
    ...s.drills
      .slice(0, MOST_DRILLS)
      .map(
        (o) =>
          `  ${o.minutes.toFixed(0).padStart(4)} min  ${o.name}: ${o.way}${o.wheel ? `, ${o.wheel} wheel` : ''}  (proves ${o.proves.toFixed(1)} h)`,
      ),
    '',
    'CHECKS',
    ...open.map((k) => `  ${(k.due ?? k.when).padEnd(15)} ${k.standing.padEnd(12)} ${k.name}`),
    '',
  ];
  return `${lines.join('\n')}\n`;
}
