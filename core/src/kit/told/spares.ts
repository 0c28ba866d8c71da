import { countCdf } from '../../trip/odds/index.js';
import { doneOfAsk, savedBy } from '../done.js';
import type { KitSpare } from '../kit.js';
import type { StockedMend } from '../optimum/slots.js';
import { alwaysOf, fittedOf, stockOfKit } from '../stock.js';
import type { Worked } from './worked.js';

/** What a spare of a kind is set aside for: one trouble, with its mends. */
interface SetAside {
  ask: number;
  troubleId: string;
  trouble: string;
  mends: number;
  units: number;
  mean: number;
  /** Chance that its mends suffice. */
  enough: number;
  /** Hours saved less without the spare. */
  hours: number;
}

function setAsideFor({ asks, stocked }: Worked, kind: string): SetAside[] {
  const unitsIn = (s: StockedMend) =>
    asks[s.ask]?.ask.ways[s.way]?.supplies.find((x) => x.kind === kind)?.units ?? null;
  const using = stocked.filter((s) => unitsIn(s) !== null);
  return [...new Set(using.map((s) => s.ask))].flatMap((index) => {
    const made = asks[index];
    const mine = using.filter((s) => s.ask === index);
    const [first] = mine;
    if (!made || !first) return [];
    const { ask, available, saved } = made;
    const rest = stocked.filter((s) => s.ask === index && unitsIn(s) === null);
    const without = savedBy(ask, doneOfAsk(ask, index, available, rest), (w) => w.hours);
    return [
      {
        ask: index,
        troubleId: ask.exposure.trouble.id,
        trouble: ask.name,
        mends: mine.length,
        units: unitsIn(first) ?? 0,
        mean: ask.law.mean,
        enough: countCdf(mine.length, ask.law),
        hours: saved - without,
      },
    ];
  });
}

/** The spares of a kit, the heaviest first, each with what it is set aside for. */
export function sparesOf(worked: Worked): KitSpare[] {
  const { problem, facts } = worked;
  const units = stockOfKit(problem, facts, worked.stocked);
  const fitted = fittedOf(problem);
  const always = alwaysOf(problem);
  return [...new Set([...units.keys(), ...always.keys()])]
    .filter((kind) => (units.get(kind) ?? 0) > 0 || always.has(kind))
    .map((kind): KitSpare => {
      const used = units.get(kind) ?? 0;
      const packedAnyway = always.get(kind) ?? 0;
      const of = problem.book.of(kind);
      const parts = setAsideFor(worked, kind);
      const besides = (fitted.get(kind) ?? 0) - packedAnyway;
      const quantity = Math.max(used, Math.min(used, besides) + packedAnyway);
      const onBike = Math.min(quantity - packedAnyway, besides);
      const owned = facts.owned.get(kind) ?? 0;
      const enough = parts.reduce((p, x) => p * x.enough, 1);
      return {
        kind,
        of,
        name: of.name,
        unit: of.unit,
        quantity,
        fitted: onBike,
        enough,
        expected: parts.reduce((s, x) => s + x.mean * x.units, 0),
        mass: (quantity - onBike) * of.mass,
        owned,
        buy: Math.max(0, quantity - onBike - owned),
        always: packedAnyway,
        for: parts.map(({ troubleId, trouble, mends, units: n, mean }) => ({
          troubleId,
          trouble,
          mends,
          units: n,
          mean,
        })),
        hours: parts.reduce((s, x) => s + x.hours, 0),
      };
    })
    .sort((a, b) => b.mass - a.mass || (a.kind < b.kind ? -1 : 1));
}
