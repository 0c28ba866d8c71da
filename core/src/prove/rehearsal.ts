import { last } from '../ground/numbers.js';
import type { Fastener } from '../bike/index.js';
import { needMet, type Having } from '../kit/index.js';
import { practisedNeeds } from '../kit/optimum/ways.js';
import {
  hasTraits,
  isEither,
  lasting,
  type LastingFact,
  onWheel,
  type Need,
  type Trouble,
  type Way,
  type Wheel,
} from '../repairs/index.js';
import { TIERS } from '../stow/index.js';
import { baseWay, havingOf, plannedMinutes, type ProveCase } from './proveCase.js';

/** Where a thing of the kit lies: its place, how soon that is reached, and what it lies in. */
export interface Lies {
  /** Key of the packing. */
  key: string;
  name: string;
  placeId: string | null;
  place: string;
  /** Slot of a roll, from 1; null elsewhere. */
  slot: number | null;
  on: string | null;
  /** Rank of its tier, the soonest first: the order in which one unpacks. */
  soon: number;
}
/** A head that a step turns. */
export interface Turned {
  fastener: Fastener;
  /** Names of the pieces from hand to head, an entry for each end. */
  chains: string[][];
}
/** One thing that a step asks for, and what of the kit meets it. */
export interface StepNeed {
  /** The need as the way has it; null for all of them together. */
  need: Need | null;
  ask: string;
  by: string;
  ok: boolean;
  heads: Turned[];
  lies: Lies[];
}
export interface RehearsalStep {
  part: 'get out' | 'out' | 'back';
  text: string;
  needs: StepNeed[];
  /** Cautions that belong to this step; all of them on the first. */
  cautions: string[];
}
/** A way gone through on this bike with this kit. */
export interface Rehearsal {
  trouble: Trouble;
  /** The way as the kit goes it, and its own name. */
  way: Way;
  wayName: string;
  /** Which wheel, where the way is for either; null for both, or where it is no question. */
  wheel: Wheel | null;
  /** Minutes planned on this bike, by day, without own times. */
  planned: number;
  steps: RehearsalStep[];
  /** Each sentence once. */
  cautions: string[];
  lasts: LastingFact | null;
  /** Why it is only gone through in thought and hand; empty where it can be done. */
  dry: DryWhy | null;
  /** Ids of the tools that it takes, and of the heads that it turns. */
  tools: string[];
  turned: string[];
}

/** Work that nobody does to a sound bike, or that asks for a fault, by function. */
const NOT_ON_A_SOUND_BIKE: ReadonlySet<string> = new Set([
  'saw',
  'drill',
  'bore',
  'mend thread',
  'jump-start',
  'jump leads',
  'tow',
  'haul',
  'fire',
  'bandage',
  'stop bleeding',
  'siphon',
  'signal',
]);
/** What is better tried on something old: what is used up, and on what. */
const ON_SCRAP: readonly (readonly [kind: string, on: string])[] = [
  ['plug string', 'a worn-out tyre'],
  ['pin plug', 'a worn-out tyre'],
  ['patch', 'an old tube'],
  ['metal putty', 'a piece of scrap'],
];

/** Words that are in every other sentence, by their first letters. */
const COMMON: ReadonlySet<string> = new Set([
  'with',
  'from',
  'befo',
  'that',
  'them',
  'ever',
  'neve',
  'keep',
  'unde',
  'your',
  'then',
  'this',
  'firs',
  'when',
  'have',
  'hand',
  'look',
  'what',
  'bike',
  'wher',
  'unti',
  'into',
  'more',
  'away',
  'over',
  'abov',
  'both',
  'ride',
  'do',
  'stop',
]);
const stems = (text: string): string[] =>
  (text.toLowerCase().match(/\p{L}{4,}/gu) ?? []).map((w) => w.slice(0, 4)).filter((w) => !COMMON.has(w));

/** Cautions of a way that belong to a step: those that speak of the same things. Rather one too many than one too few. */
export function cautionsAt(text: string, cautions: readonly string[]): string[] {
  const said = new Set(stems(text));
  return cautions.filter((c) => stems(c).some((w) => said.has(w)));
}

const sentences = (text: string): string[] => text.split(/(?<=\.) /u).filter(Boolean);

/** Why a way is only gone through dry: it is done to people, it ends on the road, or it harms a sound bike. */
export type DryWhy = 'dry.people' | 'dry.road' | 'dry.harms';
/** Why a way is only gone through dry; null where it can be done on a sound bike. */
export function dryWhy(trouble: Pick<Trouble, 'subject'>, way: Pick<Way, 'out' | 'back' | 'travel'>): DryWhy | null {
  if (trouble.subject === 'people') return 'dry.people';
  if (way.travel !== null) return 'dry.road';
  const needs = [...way.out, ...way.back].flatMap((s) => s.needs);
  if (needs.some((n) => n.by === 'function' && NOT_ON_A_SOUND_BIKE.has(n.does))) return 'dry.harms';
  return null;
}
/** What to practise on in the bike’s stead; empty where the bike serves. */
export function practiseOn(way: Pick<Way, 'out' | 'back'>): string {
  const kinds = new Set(
    [...way.out, ...way.back].flatMap((s) => s.needs.flatMap((n) => (n.by === 'supply' ? [n.kind] : []))),
  );
  return ON_SCRAP.find(([kind]) => kinds.has(kind))?.[1] ?? '';
}

