<script setup lang="ts">
/** A drill step by step, in large type: done with the spacebar or a thumb, stuck with another; the clock runs and survives whatever ends it. */
import { useEventListener, useIntervalFn, useWakeLock } from '@vueuse/core';
import { computed, onMounted, ref, watch } from 'vue';
import {
  present,
  drillMinutes,
  giveUp,
  pauseDrill,
  printShape,
  resumeDrill,
  stepBack,
  stepDone,
  stepSeconds,
} from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import { useView } from '../../stores/view';
import BikeDrawing from '../../ui/BikeDrawing.vue';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import { counted, toneOf } from '../../ui/words';
import { clockText, minutesText } from '../../words/prove';
import DrillEnd from './DrillEnd.vue';
import InsteadOf from './InsteadOf.vue';
import LiesList from './LiesList.vue';
import PlaceSpots from './PlaceSpots.vue';
import StuckDialog from './StuckDialog.vue';
import './fullScreen.css';
import * as texts from '../../words/prove/drillRun';
import * as edits from '../../words/edits';

const proof = useProof();
const garage = useGarage();
const view = useView();
const d = computed(() => present(proof.drill));
const r = computed(() => proof.rehearsed);
const steps = computed(() => r.value?.steps ?? []);
const step = computed(() => steps.value[d.value.step] ?? null);
const over = computed(() => d.value.state === 'done' || d.value.state === 'given up');
const PARTS = { 'get out': texts.unpack, out: texts.out, back: texts.backIn } as const;

/** The clock on the screen: a moment of now, four times a second. */
const moment = ref(new Date().toISOString());
useIntervalFn(() => (moment.value = new Date().toISOString()), 250);
const here = computed(() => stepSeconds(d.value, moment.value));
const total = computed(
  () => d.value.seconds.reduce((s, x) => s + x, 0) - (d.value.seconds[d.value.step] ?? 0) + here.value,
);
/** Cautions of this step, or all of the way. */
const everyCaution = ref(false);
const cautions = computed(() => (everyCaution.value ? (r.value?.cautions ?? []) : (step.value?.cautions ?? [])));
const stuck = ref(false);
/** The need that is not at hand, by its place in the step. */
const lacks = ref<number | null>(null);
watch(
  () => d.value.step,
  () => (lacks.value = null),
);
const says = ref('');

function done() {
  says.value = '';
  const turned = step.value?.needs.flatMap((n) => n.heads.map((h) => h.fastener.id)) ?? [];
  proof.step(
    (x, at) => stepDone(x, at, steps.value.length, turned),
    edits.step(d.value.step + 1, r.value?.trouble.name ?? ''),
  );
}
const back = () => proof.step(stepBack, 'a step back');
const pause = () =>
  proof.step((x, at) => (x.state === 'running' ? pauseDrill(x, at) : resumeDrill(x, at)), texts.pauseTheDrill);
