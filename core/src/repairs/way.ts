import { at, entry, present } from '../ground/numbers.js';
import { cylindersOf, type Bike, type Role } from '../bike/index.js';
import { ROLES } from '../bike/fastener.js';
import type { PieceFunction } from '../toolbox/tools/index.js';
import { FUNCTIONS } from '../toolbox/tools/piece.js';

/** How good a mend is: as at home, reaching a workshop, or at walking pace to the road. The best first. */
export const GRADES = ['proper', 'ride-out', 'limp'] as const;
export type Grade = (typeof GRADES)[number];

/** Share of the hours without a mend that one of a grade is worth (docs/model.md, section 4). Planning values. */
export const GRADE_WORTH: Readonly<Record<Grade, number>> = { proper: 1, 'ride-out': 0.8, limp: 0.4 };

/** Whether a grade is at least as good as the one asked for. */
export const gradeMeets = (grade: Grade, asked: Grade): boolean => GRADES.indexOf(grade) <= GRADES.indexOf(asked);

/** How a way goes on after the hands are off: so far at walking pace, pushed or on a strap. */
export interface Travel {
  /** To people or the road, or all the way to a workshop. */
  over: 'help' | 'workshop';
  /** km/h, or one of the trip's own speeds. */
  speed: number | 'walking' | 'towing';
}
/** Where a trouble happens on average: km to people, km to a workshop, and the trip's speeds. */
export interface Away {
  helpKm: number;
  workshopKm: number;
  walking: number;
  towing: number;
}
/** Where nothing is far. */
export const AT_HAND: Away = { helpKm: 0, workshopKm: 0, walking: 4, towing: 25 };

/** Hours of one mend by a way: the work, and the distance that has to be covered by it. */
export function hoursOfWay(way: Pick<Way, 'minutes' | 'travel'>, away: Away): number {
  if (!way.travel) return way.minutes / 60;
  const { over, speed } = way.travel;
  const km = over === 'help' ? away.helpKm : away.workshopKm;
  return way.minutes / 60 + km / (typeof speed === 'number' ? speed : away[speed]);
}

/**
 * Hours that one mend by a way saves on average: when it holds (hours without − hours of the mend) × the grade's worth, when it does not the
 * time is lost on top (docs/model.md, section 4, with the share that holds).
 * @param without hours stranded without a repair
 * @returns hours, 0 or more
 */
export const savedByWay = (
  way: Pick<Way, 'minutes' | 'travel' | 'grade' | 'holds'>,
  without: number,
  away: Away,
): number => {
  const hours = hoursOfWay(way, away);
  return Math.max(0, way.holds * GRADE_WORTH[way.grade] * (without - hours) - (1 - way.holds) * hours);
};

/**
 * The most hours that any of some ways saves of those without a mend.
 * @param without hours stranded without a repair
 * @returns h
 */
export const mostSaved = (
  ways: readonly Pick<Way, 'minutes' | 'travel' | 'grade' | 'holds'>[],
  without: number,
  away: Away,
): number => ways.reduce((m, w) => Math.max(m, savedByWay(w, without, away)), 0);

/** What a way asks of whoever does it: anybody, somebody handy, somebody who has done it before. */
export const SKILLS = [1, 2, 3] as const;
export type Skill = (typeof SKILLS)[number];
export const SKILL_WORDS: Readonly<Record<Skill, string>> = {
  1: 'anybody',
  2: 'handy',
  3: 'has done it before',
};

/** What must be so on this trip for a way: somebody rides along, the bike starts by pushing. */
export const CONDITIONS_OF_WAYS = ['company', 'pushes'] as const;
export type WayCondition = (typeof CONDITIONS_OF_WAYS)[number];

/** Traits of a bike that a trouble or a way can hang on. */
export type BikeTraits = Partial<
  Pick<
    Bike,
    'brakeFront' | 'brakeRear' | 'tyres' | 'drive' | 'cooling' | 'fuelling' | 'wheels' | 'starter' | 'strokes'
  > & {
    /** Whether some brake is worked by fluid. */
    hydraulic: boolean;
    /** Whether it can be started by foot or by a cord. */
    byHand: 'kick' | 'cord' | 'no';
    /** Whether it has more than one cylinder. */
    cylinders: 'one' | 'several';
  }
