import { HANDS, type Practice, type Switch } from '../../toolbox/practice.js';
import type { Bike } from '../../bike/index.js';
import {
  GRADE_WORTH,
  hasTraits,
  needsOf,
  savedByWay,
  type Away,
  type Trouble,
  type Way,
  type WayNeeds,
} from '../../repairs/index.js';
import { chainToolTooSmall } from '../../repairs/supplies/index.js';
import type { LackFact } from '../lacks.js';
import type { PieceFunction } from '../../toolbox/tools/index.js';
import type { KitQuestion, Trip } from '../../trip/index.js';

/** A way as the rider's practice has it, or why it does not count. */
export interface PractisedWay {
  way: Way;
  needs: WayNeeds;
  /** Why it does not count on this bike and trip; null when it does. */
  barred: LackFact | null;
}

/** Cartridges that one filling takes where gas makes the air. Planning value. */
const GAS_A_FILL = 2;
const AIR: Readonly<Record<Practice['air'], PieceFunction>> = {
  'pump, cartridge for a bead': 'inflate',
  'electric pump': 'electric air',
  'hand pump': 'hand air',
  'gas cartridges': 'gas air',
  'two of them': 'inflate',
};
const LEVERS: Readonly<Record<Practice['levers'], number>> = { two: 2, 'one and a long spanner': 1, three: 3 };
/** What gets a bike out that cannot go on by itself. */
const RESCUE: readonly PieceFunction[] = ['tow', 'haul'];

/** A way's needs as the switches of practice change them. */
export function practisedNeeds(needs: WayNeeds, practice: Practice): WayNeeds {
  const functions: WayNeeds['functions'] = [];
  const supplies = [...needs.supplies];
  for (const f of needs.functions) {
    if (f.does === 'lever tyre' && f.count > 1) functions.push({ does: f.does, count: LEVERS[practice.levers] });
    else if (f.does === 'inflate') {
      functions.push({ does: AIR[practice.air], count: practice.air === 'two of them' ? 2 : f.count });
      if (practice.air === 'gas cartridges') supplies.push({ kind: 'gas cartridge', units: GAS_A_FILL });
    } else if (f.does === 'ream' && practice.reamer === 'powered drill') functions.push({ does: 'drill', count: 1 });
    else functions.push(f);
  }
  const sums = new Map<string, number>();
  for (const { kind, units } of supplies) sums.set(kind, (sums.get(kind) ?? 0) + units);
  return { heads: needs.heads, functions, supplies: [...sums].map(([kind, units]) => ({ kind, units })) };
}

/** Which spare the practice on tubes lets a way use; null for none. */
function tubeBarred(kind: string, bike: Bike, tubes: Practice['tubes']): boolean {
  if (kind !== 'front tube' && kind !== 'rear tube') return false;
  if (tubes === 'none') return true;
  if (bike.tyres === 'tubeless') return tubes !== 'with tubeless tyres too';
  return kind === 'rear tube' && tubes === 'front only';
}

function plugCarried(bike: Bike, trip: Trip | undefined, practice: Practice): boolean {
  if (practice.sparkPlug !== 'where it earns its place') return practice.sparkPlug === 'carry';
  return bike.fuelling === 'carburettor' || bike.strokes === 2 || (trip?.legs.some((l) => l.crossings > 0) ?? false);
}

/** The ways of a trouble on a bike and trip, each with its needs under the rider's practice, or why it does not count. */
export function practisedWays(
  trouble: Trouble,
  bike: Bike,
  trip: Trip | undefined,
  practice: Practice,
): PractisedWay[] {
  const tooSmall = chainToolTooSmall(bike);
  return trouble.ways
    .filter((w) => hasTraits(w.only, bike))
    .map((way) => {
      const needs = practisedNeeds(needsOf(way, bike), practice);
      const carries = needs.functions.length + needs.supplies.length + needs.heads.length > 0;
      const uses = (kind: string) => needs.supplies.some((s) => s.kind === kind);
      const prefers = (of: Switch): LackFact => ({ code: 'lack.preference', of, position: practice[of] });
      const barred = (): LackFact | null => {
        if (way.when.includes('company') && (trip?.companions ?? 0) === 0) return { code: 'lack.nobody-along' };
        if (way.when.includes('pushes') && !bike.pushStarts) return { code: 'lack.no-push-start' };
        if (practice.skill === 'only what somebody can do' && way.skill > HANDS.indexOf(practice.hand) + 1)
          return { code: 'lack.nobody-knows' };
        if (tooSmall && needs.functions.some((f) => f.does === 'open chain')) return tooSmall;
        if (needs.supplies.some((s) => tubeBarred(s.kind, bike, practice.tubes))) return prefers('tubes');
        if (practice.plugs === 'strings' && uses('pin plug')) return prefers('plugs');
        if (practice.plugs === 'pin plugs' && uses('plug string')) return prefers('plugs');
        if (uses('spark plug') && !plugCarried(bike, trip, practice)) return prefers('sparkPlug');
        if (practice.rescue !== 'carry the means' && needs.functions.some((f) => RESCUE.includes(f.does)))
          return prefers('rescue');
        if (practice.rescue === 'nothing but a phone' && trouble.stops && carries) return prefers('rescue');
        return null;
      };
      return { way, needs, barred: barred() };
    });
}

/**
 * What one mend saves: hours, or in money so many hours' worth and the fetch spared as often as the mend holds.
 * @param without hours stranded without a repair
 */
export function gainOf(
  way: Way,
  trouble: Trouble,
  without: number,
  away: Away,
  question: Pick<KitQuestion, 'value' | 'hourEuros' | 'fetchEuros'>,
): number {
  const hours = savedByWay(way, without, away);
  if (question.value === 'hours') return hours;
  const fetched = trouble.stops && hours > 0 ? question.fetchEuros * GRADE_WORTH[way.grade] * way.holds : 0;
  return hours * question.hourEuros + fetched;
}