const end = () => proof.step(giveUp, edits.stop(r.value?.trouble.name ?? ''));
const theEnd = ref<InstanceType<typeof DrillEnd>>();
function leave() {
  theEnd.value?.finish();
  if (d.value.state === 'running') proof.step(pauseDrill, texts.pauseTheDrill);
  proof.close();
}
function onKey(event: KeyboardEvent) {
  if (stuck.value || over.value || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
  const target = event.target as HTMLElement | null;
  const key = event.key.toLowerCase();
  // A button in focus is pressed by the spacebar itself.
  if (key === ' ' && target?.closest('button, a, input')) return;
  const does = { ' ': done, s: () => (stuck.value = true), p: pause, backspace: back }[key];
  if (!does) return;
  event.preventDefault();
  event.stopPropagation();
  does();
}
useEventListener('keydown', onKey, { capture: true });
const screen = useWakeLock();
// A screen that may not be kept awake goes dark as always.
onMounted(() => void screen.request('screen').catch(() => undefined));
const lit = computed(
  () => new Set(step.value?.needs.flatMap((n) => n.lies.map((l) => l.placeId)).filter((x) => x !== null)),
);
const station = computed(() => step.value?.needs.flatMap((n) => n.heads.map((h) => h.fastener.station))[0] ?? null);
</script>

<template>
  <v-dialog
    :model-value="true"
    fullscreen
    persistent
    no-click-animation
    :aria-label="`${d.real ? texts.repair : texts.drill}: ${r?.trouble.name ?? ''}`"
    :data-step="d.step"
    :data-state="d.state"
  >
    <div class="full-screen run" :class="{ paused: d.state === 'paused' }">
      <div class="top-line">
        <h1>{{ r?.trouble.name }}</h1>
        <p class="num clock" role="timer" :aria-label="texts.minutes(Math.floor(total / 60))">{{ clockText(total) }}</p>
        <v-btn variant="tonal" @click="leave">{{ over ? texts.close : texts.leaveForNow }}</v-btn>
      </div>
      <DrillEnd v-if="over && r" ref="theEnd" :minutes="drillMinutes(d)" @close="leave" />
      <template v-else-if="r && step">
        <p v-for="c in cautions" :key="c" class="caution">{{ c }}</p>
        <p v-if="r.cautions.length > step.cautions.length" class="all">
          <v-btn variant="plain" :aria-expanded="everyCaution" @click="everyCaution = !everyCaution">{{
            everyCaution ? texts.onlyThoseOfThisStep : counted(r.cautions.length, 'caution') + texts.inAll
          }}</v-btn>
        </p>
        <p v-if="d.dry" class="soft">{{ texts.dryRunTouchEachThing }}</p>
        <div class="step">
          <p class="where-in soft">
            {{ texts.stepOf(PARTS[step.part], d.step + 1, steps.length) }}
            <span class="num">{{ clockText(here) }}</span>
          </p>
          <v-progress-linear :model-value="(d.step / steps.length) * 100" height="4" :aria-label="texts.stepsDone" />
          <h2 class="big" aria-live="polite">{{ step.text }}</h2>
          <p v-if="says" class="says" role="status">{{ says }}</p>
          <div class="beside">
            <div>
              <section v-for="(n, i) in step.needs" :key="i" class="need" :class="{ lacking: !n.ok }">
                <p v-for="h in n.heads" :key="h.fastener.id" class="head-line">
                  <HeadGlyph :head="h.fastener.head" :tone="toneOf(h.fastener)" :size="38" />
                  <span
                    ><strong>{{ h.fastener.name }}</strong
                    ><template v-if="h.fastener.count > 1"> ×{{ h.fastener.count }}</template
                    >, {{ printShape(h.fastener.head)
                    }}<small v-if="h.chains.length > 0">{{ h.chains.map((c) => c.join(' → ')).join(' + ') }}</small
                    ><small v-else class="gap">{{ texts.nothingInThisKitTurns }}</small
                    ><small v-if="h.fastener.torque"
                      >{{ view.inWords([{ quantity: 'torque', value: h.fastener.torque.value }]) }},
                      {{ h.fastener.torque.source === 'manual' ? texts.byTheManual : texts.aTypicalValue }}</small
                    ></span
                  >
                </p>
                <p v-if="n.heads.length === 0 && step.part !== 'get out'">
                  <strong>{{ n.ask }}</strong><template v-if="n.by">: {{ n.by }}</template
                  ><span v-if="!n.ok" class="gap"> {{ ' ' }}{{ texts.notInThisKit }}</span>
                </p>
                <LiesList v-if="n.lies.length > 0" :lies="n.lies" />
                <template v-if="n.need && proof.made">
                  <p v-if="lacks === i || !n.ok" class="instead" role="status">
                    <strong>{{ texts.instead }}</strong> <InsteadOf :need="n.need" :of="proof.made" />
                  </p>
                  <v-btn
                    v-if="n.ok"
                    variant="plain"
                    :aria-expanded="lacks === i"
                    @click="lacks = lacks === i ? null : i"
                    >{{ texts.iHaveNotGot(n.heads.length > 0 ? texts.thatTool : texts.that) }}</v-btn
                  >
                </template>
              </section>
            </div>
            <BikeDrawing
              v-if="garage.bike && (lit.size > 0 || station)"
              class="bike"
              :bike="garage.bike"
              :station="station"
              faint
            >
              <template #default="{ x, y, s }"
                ><PlaceSpots :places="garage.places" :lit="lit" :x="x" :y="y" :s="s"
              /></template>
            </BikeDrawing>
          </div>
        </div>
        <div class="presses">
          <v-btn class="press done" :disabled="d.state === 'paused'" @click="done"
            >{{ texts.done }} <span class="key">{{ texts.space }}</span></v-btn
          >
          <v-btn class="press" variant="tonal" @click="stuck = true"
            >{{ texts.stuck }} <span class="key">S</span></v-btn
          >
          <v-btn class="press" variant="tonal" @click="pause"
            >{{ d.state === 'paused' ? texts.goOn : texts.pause }} <span class="key">P</span></v-btn
          >
          <v-btn class="press" variant="tonal" :disabled="d.step === 0" @click="back">{{ texts.back }}</v-btn>
          <v-btn variant="plain" @click="end">{{ d.real ? texts.stopTheRepair : texts.stopTheDrill }}</v-btn>
        </div>
      </template>
      <p v-else class="empty">
        {{ texts.theTripNoLongerKnows }}
        <v-btn variant="tonal" @click="end">{{ d.real ? texts.stopTheRepair : texts.stopTheDrill }}</v-btn>
      </p>
      <p v-if="!over && r && here > r.planned * 60" class="soft">
        {{ texts.plannedWereForAllOf(minutesText(r.planned)) }}
      </p>
    </div>
    <StuckDialog
      v-if="stuck && r && step"
      :rehearsal="r"
      :step="step"
      @close="stuck = false"
      @said="
        (text) => {
          says = text;
          stuck = false;
        }
      "
    />
  </v-dialog>
</template>

<style scoped>
.top-line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: baseline;
  justify-content: space-between;
}
.clock {
  font-size: 30px;
  font-weight: 600;
  margin-left: auto;
}
/* As high as it is: on a low screen it is scrolled, not squeezed under the presses. */
.step {
  flex: 1 0 auto;
}
.where-in {
  display: flex;
  justify-content: space-between;
  font-size: 15px;
  padding-bottom: 4px;
}
.says {
  font-size: 17px;
  padding-bottom: 8px;
}
.paused .big {
  opacity: 0.45;
}
.beside {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px;
}
.need {
  font-size: 17px;
  padding: 4px 0 8px;
  border-bottom: 1px solid var(--hair);
}
.instead {
  border-left: 3px dashed var(--gap);
  padding-left: 10px;
}
.head-line {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 4px 0;
}
.head-line small {
  display: block;
  font-size: 14px;
  color: var(--soft);
}
.head-line small.gap {
  color: var(--gap);
}
.bike {
  height: 300px;
  min-width: 0;
}
.press {
  min-height: 64px;
  min-width: 110px;
  justify-content: center;
  font-size: 20px;
}
.done {
  flex: 1;
  background: var(--ink);
  color: var(--sheet);
}
.done .key {
  color: var(--ink);
}
@media (max-width: 760px) {
  .beside {
    grid-template-columns: 1fr;
  }
  .bike {
    height: 190px;
  }
  .press {
    flex: 1;
    min-width: 80px;
    font-size: 18px;
  }
  .done {
    flex-basis: 100%;
    order: -1;
  }
  .key {
    display: none;
  }
}
</style>