/** Where each piece and stock of the kit lies. */
export function whereAll(c: Pick<ProveCase, 'packing' | 'places'>): Map<string, Lies[]> {
  const places = new Map(c.places.map((p) => [p.id, p]));
  const out = new Map<string, Lies[]>();
  for (const s of c.packing.stowed) {
    const place = s.placeId === null ? undefined : places.get(s.placeId);
    const of = s.item.key.startsWith('piece ')
      ? s.item.key.replace(/ \d+$/u, '')
      : s.item.key.replace(/ part \d+$/u, '');
    const lies: Lies = {
      key: s.item.key,
      name: s.item.name,
      placeId: place?.id ?? null,
      place: place?.name ?? 'not packed',
      slot: s.slot === null || s.on !== null ? null : s.slot + 1,
      on: s.on?.name ?? null,
      soon: place ? TIERS.indexOf(place.tier) : TIERS.length,
    };
    out.set(of, [...(out.get(of) ?? []), lies]);
  }
  return out;
}

/** What meets one need on this bike: pieces, heads and where it all lies. */
function stepNeed(
  need: Need,
  c: ProveCase,
  where: ReadonlyMap<string, Lies[]>,
  having: Having,
): StepNeed & { tools: string[] } {
  const met = needMet(need, having);
  const of = (key: string) => where.get(key) ?? [];
  if (need.by === 'head') {
    const heads = c.fasteners
      .filter((f) => f.role === need.role && f.leftOut === null)
      .map((f): Turned => ({ fastener: f, chains: (having.chains[f.id] ?? []).map((ch) => [...ch]) }));
    const tools = [
      ...new Set(
        heads.flatMap((h) => (c.kitUse[h.fastener.id] ?? []).flatMap((ch) => ch.links.map((l) => l.piece.id))),
      ),
    ];
    return { ...met, need, heads, lies: tools.flatMap((id) => of(`piece ${id}`).slice(0, 1)), tools };
  }
  const asked = practisedNeeds(
    { heads: [], functions: need.by === 'function' ? [need] : [], supplies: need.by === 'supply' ? [need] : [] },
    c.practice,
  );
  const able = asked.functions.flatMap(({ does, count }) => {
    let left = count;
    return c.kit.pieces
      .filter((p) => p.piece.functions.includes(does))
      .flatMap((p) => {
        const n = Math.min(left, p.count);
        left -= n;
        return n > 0 ? [{ id: p.piece.id, n }] : [];
      });
  });
  const stocks = asked.supplies.flatMap(({ kind }) =>
    c.kit.spares
      .filter((s) => (kind === 'bolt' ? s.kind.startsWith('bolt ') : s.kind === kind))
      .slice(0, 1)
      .flatMap((s) => of(`supply ${s.kind}`)),
  );
  return {
    ...met,
    need,
    heads: [],
    lies: [...able.flatMap(({ id, n }) => of(`piece ${id}`).slice(0, n)), ...stocks],
    tools: able.map((a) => a.id),
  };
}

const unpackOrder = (a: Lies, b: Lies) =>
  a.soon - b.soon || (a.place < b.place ? -1 : a.place > b.place ? 1 : a.name < b.name ? -1 : 1);

/**
 * A way as steps for this bike and kit: first all that it takes, in the order in which one unpacks, then out and back in.
 * @param asked which wheel of a way that is for either; null for all that it may take
 * @returns null where this bike cannot have the trouble, or it knows no such way
 */
export function rehearsal(
  c: ProveCase,
  troubleId: string,
  wayName: string,
  asked: Wheel | null = null,
): Rehearsal | null {
  const trouble = c.troubles.find((t) => t.id === troubleId);
  const way = trouble?.ways.find((w) => w.name === wayName);
  const base = trouble && baseWay(trouble, wayName);
  if (!trouble || !way || !base) return null;
  const where = whereAll(c);
  const having = havingOf(c);
  const wheel = isEither(base) ? asked : null;
  const cautions = [...new Set(sentences(way.caution))];
  const steps: RehearsalStep[] = [];
  const tools = new Set<string>();
  const turned = new Set<string>();
  for (const part of ['out', 'back'] as const)
    for (const written of way[part].filter((x) => hasTraits(x.only, c.bike))) {
      const s = wheel === null ? written : onWheel(written, wheel);
      if (!s) continue;
      const needs = s.needs.map((n) => stepNeed(n, c, where, having));
      for (const n of needs) {
        n.tools.forEach((id) => tools.add(id));
        n.heads.forEach((h) => turned.add(h.fastener.id));
      }
      // What a way goes quicker with is a need without a step of its own.
      if (s.text === '' && steps.length > 0) last(steps).needs.push(...needs);
      else if (s.text !== '') {
        const about = `${s.text} ${needs.map((n) => `${n.ask} ${n.by}`).join(' ')}`;
        steps.push({ part, text: s.text, needs, cautions: cautionsAt(about, cautions) });
      }
    }
  const all = new Map(steps.flatMap((s) => s.needs.flatMap((n) => n.lies)).map((l) => [l.key, l]));
  const lies = [...all.values()].sort(unpackOrder);
  const get: RehearsalStep[] =
    lies.length === 0
      ? []
      : [
          {
            part: 'get out',
            text: 'Get everything out and lay it down in reach',
            needs: [
              { need: null, ask: 'what it takes', by: '', ok: lies.every((l) => l.placeId !== null), heads: [], lies },
            ],
            cautions,
          },
        ];
  return {
    trouble,
    way,
    wayName: base.name,
    wheel,
    planned: plannedMinutes(c, trouble, way, base.name),
    // All cautions come before the first hand is laid on.
    steps: [...get, ...steps].map((s, i) => (i === 0 ? { ...s, cautions } : s)),
    cautions,
    lasts: lasting(way),
    dry: dryWhy(trouble, way),
    tools: [...tools].sort(),
    turned: [...turned].sort(),
  };
}
