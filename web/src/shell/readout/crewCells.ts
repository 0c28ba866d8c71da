import { computed } from 'vue';
import { figure, unitOf } from '@necessaire/core';
import { useCrew } from '../../stores/crew';
import { useExplain } from '../../stores/explain';
import { useView } from '../../stores/view';
import { massText, percent } from '../../ui/words';
import { gapsText, groupName } from '../../words/crew';
import type { Cell } from './cell';

/** The figures of a whole crew; null while nothing of it is known. */
export function useCrewCells() {
  const crew = useCrew();
  const view = useView();
  const explain = useExplain();
  return computed<Cell[] | null>(() => {
    const a = crew.answer;
    if (!a) return null;
    const riders = a.names.filter((n) => n.bike).length;
    const times = crew.crew?.waits ? riders : 1;
    const kg = (grams: number) => figure(view.units, 'weight', grams);
    const alone = crew.alone.reduce<number>((s, x) => s + (x ?? 0), 0);
    const cell = (key: string, label: string, value: string, unit: string, more: Partial<Cell>): Cell => ({
      ...{ key, label, value, unit, diff: '', good: true, explain: () => {} },
      ...more,
    });
    return [
      cell('home', 'All get home unaided', (a.home * 100).toFixed(1), '%', {
        explain: () =>
          explain.show({
            title: 'All bikes home by own means',
            value: percent(a.home, 1),
            formula: 'product over the bikes of the chance that the crew mends all that would end the ride',
            inputs: a.bikes.map((b) => ({
              name: a.names.find((n) => n.bike?.id === b.bikeId)?.name ?? '',
              value: percent(b.home, 1),
            })),
            source: 'rates are typical values until your ride log says more',
          }),
      }),
      cell('gaps', 'Gaps', String(a.judged.gaps.length), '', {
        bad: a.judged.gaps.length > 0,
        explain: () =>
          explain.show({
            title: 'What somebody cannot do when they have to',
            value: String(a.judged.gaps.length),
            formula:
              'repairs, heads and spares asked of the whole crew, of each part of a split, and of each alone, that what they carry does not do',
            inputs: a.groups
              .filter((g) => g.gaps.length > 0)
              .map((g) => ({ name: groupName(g), value: gapsText(a, g.gaps) })),
            source: 'who carries what, and what each can do',
          }),
      }),
      cell('mass', 'Crew’s kit', kg(a.mass), unitOf(view.units, 'weight'), {
        explain: () =>
          explain.show({
            title: 'All that the crew carries',
            value: massText(view.units, a.mass),
            formula: 'sum over all who carry of tools and spares',
            inputs: a.carriers.map((c) => ({
              name: a.names[c.number]!.name,
              value: massText(view.units, c.mass),
            })),
            source: a.proven
              ? 'proven the least for your rules, within 20 g'
              : a.gap < 0.5
                ? `within ${percent(a.gap, 1)} of the least for your rules`
                : 'not proven the least',
          }),
      }),
      cell('share', 'Greatest share', (a.share * 100).toFixed(0), '%', {
        bad: a.share > 1,
        explain: () =>
          explain.show({
            title: 'Greatest share of what somebody may carry',
            value: percent(a.share, 1),
            formula: 'the most over all riders of weight carried ÷ weight that they may carry',
            inputs: a.carriers
              .filter((c) => a.names[c.number]!.bike)
              .map((c) => ({ name: a.names[c.number]!.name, value: percent(c.share, 1) })),
            source: 'limits as entered, of the places on the bike, or of the maker’s payload',
          }),
      }),
      cell('atStake', 'Hours at risk', (a.left * times).toFixed(1), 'h', {
        explain: () =>
          explain.show({
            title: 'Hours that stay at stake, all bikes',
            value: `${(a.left * times).toFixed(1)} h`,
            formula: 'sum over bikes and troubles of expected count × hours without − hours saved',
            inputs: a.bikes.map((b) => ({
              name: a.names.find((n) => n.bike?.id === b.bikeId)?.name ?? '',
              value: `${(b.left * times).toFixed(2)} h`,
            })),
            source: times > 1 ? 'hours count for all who wait' : 'hours of the stopped bike alone',
          }),
      }),
      cell('alone', 'Each packed alone', alone > 0 ? kg(alone) : '–', unitOf(view.units, 'weight'), {
        explain: () =>
          explain.show({
            title: 'What all would carry if each packed alone',
            value: alone > 0 ? massText(view.units, alone) : 'not known yet',
            formula: 'sum over riders of the lightest kit that does all for their own bike, out of the same toolboxes',
            inputs: crew.alone.map((x, i) => ({
              name: a.names[i]?.name ?? '',
              value: x === null ? 'not known' : massText(view.units, x),
            })),
            source: 'the same troubles, grade and spares, with nobody to share with',
          }),
      }),
    ];
  });
}
