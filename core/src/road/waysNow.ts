import { wayMet, type LackFact } from '../kit/index.js';
import { practisedWays } from '../kit/optimum/ways.js';
import { GRADES, NIGHT_WORK, type Grade, type Trouble, type Way } from '../repairs/index.js';
import { darkShare } from '../trip/odds/index.js';
import { havingOf, type ProveCase } from '../prove/index.js';

/** A way to mend a trouble here and now. */
export interface WayNow {
  way: Way;
  grade: Grade;
  /** Minutes at this hour, own times in them. */
  minutes: number;
  /** Whether the kit and the people do it; why not where they do not. */
  has: boolean;
  why: readonly LackFact[];
}

/**
 * Ways of a trouble with this kit, these people and this light: those that can be done first, the best grade before the quickest; then the others with
 * what keeps from them.
 */
export function waysNow(c: ProveCase, trouble: Trouble, dark: boolean): WayNow[] {
  const having = havingOf(c);
  const mends = c.kit.mends.filter((m) => m.troubleId === trouble.id && m.bikeId === c.bike.id);
  const known = new Set(mends.flatMap((m) => m.ways.map((w) => w.name)));
  const others = new Map(mends.flatMap((m) => m.others.map((o) => [o.name, o.why])));
  // The trip's minutes have its hours in the dark in them.
  const light = 1 + (NIGHT_WORK - 1) * (c.trip && trouble.subject !== 'service' ? darkShare(c.trip) : 0);
  return practisedWays(trouble, c.bike, c.trip ?? undefined, c.practice)
    .map(({ way, barred }): WayNow => {
      const has = known.has(way.name) || (barred === null && wayMet(way, having, c.bike));
      return {
        way,
        grade: way.grade,
        minutes: (way.minutes / light) * (dark ? NIGHT_WORK : 1),
        has,
        why: has ? [] : barred ? [barred] : (others.get(way.name) ?? [{ code: 'lack.something' }]),
      };
    })
    .sort(
      (a, b) =>
        Number(b.has) - Number(a.has) ||
        GRADES.indexOf(a.grade) - GRADES.indexOf(b.grade) ||
        Number(b.way.holds > 0) - Number(a.way.holds > 0) ||
        a.minutes - b.minutes ||
        (a.way.name < b.way.name ? -1 : 1),
    );
}

/** What is not done before anything else where a trouble can hurt; empty where nothing is. */
export function stopFirst(trouble: Pick<Trouble, 'subject' | 'id' | 'caution'>): string[] {
  const out: string[] = [];
  const says = (id: RegExp, text: string) => (id.test(trouble.id) ? out.push(text) : 0);
  if (trouble.subject === 'brakes')
    out.push(
      'Do not ride while the brakes are in doubt.',
      'Brake fluid: the grade on the cap, from a sealed bottle only.',
    );
  says(/^fuel|^carburettor|^out-of-fuel|^bad-fuel/u, 'Ignition off, engine cold, no flame and no smoking near it.');
  says(
    /^coolant|^radiator|^overheating/u,
    'Do not open a hot cooling system: it scalds. Let it cool for half an hour.',
  );
  says(
    /^battery|^dead-bike|^charging|^starter/u,
    'Do not use a lithium pack that is hot, swollen or wet. Follow the manual’s order when you jump-start.',
  );
  says(/^drowned/u, 'Do not press the starter: water in the cylinder bends the engine. Take the plug out first.');
  if (trouble.subject === 'people')
    out.push(
      'Call the local emergency number first where it may be bad. Do not move somebody who may have hurt neck or back.',
      'What you have learned in a course comes before what stands here.',
    );
  if (trouble.id === 'theft') out.push('Do not follow or stop anybody: go where people are.');
  return out;
}
