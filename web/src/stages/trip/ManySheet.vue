<script setup lang="ts">
/** The trip ridden many times over: gets home unaided, a night out, hours lost; with the present kit, with those kept, and with nothing. */
import { computed, ref, shallowRef, watch } from 'vue';
import {
  present,
  meansOf,
  NO_MEANS,
  SPREAD,
  type KeptKit,
  type Means,
  type Simulated,
  type Trip,
} from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { today } from '../../ui/day';
import NumberField from '../../ui/NumberField.vue';
import { percent } from '../../ui/words';
import { useTripWork } from './useTripWork';
import WorkBar from '../../ui/WorkBar.vue';
import * as texts from '../../words/trip/manySheet';

const props = defineProps<{ trip: Trip }>();
const answers = useAnswer();
const garage = useGarage();
const explain = useExplain();
const work = useTripWork();
const runs = ref(100_000);
const seed = ref(1);
const result = shallowRef<Simulated[] | null>(null);
watch(
  () => garage.version,
  () => {
    work.stop();
    result.value = null;
  },
);
async function ride() {
  const a = answers.answer;
  if (!a) return;
  const { doc, bike } = garage;
  const kept: Means[] = [];
  // Kept kits beside the present one, the newest four.
  for (const k of (doc?.kits ?? []).slice(-4)) {
    const plain = JSON.parse(JSON.stringify(k)) as KeptKit;
    const question = { bikeId: present(bike).id, tripId: props.trip.id, today: today() };
    const means = await answers.ask((w) => w.keptMeans(present(doc), question, plain));
    if (means) kept.push(means);
  }
  const kits = [meansOf(texts.withThePresentKit, a.kit), ...kept, { ...NO_MEANS, name: texts.withNothing }];
  const [trip, list] = JSON.parse(JSON.stringify([props.trip, a.ridden])) as [Trip, typeof a.ridden];
  result.value = await work.run((w, onProgress) => w.simulate(trip, list, kits, runs.value, seed.value, onProgress));
}
const CLASSES = SPREAD.map((top, i) =>
  top === 0
    ? texts.noHours
    : top === Infinity
      ? texts.over24H
      : i === 1
        ? texts.upToHours(top)
        : texts.hoursFromTo(SPREAD[i - 1], top),
);
const most = computed(() => Math.max(...(result.value ?? []).flatMap((r) => r.spread), 0.01));
const pm = (share: number, error: number) => `${percent(share, 1)} ± ${(error * 100).toFixed(2)}`;
function why(r: Simulated) {
  explain.show({
    title: texts.getsHomeUnaided2(r.name),
    value: pm(r.home, r.homeError),
    formula: texts.shareOfSimulatedTripsOn,
    inputs: [
      { name: texts.tripsRidden, value: r.runs.toLocaleString('en') },
      {
        name: texts.theClosedFormEveryRepair,
        value: r === result.value?.[0] ? percent(answers.answer?.kit.home ?? 0, 1) : '–',
      },
      { name: texts.hoursLostMean, value: `${r.hours.toFixed(2)} ± ${r.hoursError.toFixed(2)} h` },
      {
        name: texts.hoursThatHalfNineOf,
        value: `${r.quantiles.half.toFixed(1)}, ${r.quantiles.nine.toFixed(1)}, ${r.quantiles.most.toFixed(1)} h`,
      },
    ],
    source: texts.ratesHoursAndHowOften,
  });
}
</script>

<template>
  <div>
    <div class="form">
      <NumberField v-model="runs" :label="texts.trips" :min="1000" :max="2000000" />
      <NumberField v-model="seed" :label="texts.seed" :min="1" :max="1000000" />
      <v-btn v-if="work.progress.value === null" :disabled="!answers.answer" @click="ride">
        {{ texts.runSimulation }}
      </v-btn>
    </div>
    <WorkBar
      v-if="work.progress.value !== null"
      class="note"
      :says="texts.riding"
      :share="work.progress.value"
      @stop="work.stop()"
    />
    <p v-if="work.failed.value" class="note gap">{{ work.failed.value }}</p>
    <p v-if="!result && work.progress.value === null" class="note soft">
      {{ texts.troublesFallAlongTheLegs }}
    </p>
    <template v-for="r in result ?? []" :key="r.name">
      <div class="sheet-head">
        <h2>{{ r.name }}</h2>
        <span class="num soft">{{ texts.trips2(r.runs.toLocaleString('en')) }}</span>
      </div>
      <div class="figures">
        <v-btn variant="text" @click="why(r)">
          <span class="small">{{ texts.getsHomeUnaided }}</span><strong class="num">{{ percent(r.home, 1) }}</strong
          ><span class="soft small">± {{ (r.homeError * 100).toFixed(2) }}</span>
        </v-btn>
        <p>
          <span class="small">{{ texts.aNightOut }}</span><strong class="num">{{ percent(r.nightOut, 1) }}</strong>
        </p>
        <p>
          <span class="small">{{ texts.hoursLostMean }}</span><strong class="num">{{ r.hours.toFixed(2) }}</strong>
        </p>
        <p>
          <span class="small">{{ texts.n9In10TripsLose }}</span><strong class="num"
            >{{ r.quantiles.nine.toFixed(1) }} h</strong
          >
        </p>
      </div>
      <div v-for="(share, i) in r.spread" :key="i" class="bar-row">
        <span class="soft">{{ CLASSES[i] }}</span>
        <span class="bar"><span :style="{ width: `${(share / most) * 100}%` }" /></span>
        <span class="num">{{ percent(share, 1) }}</span>
      </div>
    </template>
  </div>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 10px;
  padding: 12px 16px;
  align-items: end;
}
.note {
  padding: 6px 16px;
  font-size: 14.5px;
}
.figures {
  display: grid;
  grid-template-columns: 1.5fr 1fr 1.1fr 1.3fr;
  padding: 8px 16px;
  gap: 8px;
}
.figures strong {
  font-size: 19px;
  display: block;
}
.small {
  font-size: 13px;
  display: block;
  color: var(--soft);
}
.bar-row {
  display: grid;
  grid-template-columns: 92px 1fr 64px;
  gap: 10px;
  padding: 2px 16px;
  font-size: 14px;
  align-items: center;
}
.bar-row .num {
  text-align: right;
}
.bar {
  height: 12px;
  background: var(--hair);
}
.bar span {
  display: block;
  height: 100%;
  background: var(--measured);
}
@media (max-width: 760px) {
  .figures {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
