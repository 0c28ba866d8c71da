import { computed } from 'vue';
import { figure, fitsNowhere, ladder, tripKm } from '@necessaire/core';
import { useAnswer } from '../stores/answer';
import { useCrew } from '../stores/crew';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import * as texts from '../words/shell/stages';

export interface Stage {
  path: string;
  name: string;
  /** Live figure under the name. */
  live: string;
  /** Whether nothing is missing in it: shown as a filled hexagon. */
  done: boolean;
  /** Whether anything was done in it yet. */
  begun: boolean;
}

/** The stages that exist, in the order of the work, each with its live figure. */
export function useStages() {
  const garage = useGarage();
  const answers = useAnswer();
  const view = useView();
  const crew = useCrew();
  return computed<Stage[]>(() => {
    const f = answers.figures;
    const faults = answers.answer?.packing.faults ?? [];
    const loose = answers.answer ? fitsNowhere(answers.answer.packing).length : 0;
    const trip = garage.trip;
    const riders = crew.crew?.members.length ?? 1;
    const missing = answers.answer?.kit.missing.length ?? 0;
    const on = ladder(garage.fasteners);
    const unsure = on.assumed;
    const counted = on.assumed + on.measured + on.tried + on.proven;
    const watching = (garage.doc?.watches ?? []).filter(
      (w) => w.closed === null && w.bikeId === garage.bike?.id,
    ).length;
    const km = trip ? figure(view.units, 'distance', tripKm(trip)) : '';
    return [
      {
        path: '/walk',
        name: texts.walk,
        live: counted === 0 ? texts.none : `${counted - unsure}/${counted}`,
        done: counted > 0 && unsure === 0,
        begun: counted > 0,
      },
      {
        path: '/match',
        name: texts.match,
        live: f && !f.missing.reached ? `${f.reached}/${f.chosen}` : '–',
        done: !!f && f.chosen > 0 && f.gaps === 0,
        begun: (garage.doc?.pieces.length ?? 0) > 0,
      },
      {
        path: '/trip',
        name: texts.trip,
        live: trip ? `${km} ${view.units === 'metric' ? 'km' : 'mi'}` : texts.none,
        done: !!trip && trip.legs.length > 0,
        begun: !!trip && trip.legs.length > 0,
      },
      {
        path: '/kit',
        name: texts.kit,
        live:
          f && !f.missing.mass
            ? `${figure(view.units, 'weight', f.mass)} ${view.units === 'metric' ? 'kg' : 'lb'}`
            : '–',
        done: !!f && f.mass > 0 && missing === 0 && (answers.answer?.kit.proven ?? false),
        begun: !!f && !f.missing.mass && f.mass > 0,
      },
      {
        path: '/stow',
        name: texts.stow,
        live:
          loose > 0
            ? `${loose} left`
            : faults.length > 0
              ? `${faults.length} broken`
              : f && f.mass > 0
                ? texts.allIn
                : '–',
        done: !!f && f.mass > 0 && faults.length === 0,
        begun: garage.places.length > 0,
      },
      {
        path: '/crew',
        name: texts.crew,
        live:
          riders > 1
            ? crew.answer
              ? `${figure(view.units, 'weight', crew.answer.mass)} ${view.units === 'metric' ? 'kg' : 'lb'}`
              : `${riders} ride`
            : (trip?.companions ?? 0) > 0
              ? texts.notNamed
              : 'alone',
        done: riders > 1 && crew.answer !== null && crew.answer.judged.gaps.length === 0,
        begun: riders > 1,
      },
      {
        path: '/prove',
        name: texts.prove,
        live: f && !f.missing.ready ? `${Math.round(f.ready * 100)} %` : '–',
        done: !!f && !f.missing.ready && f.ready >= 0.8,
        begun: (garage.doc?.drills.length ?? 0) + (garage.doc?.checks.length ?? 0) > 0,
      },
      {
        path: '/road',
        name: texts.road,
        live: watching > 0 ? texts.watch(watching) : texts.ready,
        done: false,
        begun: true,
      },
    ];
  });
}
