<script setup lang="ts">
/** Find it: a trouble is named; press what the step takes, then where it lies, against the clock. What is missed comes back sooner. */
import { useIntervalFn } from '@vueuse/core';
import { computed, ref, shallowRef } from 'vue';
import {
  findCards,
  nextCard,
  nextDue,
  remembered,
  rightAnswers,
  thingsToChoose,
  type FindCard,
  type Lies,
  type Memory,
  type ProveCase,
} from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import { useView } from '../../stores/view';
import { counted } from '../../ui/words';
import { clockText } from '../../words/prove';
import * as texts from '../../words/prove/findGame';

const props = defineProps<{ of: ProveCase }>();
const garage = useGarage();
const proof = useProof();
const view = useView();
const night = ref(false);
const dark = computed(() => night.value || view.theme === 'dark');
const cards = computed(() => findCards(props.of));
const memories = computed<Memory[]>(() => (garage.doc?.memories ?? []).filter((m) => m.bikeId === props.of.bike.id));
const card = shallowRef<FindCard | null>(null);
const choices = shallowRef<Lies[]>([]);
const thing = ref<string | null>(null);
const place = ref<string | null>(null);
const began = ref(0);
const moment = ref(0);
const seconds = computed(() => Math.max(0, (moment.value - began.value) / 1000));
const result = ref<{ right: boolean; seconds: number; back: string } | null>(null);
const score = ref({ right: 0, asked: 0 });
useIntervalFn(() => (moment.value = performance.now()), 200);

const known = computed(
  () =>
    memories.value.filter(
      (m) =>
        m.who === proof.who && m.dark === dark.value && m.state === 2 && cards.value.some((k) => k.card === m.card),
    ).length,
);
function next() {
  const now = new Date().toISOString();
  card.value = nextCard(cards.value, memories.value, {
    who: proof.who,
    dark: dark.value,
    now,
    not: card.value?.card ?? null,
  });
  if (!card.value) return;
  choices.value = thingsToChoose(card.value, props.of, score.value.asked + cards.value.indexOf(card.value));
  thing.value = null;
  place.value = null;
  result.value = null;
  began.value = performance.now();
  moment.value = began.value;
}
const places = computed(() => {
  const used = new Set(cards.value.map((k) => k.lies.placeId));
  return garage.places.filter((p) => used.has(p.id));
});
const right = computed(() => (card.value ? rightAnswers(card.value, props.of) : new Set<string>()));
function choose(l: Lies) {
  if (thing.value !== null || !card.value) return;
  thing.value = l.key;
  if (!right.value.has(l.key)) end(false);
}
/** Where any of the things that would do lies: each of them is right. */
const goodPlaces = computed(
  () => new Set(cards.value.filter((k) => right.value.has(k.lies.key)).map((k) => k.lies.placeId)),
);
function choosePlace(id: string) {
  if (result.value || thing.value === null) return;
  place.value = id;
  end(goodPlaces.value.has(id));
}
function end(ok: boolean) {
  const k = card.value;
  if (!k) return;
  const took = Math.min(3600, (performance.now() - began.value) / 1000);
  const before = memories.value.find((m) => m.card === k.card && m.who === proof.who && m.dark === dark.value) ?? null;
  const memory = remembered(
    before,
    { right: ok, seconds: took, now: new Date().toISOString() },
    { id: crypto.randomUUID(), bikeId: props.of.bike.id, who: proof.who, card: k.card, dark: dark.value },
  );
  result.value = { right: ok, seconds: took, back: memory.due };
  score.value = { right: score.value.right + (ok ? 1 : 0), asked: score.value.asked + 1 };
  garage.put(texts.aRoundOfFindIt, 'memories', memory);
}
/** When it comes back, in words. */
function backText(due: string): string {
  const minutes = (Date.parse(due) - Date.now()) / 60_000;
  return minutes < 90
    ? texts.inMin(Math.max(1, Math.round(minutes)))
    : minutes < 1440 * 1.5
      ? texts.tomorrow
      : texts.inDays(Math.round(minutes / 1440));
}
const waiting = computed(() => nextDue(memories.value, proof.who, dark.value));
</script>