>;

/** What one step asks for. */
export type Need =
  | { by: 'head'; role: Role; ifAny: boolean }
  | { by: 'function'; does: PieceFunction; count: number }
  | { by: 'supply'; kind: string; units: number };

/** One step: what to do, and what it takes. */
export interface WayStep {
  text: string;
  /** Bikes that it is done on. */
  only: BikeTraits;
  needs: Need[];
}

/** What a way can do without and is quicker with. */
export interface Better {
  need: Need;
  /** Minutes that it saves. Planning value. */
  saves: number;
}

/** One way to mend a trouble: a sequence out and back in. */
export interface Way {
  name: string;
  grade: Grade;
  minutes: number;
  skill: Skill;
  only: BikeTraits;
  when: readonly WayCondition[];
  out: readonly WayStep[];
  back: readonly WayStep[];
  /** Share of such mends that hold. Planning value. */
  holds: number;
  /** What way is to be made by it at its pace; null where riding goes on as before. */
  travel: Travel | null;
  /** Shown before the steps. */
  caution: string;
  /** How far and how fast it is good for, km and km/h at most; null where as at home. Planning values: the maker's rule comes first. */
  lasts: { km: number; kmh: number } | null;
  /** What ends it early; empty where nothing does. */
  ruin: string;
  /** What it goes quicker with, each by itself. */
  better: readonly Better[];
  /** Whether it is a way once more, with what it goes quicker with: nice to have, lacking nowhere. */
  helped: boolean;
  /** Minutes that a second pair of hands saves; 0 where one can do it as well. Planning value. */
  second: number;
}

const MARK = /\{([^{}]+)\}|\[([^[\]]+)\]|<([^<>]+)>/gu;
/** Words in front of a step that is done on some bikes only. */
const ON_BIKES: Readonly<Record<string, BikeTraits>> = {
  chain: { drive: 'chain' },
  belt: { drive: 'belt' },
  shaft: { drive: 'shaft' },
  tubed: { tyres: 'tubed' },
  tubeless: { tyres: 'tubeless' },
  spoked: { wheels: 'spoked' },
  liquid: { cooling: 'liquid' },
  carburettor: { fuelling: 'carburettor' },
  injection: { fuelling: 'injection' },
  hydraulic: { hydraulic: true },
  'front drum': { brakeFront: 'drum' },
  'rear drum': { brakeRear: 'drum' },
};
const ON = new RegExp(`^\\((${Object.keys(ON_BIKES).join('|')})\\) ?`, 'u');
const counted = (text: string): [string, number] => {
  const counted = /^(.*?)\s*×\s*(\d{1,3})$/u.exec(text.trim());
  return counted ? [at(counted, 1), Number(counted[2])] : [text.trim(), 1];
};

/**
 * Reads a step as it is written: `{rear axle}` is a head by its role on the bike, `{chain adjuster?}` one that counts where the bike has it,
 * `[lever tyre ×2]` a function, `<patch ×2>` what is used up; `(shaft)` in front says on which bikes it is done. The rest is what to do.
 * @throws RangeError naming what is not known
 */
export function readStep(line: string): WayStep {
  const needs: Need[] = [];
  for (const [, head, does, supply] of line.matchAll(MARK)) {
    if (head !== undefined) {
      const ifAny = head.endsWith('?');
      const role = (ifAny ? head.slice(0, -1) : head).trim();
      if (!ROLES.includes(role as Role))
        throw new RangeError(`no fastener has the job "${role}": choose one of ${ROLES.join(', ')}`);
      needs.push({ by: 'head', role: role as Role, ifAny });
    } else if (does !== undefined) {
      const [name, count] = counted(does);
      if (!FUNCTIONS.includes(name as PieceFunction))
        throw new RangeError(`no piece is there to "${name}": choose one of ${FUNCTIONS.join(', ')}`);
      needs.push({ by: 'function', does: name as PieceFunction, count });
    } else {
      const [kind, units] = counted(present(supply));
      needs.push({ by: 'supply', kind, units });
    }
  }
  const [, bikes] = ON.exec(line) ?? [];
  return {
    only: bikes === undefined ? {} : entry(ON_BIKES, bikes),
    text: line
      .replace(ON, '')
      .replaceAll(MARK, '')
      .replaceAll(/\s+/gu, ' ')
      .replaceAll(/ ([.,;:])/gu, '$1')
      .trim(),
    needs,
  };
}

