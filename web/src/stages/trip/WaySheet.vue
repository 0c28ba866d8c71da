<script setup lang="ts">
/** The way from GPX files: what its waypoints are good for, and legs cut from it by day or by mark. */
import FileButton from '../../ui/FileButton.vue';
import SelectField from '../../ui/SelectField.vue';
import { computed, ref } from 'vue';
import {
  present,
  figure,
  MARK_KINDS,
  MOST_GPX_BYTES,
  newLeg,
  routeKm,
  sectionsOf,
  tripSchema,
  unitOf,
  type Leg,
  type Mark,
  type MarkKind,
  type Route,
  type Trip,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import NumberField from '../../ui/NumberField.vue';
import { useRowForm } from '../../ui/useRules';
import FormFaults from '../../ui/FormFaults.vue';
import type { GpxResult } from '../../workers/trip.worker';
import { useTripWork } from './useTripWork';
import WorkBar from '../../ui/WorkBar.vue';
import * as texts from '../../words/trip/waySheet';
import { counted } from '../../words/counted';

const props = defineProps<{ trip: Trip }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const work = useTripWork();
const refused = ref('');
const route = computed(() => props.trip.route);

const { set: write, faults } = useRowForm<Trip>(
  tripSchema,
  () => props.trip,
  (label, row) => garage.put(label, 'trips', row),
);
async function open(files: File[]) {
  refused.value = '';
  const big = files.find((f) => f.size > MOST_GPX_BYTES);
  if (big) {
    refused.value = texts.isOverMbSplitIt(big.name, MOST_GPX_BYTES / 1024 / 1024);
    return;
  }
  const read = await Promise.all(files.map(async (f) => ({ name: f.name, text: await f.text() })));
  const made = await work.run(async (w, onProgress): Promise<GpxResult> => w.route(read, onProgress));
  if (!made) {
    refused.value = work.failed.value ?? '';
    return;
  }
  if (made.ok) write(texts.readTheWay, { route: made.route });
  else refused.value = made.message;
}
const setRoute = (label: string, fields: Partial<Route>) =>
  write(label, { route: { ...present(route.value), ...fields } });
function setKind(mark: Mark, kind: MarkKind, on: boolean) {
  const kinds = on ? [...mark.kinds, kind] : mark.kinds.filter((k) => k !== kind);
  setRoute(texts.changeWaypoint(mark.name), {
    marks: present(route.value).marks.map((m) => (m === mark ? { ...m, kinds } : m)),
  });
}

// Legs from the way: kilometres by a mix of ground, the rest by what is worst on each section.
const MIXES: Record<string, [number, number, number]> = {
  [texts.allPaved]: [1, 0, 0],
  [texts.mostlyGravel]: [0.2, 0.7, 0.1],
  [texts.gravelAndTrack]: [0.1, 0.5, 0.4],
  [texts.mostlyTrack]: [0, 0.3, 0.7],
};
const mix = ref(texts.mostlyGravel);
const by = ref<'day' | 'mark'>('day');
const sections = computed(() => (route.value ? sectionsOf(route.value, by.value) : []));
const round = (km: number) => Math.round(km * 10) / 10;
function makeLegs() {
  const [paved, gravel, track] = present(MIXES[mix.value]);
  const legs = sections.value.slice(0, 60).map((s): Leg => {
    const km = s.to - s.from;
    const blank = newLeg(crypto.randomUUID(), s.name);
    return {
      ...blank,
      // A stretch takes its share of the days, and a day six hours in the saddle.
      days: Math.round(s.days * 100) / 100,
      hours: round(blank.hours * s.days),
      km: { paved: round(km * paved), gravel: round(km * gravel), track: round(km * track) },
      signal: s.signal,
      helpKm: s.helpKm === null ? blank.helpKm : round(s.helpKm),
      workshopKm: s.workshopKm === null ? blank.workshopKm : round(s.workshopKm),
      fuelGapKm: s.fuelGap === null ? null : round(s.fuelGap),
    };
  });
  write(texts.makeLegsFromTheWay, { legs });
  notice.done(texts.legsMadeFromTheWay(legs.length));
}
const km = (v: number) => `${figure(view.units, 'distance', v)} ${unitOf(view.units, 'distance')}`;
</script>

<template>
  <div>
    <p class="acts">
      <FileButton
        :quiet="!!route"
        :label="route ? texts.importOtherGpxFiles : texts.importGpxFiles"
        accept=".gpx,application/gpx+xml,text/xml"
        multiple
        @files="open"
      />
      <v-btn variant="tonal" v-if="route" class="gap" @click="write(texts.forgetTheWay, { route: null })">
        {{ texts.removeRoute }}
      </v-btn>
    </p>
    <WorkBar
      v-if="work.progress.value !== null"
      class="note"
      :says="texts.reading"
      :share="work.progress.value"
      @stop="work.stop()"
    />
    <p v-if="refused" class="note gap" role="alert">{{ refused }}</p>
    <FormFaults :faults="faults" :shown="[]" />
    <p v-if="!route" class="note soft">
      {{ texts.tracksRoutesAndWaypointsSeveral }}
    </p>
    <template v-else>
      <div class="sheet-head">
        <h2>{{ route.name || texts.theWay }}</h2>
        <span class="num">{{ km(routeKm(route)) }}</span>
      </div>
      <p class="note">
        <template v-if="route.climb !== null">{{ texts.mOfClimb(Math.round(route.climb)) }}{{ ' ' }} </template
        ><template v-else>{{ texts.noHeightsInTheFile }}{{ ' ' }} </template>
        {{ texts.byItsTimes(counted(route.dayEnds.length + 1, 'day')) }}
      </p>
      <div class="form">
        <NumberField
          :label="texts.groundOverStraightLine"
          :min="1"
          :max="5"
          :model-value="route.detour"
          @update:model-value="setRoute(texts.changeTheDetour, { detour: $event })"
        />
        <SelectField
          :label="texts.legsBy"
          :items="[
            { title: texts.day, value: 'day' },
            { title: texts.markOnTheWay, value: 'mark' },
          ]"
          v-model="by"
        />
        <SelectField :label="texts.ground" :items="Object.entries(MIXES).map(([name, _]) => name)" v-model="mix" />
      </div>
      <p class="acts">
        <v-btn @click="makeLegs">
          {{ texts.makeOfIt(counted(sections.length, 'leg')) }}
        </v-btn>
      </p>
      <div class="sheet-head">
        <h2>{{ texts.marks }}</h2>
        <span class="num soft">{{ route.marks.length }}</span>
      </div>
      <p v-if="route.marks.length === 0" class="note soft">
        {{ texts.theFilesHaveNoWaypoints }}
      </p>
      <fieldset v-for="(m, i) in route.marks" :key="i" class="mark">
        <legend>{{ m.name }}</legend>
        <v-checkbox
          v-for="k in MARK_KINDS"
          :key="k"
          :model-value="m.kinds.includes(k)"
          @update:model-value="setKind(m, k, $event === true)"
          :label="k"
        />
      </fieldset>
    </template>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding: 12px 16px 6px;
}
.note {
  padding: 6px 16px;
  font-size: 14.5px;
}
.form {
  display: grid;
  grid-template-columns: 1.3fr 1fr 1fr;
  gap: 8px 12px;
  padding: 4px 16px;
  align-items: end;
}
.small {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
.mark {
  border: 0;
  border-bottom: 1px solid var(--hair);
  margin: 0;
  padding: 4px 16px 8px;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.mark legend {
  padding: 6px 0 0;
  font-weight: 500;
}
@media (max-width: 760px) {
  .form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