<template>
  <section class="game" :aria-label="texts.findIt" :data-theme="dark ? 'dark' : undefined" :class="{ night: dark }">
    <p class="soft">
      {{ texts.ofYourKitKnownBy(counted(cards.length, 'thing'), known, dark ? texts.inTheDark : '') }}
    </p>
    <v-switch v-model="night" :label="texts.inTheDark2" />
    <template v-if="card">
      <p class="clock num" role="timer">{{ clockText(result ? result.seconds : seconds) }}</p>
      <h2 class="big">{{ card.trouble }}</h2>
      <p class="ask">
        {{ card.step }}. <strong>{{ texts.whatDoYouTake }}</strong>
      </p>
      <div class="choices" role="group" :aria-label="texts.whatDoYouTake">
        <v-btn
          v-for="l in choices"
          :key="l.key"
          variant="tonal"
          :disabled="thing !== null && thing !== l.key && !(result && l.key === card.lies.key)"
          :class="{ right: thing !== null && right.has(l.key), wrong: thing === l.key && !right.has(l.key) }"
          @click="choose(l)"
          >{{ l.name }}</v-btn
        >
      </div>
      <template v-if="thing !== null && right.has(thing)">
        <p class="ask">
          <strong>{{ texts.whereDoesItLie }}</strong>
        </p>
        <div class="choices" role="group" :aria-label="texts.whereDoesItLie">
          <v-btn
            v-for="p in places"
            :key="p.id"
            variant="tonal"
            :disabled="result !== null && place !== p.id && !goodPlaces.has(p.id)"
            :class="{ right: result && goodPlaces.has(p.id), wrong: place === p.id && !goodPlaces.has(p.id) }"
            @click="choosePlace(p.id)"
            >{{ p.name }}</v-btn
          >
        </div>
      </template>
      <p v-if="result" class="result" role="status">
        <strong :class="result.right ? 'good' : 'gap'">{{ result.right ? texts.right : texts.notThisTime }}</strong>{{
          texts.itComesBack(
            card.lies.name,
            card.lies.place,
            card.lies.slot ? texts.slot(card.lies.slot) : '',
            card.lies.on ? texts.in2(card.lies.on) : '',
            backText(result.back),
          )
        }}
        <v-btn @click="next">{{ texts.next }}</v-btn>
      </p>
      <p class="soft">{{ texts.ofRightThisRound(score.right, score.asked) }}</p>
    </template>
    <p v-else-if="score.asked > 0 || (waiting && cards.length > 0)" class="ask">
      {{ texts.allIsKnownForNow(waiting ? texts.theNextComesBack(backText(waiting)) : '') }}
      <v-btn variant="tonal" @click="next">{{ texts.lookAgain }}</v-btn>
    </p>
    <p v-else-if="cards.length > 0">
      <v-btn size="large" @click="next">{{ texts.begin }}</v-btn>
    </p>
    <p v-else class="soft">{{ texts.packAKitInStow }}</p>
  </section>
</template>

<style scoped>
.game {
  min-height: 420px;
}
.night {
  background: var(--ground);
  color: var(--ink);
}
.clock {
  float: right;
  font-size: 22px;
}
.big {
  font-size: 26px;
  text-transform: none;
  letter-spacing: 0;
  color: var(--ink);
  padding: 8px 0 4px;
}
.ask {
  font-size: 16px;
  padding: 6px 0;
}
.choices {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.choices .v-btn {
  min-height: 54px;
  font-size: 15px;
  line-height: 1.15;
}
.choices .right {
  border: 2px solid var(--proven);
}
.choices .wrong {
  border: 2px dashed var(--gap);
}
.result {
  padding: 10px 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
</style>
