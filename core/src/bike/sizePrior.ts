import type { Prior } from './fit/index.js';
import { FORM_SIZES, isInch, USUAL_HEADS, type HeadForm } from '../ground/sizes/index.js';
import { atLeast } from './evidence.js';
import type { Fastener } from './fastener.js';

/** How often sizes occur on bikes, by form; sizes not named count 0.4. Planning values. */
const COMMON: Partial<Record<HeadForm, Record<string, number>>> = {
  hex: {
    ...{ '5.5': 1, '6': 0.6, '7': 1.5, '8': 8, '9': 0.3, '10': 12, '11': 0.6, '12': 8, '13': 7, '14': 6, '15': 0.7 },
    ...{ '16': 1, '17': 6, '18': 0.8, '19': 4, '21': 1, '22': 3, '24': 3, '27': 3, '30': 1.5, '32': 2, '36': 1 },
    ...{ '1/4in': 0.7, '5/16in': 1, '3/8in': 2, '7/16in': 3, '1/2in': 3, '9/16in': 2, '5/8in': 1, '3/4in': 1 },
  },
  key: {
    ...{ '1.5': 0.5, '2': 1, '2.5': 1.5, '3': 3, '4': 7, '5': 10, '6': 9, '8': 6, '10': 3, '12': 1.5, '14': 1 },
    ...{ '1/8in': 1, '5/32in': 2, '3/16in': 2, '1/4in': 2, '5/16in': 1 },
  },
  lobe: { '20': 3, '25': 6, '27': 2, '30': 8, '40': 6, '45': 4, '50': 3 },
  plug: { '16': 5, '18': 1, '13/16in': 3, '14': 2 },
};
const ELSE = 0.4;
/** Share of inch heads before anything is measured, and how many heads that belief is worth. Planning values. */
const OWN_INCH = { share: 0.02, worth: 10 };
const ADDED_INCH = { share: 0.15, worth: 6 };
/** How much likelier a size is that its thread usually carries. */
const BY_THREAD = 4;

/**
 * How common each size is for a head on this bike: by how often the size occurs, the share of inch heads among those already measured here
 * (accessories apart), and the thread where it is known.
 * @param of what is known of the fastener
 * @param others the bike's fasteners
 */
export function sizePrior(
  form: HeadForm,
  of: Pick<Fastener, 'thread' | 'accessory' | 'id'>,
  others: readonly Fastener[],
): Prior {
  const known = others.filter(
    (f) => f.accessory === of.accessory && f.id !== of.id && f.leftOut === null && atLeast(f.evidence, 'measured'),
  );
  const sized = known.filter((f) => ['hex', 'hex12', 'key'].includes(f.head.form));
  const inch = sized.filter((f) => isInch(f.head.size)).length;
  const belief = of.accessory ? ADDED_INCH : OWN_INCH;
  const share = (inch + belief.share * belief.worth) / (sized.length + belief.worth);
  const common = COMMON[form === 'hex12' ? 'hex' : form === 'lobe-pin' ? 'lobe' : form] ?? {};
  const weight = (size: string) => common[size] ?? ELSE;
  const sum = (system: boolean) =>
    (FORM_SIZES[form] ?? []).filter((s) => isInch(s) === system).reduce((s, size) => s + weight(size), 0);
  const totals = { inch: sum(true), metric: sum(false) };
  const usual = of.thread ? (USUAL_HEADS[of.thread] ?? []) : [];
  // Systems matter for hexagons only: six-lobes and plugs know just one list.
  const mixed = totals.inch > 0 && (form === 'hex' || form === 'hex12' || form === 'key');
  return ({ size }) => {
    const system = !mixed ? 1 : isInch(size) ? share / totals.inch : (1 - share) / totals.metric;
    const threaded = usual.some((h) => h.form === form && h.size === size) ? BY_THREAD : 1;
    return system * weight(size) * threaded;
  };
}
