<script setup lang="ts">
/** A pass through checks in the order in which one walks round the bike: one at a time, a press each, with gloves on. */
import { useEventListener } from '@vueuse/core';
import { computed, ref } from 'vue';
import {
  present,
  passOf,
  STATION_NAMES,
  STATIONS,
  type CheckDue,
  type ProofTold,
  type Station,
} from '@necessaire/core';
import { checkWords } from '@necessaire/words';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import BikeDrawing from '../../ui/BikeDrawing.vue';
import { hoursText } from '../../words/prove';
import CheckAnswer from './CheckAnswer.vue';
import './fullScreen.css';
import * as texts from '../../words/prove/checkPass';

const props = defineProps<{ what: 'evening' | 'before'; told: ProofTold }>();
const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const view = useView();
/** The list as it was when the pass began: nothing moves under the hand. */
const keys = ref(
  passOf(props.told.checks, props.what)
    .filter((k) => k.standing !== 'done' && k.standing !== 'skipped')
    .map((k) => k.key),
);
const at = ref(0);
const list = computed(() =>
  keys.value.flatMap((key): CheckDue[] => {
    const k = props.told.checks.find((x) => x.key === key);
    return k ? [k] : [];
  }),
);
const now = computed(() => list.value[at.value] ?? null);
const words = computed(() => (now.value ? checkWords(now.value.about) : null));
const station = computed<Station | null>(() =>
  STATIONS.includes(now.value?.where as Station) ? (present(now.value).where as Station) : null,
);
const whereText = computed(() =>
  station.value
    ? STATION_NAMES[station.value]
    : { bags: texts.bags, kit: texts.theKit, table: texts.atTheTable }[now.value?.where as 'bags' | 'kit' | 'table'],
);
const answer = ref<InstanceType<typeof CheckAnswer>>();
function onKey(event: KeyboardEvent) {
  const target = event.target as HTMLElement | null;
  if (event.ctrlKey || event.metaKey || event.altKey || target?.closest('input, textarea')) return;
  const does = {
    '1': () => (now.value?.key === 'gauge' ? undefined : answer.value?.say('ok')),
    '2': () => answer.value?.press('found'),
    '3': () => answer.value?.press('skipped'),
    // The field that had the cursor may be gone with its answer.
    Escape: () => emit('close'),
  }[event.key];
  if (!does) return;
  event.preventDefault();
  does();
}
useEventListener('keydown', onKey);
</script>

<template>
  <v-dialog
    :model-value="true"
    fullscreen
    no-click-animation
    :aria-label="what === 'evening' ? texts.eveningRound : texts.beforeLeaving"
    :data-at="at"
    @update:model-value="emit('close')"
  >
    <div class="full-screen pass">
      <div class="top-line">
        <h1>{{ what === 'evening' ? texts.eveningRound : texts.beforeLeaving }}</h1>
        <span class="num soft">{{ Math.min(at + 1, list.length) }}/{{ list.length }}</span>
        <v-btn variant="tonal" @click="emit('close')">{{ texts.close }}</v-btn>
      </div>
      <v-progress-linear
        :model-value="list.length > 0 ? (at / list.length) * 100 : 100"
        height="4"
        :aria-label="texts.checksGoneThrough"
      />
      <template v-if="now && words">
        <div class="middle">
          <p class="soft where">{{ whereText }}</p>
          <h2 class="big" aria-live="polite">{{ words.name }}</h2>
          <p v-if="words.caution" class="caution">{{ words.caution }}</p>
          <p class="how">{{ view.inWords(words.how) }}</p>
          <p class="soft">
            {{ words.why
            }}<template v-if="now.guards * 60 >= 1"> {{ ' ' }}{{ texts.itGuards(hoursText(now.guards)) }}</template>
          </p>
          <BikeDrawing
            v-if="garage.bike && station"
            class="bike"
            :bike="garage.bike"
            :fasteners="garage.fasteners"
            :station="station"
            faint
          />
        </div>
        <div class="presses">
          <CheckAnswer ref="answer" :check="now" large @answered="at++" />
          <p class="acts">
            <v-btn variant="plain" :disabled="at === 0" @click="at--">{{ texts.back }}</v-btn>
            <v-btn variant="plain" @click="at++">{{ texts.later }}</v-btn>
          </p>
        </div>
      </template>
      <div v-else class="middle">
        <h2 class="big">{{ texts.thatWasAll }}</h2>
        <p class="acts">
          <v-btn @click="emit('close')">{{ texts.close }}</v-btn>
        </p>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.top-line {
  display: flex;
  gap: 16px;
  align-items: baseline;
}
.top-line .v-btn {
  margin-left: auto;
}
.middle {
  flex: 1;
}
.where {
  font-size: 16px;
  padding-top: 8px;
}
.how {
  font-size: 19px;
  padding: 8px 0;
  max-width: 62ch;
}
.bike {
  height: min(320px, 34dvh);
  margin-top: 10px;
}
.presses {
  display: grid;
}
.acts {
  display: flex;
  gap: 18px;
}
</style>
