<script setup lang="ts">
/** A drill that is over: what it took against what was planned, what it proved, what was used up and what is looked at again. */
import { computed, onMounted, ref } from 'vue';
import {
  present,
  countsAsTime,
  heldUp,
  isBelievable,
  needsOf,
  pacesOf,
  readiness,
  skillIn,
  wayKey,
  ME,
  SKILL_WORDS,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import { timesOf } from '../../stores/proveEdits';
import { useView } from '../../stores/view';
import { counted, percent } from '../../ui/words';
import { clockText, hoursText, minutesText, STUCK_WORDS } from '../../words/prove';
import * as texts from '../../words/prove/drillEnd';

defineProps<{ minutes: number }>();
const emit = defineEmits<{ close: [] }>();
const proof = useProof();
const garage = useGarage();
const answers = useAnswer();
const notice = useNotice();
const view = useView();
const d = computed(() => present(proof.drill));
const r = computed(() => present(proof.rehearsed));
const real = computed(() => countsAsTime(d.value));
const pressed = computed(() => d.value.state === 'done' && !d.value.dry && !isBelievable(d.value));
const times = computed(() => (proof.made ? timesOf(proof.made.drills, d.value) : []));
const paceWith = (drills: typeof proof.made extends null ? never : NonNullable<typeof proof.made>['drills']) =>
  pacesOf(drills, d.value.who).get(wayKey(d.value.trouble, d.value.way));
const pace = computed(() => (proof.made ? paceWith(proof.made.drills) : undefined));
const before = computed(() =>
  proof.made ? paceWith(proof.made.drills.filter((x) => x.id !== d.value.id)) : undefined,
);
const NTH = [texts.first, texts.second, texts.third, texts.fourth, texts.fifth];
const nth = computed(() => NTH[times.value.length - 1] ?? texts.nth(times.value.length));
/** Readiness with and without this drill. */
const ready = computed(() => {
  const c = proof.made;
  if (!c) return null;
  const held = heldUp(proof.told?.checks ?? []);
  const was = readiness({ ...c, drills: c.drills.filter((x) => x.id !== d.value.id) }, held).share;
  return was === null ? null : { was, now: readiness(c, held).share ?? was };
});
/** Hours at risk as they were when it ended, and as they are once all is worked out anew. */
const atStake = ref<number | null>(null);
onMounted(() => {
  atStake.value = answers.before?.atStake ?? answers.figures?.atStake ?? null;
  // On the road a spare that the way takes is gone; at home mostly not.
  if (d.value.real) used.value = spares.value.map((s) => s.kind);
});
const spares = computed(() =>
  garage.bike
    ? needsOf(r.value.way, garage.bike).supplies.map((s) => ({ ...s, name: garage.book.of(s.kind).name }))
    : [],
);
const used = ref<string[]>([]);
const watchIt = ref(true);
const taken = ref(false);
const usedNow = computed(() => spares.value.filter((s) => used.value.includes(s.kind)));
/** What is written down: what was really done on the road even where its clock says nothing. */
const writes = computed(() => real.value || (d.value.real && d.value.state === 'done' && !d.value.dry));
const ending = computed(() => proof.ending(usedNow.value, watchIt.value));
/** A skill that this shows, where less was thought of the rider. */
const learned = computed(() => {
  const doc = garage.doc;
  if (!doc || !real.value || d.value.who !== ME || d.value.stuck.some((s) => s.reason === 'do not know how'))
    return null;
  const { subject } = r.value.trouble;
  return skillIn(doc.garage.rider, subject) < r.value.way.skill ? { subject, skill: r.value.way.skill } : null;
});
function setSkill() {
  const doc = garage.doc;
  const l = learned.value;
  if (!doc || !l) return;
  const rider = { ...doc.garage.rider, skills: { ...doc.garage.rider.skills, [l.subject]: l.skill } };
  if (garage.edit(texts.skillIn(l.subject), [], { ...doc.garage, rider })) notice.say(texts.skillInIsSet(l.subject));
}
/** Writes down what the drill showed; also where one leaves without pressing it. */
function finish() {
  const end = ending.value;
  if (taken.value || !writes.value || !end || !proof.take(end)) return;
  taken.value = true;
  if (end.rows.length > 0) notice.done(texts.saved);
}
function take() {
  finish();
  emit('close');
}
defineExpose({ finish });
</script>

<template>
  <div class="end">
    <h2 v-if="real" class="big">
      {{ texts.planned }} <span class="num">{{ minutesText(d.planned) }}</span>{{ texts.time(nth) }}
      <span class="num">{{ minutesText(minutes) }}</span>
    </h2>
    <h2 v-else class="big">
      {{
        d.state === 'given up'
          ? texts.stopped
          : writes
            ? texts.fixed
            : pressed
              ? texts.onlyPressedThrough
              : texts.dryRunDone
      }}
    </h2>
    <p v-if="real && pace" class="line">
      {{ texts.nextTimeAbout }} <strong class="num">{{ minutesText(d.planned * pace.factor) }}</strong>{{
        texts.fourTimesInFiveBetween(minutesText(d.planned * pace.low), minutesText(d.planned * pace.high))
      }}
      <span class="soft">{{ texts.before(minutesText(d.planned * (before?.factor ?? 1))) }}</span>{{
        texts.everyFigureOfThisRepair
      }}
    </p>
    <p v-if="times.length > 1" class="line">
      {{ texts.allYourTimes }} <span class="num">{{ times.map((t) => minutesText(t)).join(', ') }}</span>.
    </p>
    <p v-if="writes && !real" class="line soft">
      {{ texts.itsClockRanForUnder }}
    </p>
    <p v-else-if="!real" class="line soft">
      <template v-if="pressed">{{ texts.itTookUnderATenth }}{{ ' ' }} </template>{{ texts.itProvesNothingAndSets }}
    </p>
    <p v-if="real && ready" class="line">
      {{ texts.ready }} <strong class="num">{{ percent(ready.was) }}</strong> →
      <strong class="num good">{{ percent(ready.now) }}</strong>
      <template v-if="ready.now <= ready.was + 1e-9 && d.stuck.length > 0">{{ texts.youWereStuckSoThe }}</template>.
      <template v-if="atStake !== null && answers.figures && Math.abs(answers.figures.atStake - atStake) >= 0.005">
        {{ ' ' }}{{ texts.hoursAtRisk }} <span class="num">{{ hoursText(atStake) }}</span> →
        <span class="num">{{ hoursText(answers.figures.atStake) }}</span>.
      </template>
    </p>
    <section v-if="d.stuck.length > 0">
      <h3>{{ texts.stuck }}</h3>
      <ul>
        <li v-for="(s, i) in d.stuck" :key="i">
          {{ texts.step(s.step + 1, STUCK_WORDS[s.reason].name.toLowerCase())
          }}<template v-if="s.item">, {{ s.item }}</template>
        </li>
      </ul>
    </section>
    <template v-if="writes && ending && !taken">
      <section v-if="ending.proven.length > 0">
        <h3>{{ texts.proven(counted(ending.proven.length, texts.fastenerIs, texts.fastenersAre)) }}</h3>
        <p>{{ ending.proven.join(', ') }}</p>
      </section>
      <section v-if="spares.length > 0">
        <h3>{{ texts.reallyUsedUp }}</h3>
        <v-checkbox
          v-for="s in spares"
          :key="s.kind"
          v-model="used"
          :value="s.kind"
          :label="s.units > 1 ? `${s.name} ×${s.units}` : s.name"
        />
      </section>
      <section v-if="ending.watch || !watchIt">
        <h3>{{ texts.lookAtItAgain }}</h3>
        <v-checkbox
          v-model="watchIt"
          :label="
            ending.watch
              ? view.inWords([
                  texts.onTheWatchListEvery,
                  { quantity: 'distance', value: ending.watch.everyKm },
                  ending.watch.lastsKm === null ? '' : texts.goodFor,
                  ...(ending.watch.lastsKm === null
                    ? []
                    : [{ quantity: 'distance' as const, value: ending.watch.lastsKm }]),
                ])
              : texts.onTheWatchList
          "
        />
        <p v-if="ending.watch?.caution" class="caution">{{ ending.watch.caution }}</p>
      </section>
      <p v-if="learned" class="line">
        {{ texts.youWereIn(SKILL_WORDS[skillIn(present(garage.doc).garage.rider, learned.subject)], learned.subject) }}
        <v-btn variant="tonal" @click="setSkill">{{ texts.sayNow(SKILL_WORDS[learned.skill]) }}</v-btn>
      </p>
      <p class="acts">
        <v-btn class="press" @click="take">{{ texts.save }}</v-btn>
      </p>
    </template>
    <section>
      <h3>{{ texts.stepByStep }}</h3>
      <v-table>
        <tbody>
          <tr v-for="(s, i) in r.steps.slice(0, d.seconds.length)" :key="i">
            <td>{{ s.text }}</td>
            <td class="num">{{ clockText(d.seconds[i] ?? 0) }}</td>
          </tr>
        </tbody>
      </v-table>
    </section>
  </div>
</template>

<style scoped>
.end {
  max-width: 780px;
  width: 100%;
  margin: 0 auto;
  display: grid;
  gap: 8px;
}
.big {
  font-size: clamp(26px, 4vw, 40px);
  font-weight: 600;
  text-transform: none;
  letter-spacing: 0;
  color: var(--ink);
  padding-top: 10px;
}
.line {
  font-size: 17px;
}
h3 {
  font-size: 17px;
  padding-top: 8px;
}
ul {
  margin: 0;
  padding-left: 20px;
}
td.num {
  text-align: right;
}
.press {
  min-height: 56px;
  font-size: 19px;
}
</style>
