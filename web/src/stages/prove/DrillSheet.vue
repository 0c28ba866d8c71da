<script setup lang="ts">
/** Which drill next: by what each is worth for the time that one has. */
import { computed, ref } from 'vue';
import type { DrillOffer, ProofTold } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import SelectField from '../../ui/SelectField.vue';
import { counted, percent } from '../../ui/words';
import { hoursText, minutesText } from '../../words/prove';
import * as texts from '../../words/prove/drillSheet';

const props = defineProps<{ told: ProofTold }>();
const emit = defineEmits<{ rehearse: [troubleId: string]; play: [] }>();
const garage = useGarage();
const proof = useProof();
const TIMES = [
  { title: texts.any, value: 0 },
  { title: texts.n15Min, value: 15 },
  { title: texts.n30Min, value: 30 },
  { title: texts.n60Min, value: 60 },
  { title: '2 h', value: 120 },
];
const have = ref(0);
const SHOWN = 8;
const all = ref(false);
const real = computed(() => props.told.offers.filter((o) => o.worth > 0));
const fitting = computed(() => real.value.filter((o) => have.value === 0 || o.minutes <= have.value));
const shown = computed(() => (all.value ? fitting.value : fitting.value.slice(0, SHOWN)));
const dry = computed(() => props.told.offers.filter((o) => o.dry !== null));
const share = (o: DrillOffer) => (props.told.ready.atStake > 0 ? o.proves / props.told.ready.atStake : 0);
/** What a drill brings, in a line. */
const brings = (o: DrillOffer): string =>
  [
    o.proves > 0 ? texts.proves(hoursText(o.proves)) : texts.provenAlready,
    o.quicker * 60 >= 0.5 ? texts.lessOnThisTrip(minutesText(o.quicker * 60)) : '',
    o.times > 0 ? texts.doneTimes(counted(o.times, 'time')) : texts.neverDone,
    o.wheel ? texts.wheel(o.wheel) : '',
    o.on ? texts.on(o.on) : '',
  ]
    .filter(Boolean)
    .join(' · ');
</script>

<template>
  <div>
    <section class="have">
      <SelectField v-model="have" :label="texts.iHave" :items="TIMES" />
      <SelectField
        v-if="proof.people.length > 1"
        v-model="proof.who"
        :label="texts.whoPractises"
        :items="proof.people"
      />
    </section>
    <section>
      <h2>{{ texts.worthMostForTheTime }}</h2>
      <ul class="plain" :aria-label="texts.worthMostForTheTime">
        <li v-for="(o, i) in shown" :key="o.troubleId">
          <v-btn variant="text" class="offer" @click="emit('rehearse', o.troubleId)">
            <span class="num at">{{ i + 1 }}</span>
            <span class="what"
              ><strong>{{ o.name }}</strong
              >: {{ o.way }}<small>{{ brings(o) }}</small></span
            >
            <span class="num">{{ minutesText(o.minutes) }}</span>
            <span class="num good">{{ share(o) >= 0.005 ? `+${percent(share(o))}` : '' }}</span>
          </v-btn>
        </li>
      </ul>
      <p v-if="fitting.length > SHOWN" class="more">
        <v-btn variant="plain" @click="all = !all">{{
          all ? texts.showFewer : texts.showMore(fitting.length - SHOWN)
        }}</v-btn>
      </p>
      <p v-if="fitting.length === 0" class="none">
        {{
          !garage.trip
            ? texts.planATripFirstIt
            : real.length === 0
              ? texts.nothingIsLeftToProve
              : texts.noDrillFitsARound(minutesText(have))
        }}
        <v-btn variant="tonal" @click="emit('play')">{{ texts.playFindIt }}</v-btn>
      </p>
      <p class="soft small">
        {{ texts.minutesAreTypicalValuesUntil }}
      </p>
    </section>
    <section v-if="dry.length > 0">
      <h2>{{ texts.dryRunOnly }}</h2>
      <p class="soft small">{{ texts.theseHarmASoundBike }}</p>
      <p class="dry">
        <v-btn
          v-for="o in dry.slice(0, 10)"
          :key="o.troubleId"
          variant="plain"
          @click="emit('rehearse', o.troubleId)"
          >{{ o.name }}</v-btn
        >
      </p>
    </section>
  </div>
</template>

<style scoped>
.have {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.offer {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto 52px;
  gap: 8px;
  align-items: baseline;
  width: 100%;
  padding: 7px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  font-size: 15px;
  line-height: 1.25;
}
.offer .good {
  text-align: right;
}
.at {
  color: var(--soft);
}
small {
  display: block;
  color: var(--soft);
  font-size: 13px;
}
.small {
  font-size: 13px;
  padding-top: 8px;
}
.dry {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  padding-top: 6px;
}
.none,
.more {
  padding: 8px 0;
}
</style>
