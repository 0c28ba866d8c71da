import { at, present } from '@necessaire/core';
import type { CrewAnswer, Gap, GroupTold, Vehicle } from '@necessaire/core';
import { counted } from '../ui/words';

/** What somebody can do, as the screens say it. */
export const HAND_WORDS = { 1: 'can do what anybody can', 2: 'handy', 3: 'has done it before' } as const;
export const HAND_ITEMS = [
  { title: 'Anybody', value: 1 },
  { title: 'Handy', value: 2 },
  { title: 'Has done it before', value: 3 },
] as const;
export const VEHICLE_WORDS: Readonly<Record<Vehicle['kind'], string>> = {
  car: 'Car',
  van: 'Van',
  trailer: 'Trailer',
  cache: 'Bag left on the route',
};
export const LIMIT_WORDS = {
  given: 'as entered',
  payload: 'what the maker’s payload leaves',
  places: 'what the places on the bike are rated for',
  typical: 'a typical value: no places are known',
} as const;
/** Troubles that may be asked of everybody alone, with a plain name. */
export const ALONE_WORDS: Readonly<Record<string, string>> = {
  'puncture-tube': 'A puncture, with tubes',
  'puncture-tubeless': 'A puncture, tubeless',
  'fastener-loose': 'Bolts that come loose',
  bulb: 'A headlamp that fails',
  'heat-thirst': 'Heat and thirst',
  'clutch-lever': 'A broken clutch lever',
  'fastener-lost': 'A lost bolt',
  injury: 'A small injury',
  battery: 'A flat battery',
  fuse: 'A blown fuse',
};

/** What a gap is about, in a few words: the trouble, the heads or the spare. */
export function gapWhat(answer: CrewAnswer, gap: Gap): string {
  if (gap.kind === 'stock' && gap.short) {
    const name = answer.carriers
      .flatMap((c) => c.tokens)
      .find((t) => t.item === `spare ${present(gap.short).kind}`)?.name;
    return `${name ?? gap.short.kind}: ${gap.short.units} more needed`;
  }
  const heads = gap.fasteners.flatMap((id) => answer.fasteners[id]?.name ?? []);
  if (heads.length > 0) return heads.length === 1 ? at(heads, 0) : `${heads[0]} (${heads.length} fasteners)`;
  return answer.asks[gap.ask]?.name ?? 'a repair';
}

/** Whose bike a gap is about. */
export const gapWhose = (answer: CrewAnswer, gap: Pick<Gap, 'bikeId'>): string =>
  answer.names.find((n) => n.bike?.id === gap.bikeId)?.name ?? '';

/** A list of gaps in one short sentence, each thing once. */
export function gapsText(answer: CrewAnswer, gaps: readonly Gap[], most = 3): string {
  const said = [...new Set(gaps.map((g) => gapWhat(answer, g)))];
  const rest = said.length - most;
  return rest > 0 ? `${said.slice(0, most).join(', ')} and ${counted(rest, 'more')}` : said.join(', ');
}

/** Why a thing is carried: whose troubles hang on it. */
export function whyText(answer: CrewAnswer, why: readonly Gap[]): string {
  if (why.length === 0) return 'Always packed, or a spare that makes getting home likelier.';
  const by = new Map<string, string[]>();
  for (const g of why) {
    const who = gapWhose(answer, g);
    const list = by.get(who) ?? [];
    const what = gapWhat(answer, g);
    if (!list.includes(what)) list.push(what);
    by.set(who, list);
  }
  return [...by]
    .map(
      ([who, list]) => `${who}: ${list.slice(0, 4).join(', ')}${list.length > 4 ? ` and ${list.length - 4} more` : ''}`,
    )
    .join('. ');
}

/** What a group is called. */
export function groupName(group: Pick<GroupTold, 'kind' | 'name'>): string {
  return group.kind === 'alone'
    ? `${group.name} alone`
    : group.kind === 'all'
      ? `Everybody${group.name === 'everybody' ? '' : `, ${group.name}`}`
      : group.name;
}

export const SWITCH_WORDS = {
  mechanic: { name: 'The best mechanic carries the most tools', says: 'Whoever has the most skill has them at hand.' },
  strong: {
    name: 'The strongest bike carries the most',
    says: 'Whoever may carry the most carries at least as much as anybody.',
  },
  fluids: { name: 'Fluids apart from the tools', says: 'What leaks rides with somebody who has no shared tools.' },
} as const;
