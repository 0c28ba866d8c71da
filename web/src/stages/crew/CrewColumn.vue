<script setup lang="ts">
/** One rider, or a car: who it is, how much of what they may carry they have, and each thing. */
import { mdiBagPersonalOutline, mdiCarEstate, mdiVanUtility, mdiTruckTrailer } from '@mdi/js';
import { computed, ref } from 'vue';
import { useDisplay } from 'vuetify';
import { at, withUnit, type Bike, type CarrierTold, type CrewAnswer } from '@necessaire/core';
import { useCrew } from '../../stores/crew';
import { useExplain } from '../../stores/explain';
import { useView } from '../../stores/view';
import { useDropTarget } from '../../ui/places/dragging';
import { over } from '../../ui/places/held';
import { counted, massText, percent } from '../../ui/words';
import { HAND_WORDS, LIMIT_WORDS, VEHICLE_WORDS } from '../../words/crew';
import SmallBike from './SmallBike.vue';
import CrewToken from './CrewToken.vue';
import * as texts from '../../words/crew/crewColumn';

const props = defineProps<{ told: CarrierTold; answer: CrewAnswer; bike: Bike | null }>();
const emit = defineEmits<{
  give: [item: string, from: number, to: number | 'home' | null];
  drop: [key: string, to: number];
}>();
const VEHICLE_ICONS = {
  car: mdiCarEstate,
  van: mdiVanUtility,
  trailer: mdiTruckTrailer,
  cache: mdiBagPersonalOutline,
} as const;
const view = useView();
const explain = useExplain();
const crew = useCrew();
const column = ref<HTMLElement>();
const opened = ref<string | null>(null);
/** On a phone a rider is a line that unfolds, so that all of them are seen at once. */
const { width } = useDisplay();
const narrow = computed(() => width.value <= 760);
const unfolded = ref(false);
const who = computed(() => at(props.answer.names, props.told.number));
const says = computed(() =>
  who.value.bike
    ? [who.value.bike.name, HAND_WORDS[(who.value.hand ?? 1) as 1 | 2 | 3], who.value.firstAid ? texts.firstAid : '']
        .filter(Boolean)
        .join(' · ')
    : who.value.vehicle
      ? VEHICLE_WORDS[who.value.vehicle]
      : '',
);
/** Taken out of the ride, or not in the part of it that is looked at. */
const away = computed(
  () => crew.gone === props.told.number || (crew.looked !== null && !crew.looked.includes(props.told.number)),
);
const isOver = computed(
  () => props.told.mass > props.told.limit || (props.told.room !== null && props.told.bulk > props.told.room),
);
useDropTarget(
  column,
  () => String(props.told.number),
  (key) => emit('drop', key, props.told.number),
);
function show() {
  const t = props.told;
  explain.show({
    title: texts.whatCarries(who.value.name),
    value: massText(view.units, t.mass),
    formula: texts.shareWeightCarriedWeightThat,
    inputs: [
      { name: texts.carried, value: massText(view.units, t.mass) },
      { name: texts.mayCarry, value: massText(view.units, t.limit) },
      { name: texts.share, value: percent(t.share, 1) },
      { name: texts.roomTaken, value: withUnit(view.units, 'volume', t.bulk) },
      ...(t.room === null ? [] : [{ name: texts.roomThereIs, value: withUnit(view.units, 'volume', t.room) }]),
    ],
    source: who.value.limitBy ? texts.theLimitIs(LIMIT_WORDS[who.value.limitBy]) : texts.theLimitIsAsEntered,
  });
}
</script>

<template>
  <section
    ref="column"
    class="column"
    :class="{ over: over === String(told.number), out: away }"
    :data-place="String(told.number)"
    :aria-label="who.name"
  >
    <SmallBike v-if="bike" :bike="bike" />
    <v-icon v-else :icon="VEHICLE_ICONS[who.vehicle ?? 'car']" size="84" class="no-bike" aria-hidden="true" />
    <h2 class="who">
      <v-btn
        v-if="bike"
        variant="text"
        :aria-pressed="crew.gone === told.number"
        :title="texts.lookAtTheRideWithout(who.name)"
        @click="crew.gone = crew.gone === told.number ? null : told.number"
        >{{ who.name }}</v-btn><template v-else>{{ who.name }}</template>
    </h2>
    <p class="soft says">{{ says }}</p>
    <v-btn
      variant="text"
      class="load"
      :aria-label="texts.carriesHowItIsWorked(who.name, massText(view.units, told.mass))"
      @click="show"
    >
      <strong class="num" :class="{ gap: isOver }">{{ massText(view.units, told.mass) }}</strong>
      <span class="num soft">{{ texts.of2(massText(view.units, told.limit)) }}</span>
    </v-btn>
    <p class="num soft litres">
      {{ withUnit(view.units, 'volume', told.bulk)
      }}{{ told.room === null ? '' : texts.of3(withUnit(view.units, 'volume', told.room)) }}
    </p>
    <div
      class="bar"
      :class="{ full: isOver }"
      role="img"
      :aria-label="texts.ofWhatMayCarry(percent(told.share), who.name)"
    >
      <span :style="{ width: `${Math.min(100, told.share * 100)}%` }" />
    </div>
    <v-btn v-if="narrow" variant="tonal" class="unfold" :aria-expanded="unfolded" @click="unfolded = !unfolded">
      {{ counted(told.tokens.length, 'thing') }}
    </v-btn>
    <ul v-if="!narrow || unfolded">
      <CrewToken
        v-for="t in told.tokens"
        :key="t.item"
        :token="t"
        :by="told.number"
        :answer="answer"
        :open="opened === t.item"
        @pick="opened = opened === t.item ? null : t.item"
        @give="(item, to) => emit('give', item, told.number, to)"
      />
    </ul>
    <p v-if="told.tokens.length === 0" class="soft none">{{ texts.nothingOfTheSharedKit }}</p>
  </section>
</template>

<style scoped>
.column {
  border-top: 2px solid var(--ink);
  min-width: 0;
  padding: 6px 0 12px;
}
.column.over {
  outline: 2px dashed var(--ink);
  outline-offset: 3px;
}
.column.out {
  opacity: 0.35;
}
.who .v-btn {
  padding: 0;
  min-height: 32px;
  font: inherit;
}
.no-bike {
  display: block;
  color: var(--soft);
}
.unfold {
  width: 100%;
}
.who {
  font-size: 19px;
  text-transform: none;
  letter-spacing: 0;
  color: var(--ink);
  font-weight: 600;
}
.says {
  font-size: 13px;
  line-height: 1.25;
}
.load {
  display: flex;
  justify-content: space-between;
  width: 100%;
  padding: 0;
}
.load :deep(.v-btn__content) {
  display: flex;
  justify-content: space-between;
  width: 100%;
  gap: 8px;
}
.litres {
  font-size: 12.5px;
}
.bar {
  height: 8px;
  border: 1px solid var(--ink);
  margin: 2px 0 6px;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--proven);
}
.bar.full span {
  background: var(--gap);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.none {
  padding: 8px 0;
}
@media (min-width: 761px) {
  .says {
    min-height: 33px;
  }
}
@media (max-width: 760px) {
  .column {
    display: grid;
    grid-template-columns: 160px minmax(0, 1fr);
    gap: 0 10px;
    align-items: start;
  }
  .column > :first-child {
    grid-row: 1 / span 3;
  }
  .bar,
  .litres,
  ul,
  .unfold,
  .none {
    grid-column: 1 / -1;
  }
}
</style>
