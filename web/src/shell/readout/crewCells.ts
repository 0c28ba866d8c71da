import { computed } from 'vue';
import { at, figure, unitOf } from '@necessaire/core';
import { useCrew } from '../../stores/crew';
import { useExplain } from '../../stores/explain';
import { useView } from '../../stores/view';
import { massText, percent } from '../../ui/words';
import { gapsText, groupName } from '../../words/crew';
import type { Cell } from './cell';
import * as texts from '../../words/shell/readout/crewCells';

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
      cell('home', texts.allGetHomeUnaided, (a.home * 100).toFixed(1), '%', {
        explain: () =>
          explain.show({
            title: texts.allBikesHomeByOwn,
            value: percent(a.home, 1),
            formula: texts.productOverTheBikesOf,
            inputs: a.bikes.map((b) => ({
              name: a.names.find((n) => n.bike?.id === b.bikeId)?.name ?? '',
              value: percent(b.home, 1),
            })),
            source: texts.ratesAreTypicalValuesUntil,
          }),
      }),
      cell('gaps', 'Gaps', String(a.judged.gaps.length), '', {
        bad: a.judged.gaps.length > 0,
        explain: () =>
          explain.show({
            title: texts.whatSomebodyCannotDoWhen,
            value: String(a.judged.gaps.length),
            formula: texts.repairsHeadsAndSparesAsked,
            inputs: a.groups
              .filter((g) => g.gaps.length > 0)
              .map((g) => ({ name: groupName(g), value: gapsText(a, g.gaps) })),
            source: texts.whoCarriesWhatAndWhat,
          }),
      }),
      cell('mass', texts.crewsKit, kg(a.mass), unitOf(view.units, 'weight'), {
        explain: () =>
          explain.show({
            title: texts.allThatTheCrewCarries,
            value: massText(view.units, a.mass),
            formula: texts.sumOverAllWhoCarry,
            inputs: a.carriers.map((c) => ({
              name: at(a.names, c.number).name,
              value: massText(view.units, c.mass),
            })),
            source: a.proven
              ? texts.provenTheLeastForYour
              : a.gap < 0.5
                ? texts.withinOfTheLeastFor(percent(a.gap, 1))
                : texts.notProvenTheLeast,
          }),
      }),
      cell('share', texts.greatestShare, (a.share * 100).toFixed(0), '%', {
        bad: a.share > 1,
        explain: () =>
          explain.show({
            title: texts.greatestShareOfWhatSomebody,
            value: percent(a.share, 1),
            formula: texts.theMostOverAllRiders,
            inputs: a.carriers
              .filter((c) => at(a.names, c.number).bike)
              .map((c) => ({ name: at(a.names, c.number).name, value: percent(c.share, 1) })),
            source: texts.limitsAsEnteredOfThe,
          }),
      }),
      cell('atStake', texts.hoursAtRisk, (a.left * times).toFixed(1), 'h', {
        explain: () =>
          explain.show({
            title: texts.hoursThatStayAtRisk,
            value: `${(a.left * times).toFixed(1)} h`,
            formula: texts.sumOverBikesAndTroubles,
            inputs: a.bikes.map((b) => ({
              name: a.names.find((n) => n.bike?.id === b.bikeId)?.name ?? '',
              value: `${(b.left * times).toFixed(2)} h`,
            })),
            source: times > 1 ? texts.hoursCountForAllWho : texts.hoursOfTheStoppedBike,
          }),
      }),
      cell('alone', texts.eachPackedAlone, alone > 0 ? kg(alone) : '–', unitOf(view.units, 'weight'), {
        explain: () =>
          explain.show({
            title: texts.whatAllWouldCarryIf,
            value: alone > 0 ? massText(view.units, alone) : texts.notKnownYet,
            formula: texts.sumOverRidersOfThe,
            inputs: crew.alone.map((x, i) => ({
              name: a.names[i]?.name ?? '',
              value: x === null ? texts.notKnown : massText(view.units, x),
            })),
            source: texts.theSameTroublesGradeAnd,
          }),
      }),
    ];
  });
}
