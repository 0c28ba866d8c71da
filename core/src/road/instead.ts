import { fit } from '../bike/fit/index.js';
import type { Fastener } from '../bike/index.js';
import type { Need } from '../repairs/index.js';
import type { Supply } from '../repairs/supplies/index.js';
import type { ProveCase } from '../prove/index.js';
import type { Piece, PieceFunction } from '../toolbox/tools/index.js';
import { whereAll, type Lies } from '../prove/rehearsal.js';

/** Something that does instead: at what it costs, and where it lies. */
export interface Instead {
  name: string;
  /** What to mind with it. */
  mind: string;
  lies: Lies[];
}

/** What does a function as well or worse, the better first. */
const DOES: Readonly<Partial<Record<PieceFunction, readonly (readonly [does: PieceFunction, mind: string])[]>>> = {
  inflate: [
    ['hand air', 'by hand, slowly'],
    ['electric air', 'from a battery that has it'],
    ['gas air', 'refill with air within a day; wear gloves'],
  ],
  'hand air': [
    ['electric air', 'from a battery that has it'],
    ['gas air', 'refill with air within a day'],
  ],
  'electric air': [['hand air', 'by hand, slowly']],
  'lever tyre': [['pry', 'round its edge with tape: it nicks tube and rim']],
  grip: [['clamp', 'it marks what it grips']],
  clamp: [['grip', 'hold it all the while: it lets go']],
  cut: [
    ['saw', 'slowly, away from hose and cable'],
    ['file', 'slowly'],
  ],
  saw: [
    ['file', 'file it through'],
    ['cut', 'only what it is made for'],
  ],
  strike: [['pry', 'as a drift, struck with a stone: shield your eyes']],
  pry: [['lever tyre', 'not on soft alloy']],
  pick: [['pry', 'gently']],
  tow: [['haul', 'short and slow; local law first']],
  haul: [['tow', 'anchor it to something that holds more than the bike']],
  'measure current': [['light', 'a bulb on two wires lights where there is current']],
  brush: [['file', 'scrape, then blow']],
  ream: [['pick', 'roughen the hole round']],
  'turn filter': [['clamp', 'it crushes the filter: only to take it off']],
};

/** What a spare does for another, and what to mind. */
const STANDS: Readonly<Record<string, readonly (readonly [kind: string, mind: string])[]>> = {
  'cable tie': [
    ['wire', 'twist it twice and bend its ends away'],
    ['strap', 'away from wheel and exhaust'],
    ['cloth tape', 'for what is light'],
  ],
  wire: [
    ['steel tie', 'its ends cut'],
    ['cable tie', 'not near the exhaust'],
  ],
  'steel tie': [['wire', 'twist it twice']],
  'rear tube': [['front tube', 'low speed, to the nearest workshop, then replaced']],
  'front tube': [['rear tube', 'it folds: low speed, to the nearest workshop, then replaced']],
  patch: [
    ['front tube', 'a whole tube instead'],
    ['rear tube', 'a whole tube instead'],
  ],
  'plug string': [['pin plug', 'for small holes']],
  'pin plug': [['plug string', 'ream the hole first']],
  strap: [['cable tie', 'several, side by side']],
  'cloth tape': [
    ['self-fusing tape', 'on hoses'],
    ['cable tie', 'on what does not slip'],
  ],
  'self-fusing tape': [['cloth tape', 'it holds less pressure']],
  dressing: [['pressure dressing', 'it is more than is needed']],
  'split pin': [['wire', 'through the hole, twisted; not on an axle or a brake']],
  'hose clamp': [
    ['wire', 'twice round, twisted'],
    ['cable tie', 'not on hot coolant for long'],
  ],
};

/** Somebody who rides along and has what is missing. */
export interface Lender {
  who: string;
  name: string;
}
/**
 * Who of those that ride along owns a tool or spare that meets a need: by what it does, by the head's own size, or by its kind.
 * @param others everybody else with all that is theirs
 */
export function lendersOf(
  need: Need,
  others: readonly { name: string; pieces: readonly Piece[]; supplies: readonly Supply[] }[],
  fasteners: readonly Fastener[],
): Lender[] {
  const heads =
    need.by === 'head' ? fasteners.filter((f) => f.role === need.role && f.leftOut === null).map((f) => f.head) : [];
  return others.flatMap((o): Lender[] => {
    if (need.by === 'supply') {
      const has = o.supplies.find((s) => s.kind === need.kind && s.quantity >= need.units && s.condition !== 'spent');
      return has ? [{ who: o.name, name: need.kind }] : [];
    }
    const piece = o.pieces.find((p) =>
      need.by === 'function'
        ? p.functions.includes(need.does) && p.condition !== 'broken'
        : p.condition !== 'broken' &&
          heads.some((h) => p.modes.some((m) => fit(m.turns, h, m.grip).verdict === 'fits')),
    );
    return piece ? [{ who: o.name, name: piece.name }] : [];
  });
}

/**
 * What of this kit would do for a need that is not there: other tools and spares at a poorer grade, with what to mind; for a head what grips it. What
 * nothing stands in for, such as a fuse by its rating, has none.
 */
export function insteadOf(c: ProveCase, need: Need): Instead[] {
  const where = whereAll(c);
  const tools = (does: PieceFunction, mind: string): Instead[] =>
    c.kit.pieces
      .filter((p) => p.piece.functions.includes(does))
      .slice(0, 2)
      .map((p) => ({ name: p.piece.name, mind, lies: (where.get(`piece ${p.piece.id}`) ?? []).slice(0, 1) }));
  const once = (list: Instead[]) => [...new Map(list.map((x) => [x.name, x])).values()];
  switch (need.by) {
    case 'function':
      return once((DOES[need.does] ?? []).flatMap(([does, mind]) => tools(does, mind)));
    case 'supply':
      return once(
        (STANDS[need.kind] ?? []).flatMap(([kind, mind]) => {
          const spare = c.kit.spares.find((s) => s.kind === kind && s.quantity > 0);
          return spare ? [{ name: spare.name, mind, lies: where.get(`supply ${kind}`) ?? [] }] : [];
        }),
      );
    case 'head': {
      const adjustable = c.kit.pieces
        .filter((p) => p.piece.modes.some((m) => m.grip === 'adjustable'))
        .map((p) => ({
          name: p.piece.name,
          mind: 'set it tight on the flats, pull towards its fixed jaw',
          lies: (where.get(`piece ${p.piece.id}`) ?? []).slice(0, 1),
        }));
      return once([
        ...adjustable,
        ...tools('clamp', 'it ruins the head: a new bolt afterwards; not where a brake hangs on it'),
        ...tools('grip', 'only where it is hardly tight'),
      ]);
    }
  }
}