/**
 * A way from what differs; its steps are read from their lines.
 * @param minutes of the work. Planning value
 */
export const way = (
  name: string,
  grade: Grade,
  minutes: number,
  skill: Skill,
  out: readonly string[],
  back: readonly string[] = [],
  {
    better = [],
    ...more
  }: Partial<Pick<Way, 'only' | 'when' | 'holds' | 'travel' | 'caution' | 'lasts' | 'ruin' | 'second'>> & {
    /** What it goes quicker with, as a step marks it, and the minutes that it saves. */
    better?: readonly (readonly [mark: string, saves: number])[];
  } = {},
): Way => ({
  name,
  grade,
  minutes,
  skill,
  only: {},
  when: [],
  holds: 1,
  travel: null,
  caution: '',
  lasts: null,
  ruin: '',
  second: 0,
  helped: false,
  ...more,
  better: better.map(([mark, saves]) => ({ need: at(readStep(mark).needs, 0), saves })),
  out: out.map(readStep),
  back: back.map(readStep),
});

/** All that a way asks for, on a bike or on any, each once: heads by role, the greatest count of each function at a time, units of supplies added up. */
export interface WayNeeds {
  heads: { role: Role; ifAny: boolean }[];
  functions: { does: PieceFunction; count: number }[];
  supplies: { kind: string; units: number }[];
}
/**
 * Everything that a way asks for, each once.
 * @param bike leaves out the steps that are not done on it; null for any bike
 */
export function needsOf(w: Pick<Way, 'out' | 'back'>, bike: Bike | null = null): WayNeeds {
  const heads = new Map<Role, boolean>();
  const functions = new Map<PieceFunction, number>();
  const supplies = new Map<string, number>();
  for (const { needs, only } of [...w.out, ...w.back])
    for (const n of bike && !hasTraits(only, bike) ? [] : needs) {
      if (n.by === 'head') heads.set(n.role, (heads.get(n.role) ?? true) && n.ifAny);
      else if (n.by === 'function') functions.set(n.does, Math.max(functions.get(n.does) ?? 0, n.count));
      else supplies.set(n.kind, (supplies.get(n.kind) ?? 0) + n.units);
    }
  return {
    heads: [...heads].map(([role, ifAny]) => ({ role, ifAny })),
    functions: [...functions].map(([does, count]) => ({ does, count })),
    supplies: [...supplies].map(([kind, units]) => ({ kind, units })),
  };
}

/** How long a mend is good for, km and km/h, and what ends it early; null and empty where nothing does. */
export interface LastingFact {
  code: 'way.lasting';
  lasts: Way['lasts'];
  ruin: string;
}
/** How long a way is good for and what ends it; null where it is as at home. */
export const lasting = ({ lasts, ruin }: Pick<Way, 'lasts' | 'ruin'>): LastingFact | null =>
  lasts || ruin ? { code: 'way.lasting', lasts, ruin } : null;

/** The steps of a way that are done on a bike. */
export const stepsOn = (steps: readonly WayStep[], bike: Bike): readonly WayStep[] =>
  steps.filter((s) => hasTraits(s.only, bike));

/** Whether a bike has the traits that something hangs on. */
export const hasTraits = (only: BikeTraits, bike: Bike): boolean =>
  Object.entries(only).every(([key, value]) => traitOf(key as keyof BikeTraits, bike) === value);
function traitOf(key: keyof BikeTraits, bike: Bike): unknown {
  if (key === 'hydraulic') return bike.brakeFront !== 'drum' || bike.brakeRear !== 'drum';
  if (key === 'cylinders') return cylindersOf(bike.engine) > 1 ? 'several' : 'one';
  if (key === 'byHand')
    return bike.starter === 'pull cord'
      ? 'cord'
      : bike.starter === 'kick' || bike.starter === 'electric and kick'
        ? 'kick'
        : 'no';
  return bike[key];
}
