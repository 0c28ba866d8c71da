import { defineStore } from 'pinia';
import { computed } from 'vue';
import type { Companion, Crew } from '@necessaire/core';
import { useSharing } from './crew/sharing';
import { fixing, joining, leaving } from './crewEdits';
import { useGarage } from './garage';
import * as texts from '../words/stores/crew';

/** The crew of the open trip, who carries what, and what is changed of either. */
export const useCrew = defineStore('crew', () => {
  const garage = useGarage();
  const crew = computed<Crew | null>(() => garage.doc?.crews.find((c) => c.tripId === garage.trip?.id) ?? null);
  const sharing = useSharing(crew);

  /** Changes fields of the crew. */
  function set(label: string, fields: Partial<Crew>): boolean {
    const of = crew.value;
    return of ? garage.put(label, 'crews', { ...of, ...fields }) : false;
  }
  /** Adds somebody to the ride; the first makes the crew. */
  function join(companion: Companion, isNew: boolean): boolean {
    const { trip, bike } = garage;
    if (!trip || !bike) return false;
    const changes = joining({ crew: crew.value, trip, bike }, companion, isNew, () => crypto.randomUUID());
    return garage.edit(texts.ridesAlong(companion.person.name), changes);
  }
  /** Takes somebody off the ride; what is known of them stays in the garage. */
  function leave(who: string): boolean {
    const of = crew.value;
    return of ? garage.edit(texts.somebodyDoesNotRideAlong, leaving(of, garage.trip, who)) : false;
  }
  /** Says who carries so many of a thing; null lets the program choose again. */
  const fix = (item: string, by: string | null, count: number): boolean =>
    set(texts.sayWhoCarriesIt, { fixed: fixing(crew.value?.fixed ?? [], item, by, count) });
  return { ...sharing, crew, set, join, leave, fix };
});
