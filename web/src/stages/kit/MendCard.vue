<script setup lang="ts">
/** One trouble: how often, how bad, and every way to mend it as steps, with what of it this kit has. */
import { computed } from 'vue';
import {
  present,
  appliesTo,
  betterWords,
  darkShare,
  GRADE_WORTH,
  hasTraits,
  needMet,
  SKILL_WORDS,
  lasting,
  minutesOn,
  NIGHT_WORK,
  quickest,
  ridersOf,
  sharedParts,
  stepsOn,
  troublesIn,
  wayKey,
  type Need,
  type LackFact,
  type NeedMet,
  type Trouble,
  type Way,
} from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { percent } from '../../ui/words';
import LackWords from '../../ui/LackWords.vue';
import GradeMark from './GradeMark.vue';
import RatesTable from './RatesTable.vue';
import * as texts from '../../words/kit/mendCard';

const props = defineProps<{ troubleId: string }>();
const emit = defineEmits<{ close: [] }>();
const answers = useAnswer();
const garage = useGarage();
const view = useView();

const trouble = computed<Trouble | null>(() =>
  garage.doc ? (troublesIn(garage.doc).find((t) => t.id === props.troubleId) ?? null) : null,
);
const exposure = computed(() => answers.answer?.exposures.find((e) => e.trouble.id === props.troubleId) ?? null);
const mends = computed(
  () => answers.answer?.kit.mends.filter((m) => m.troubleId === props.troubleId && m.bikeId === garage.bike?.id) ?? [],
);
const saved = computed(() => mends.value.reduce((s, m) => s + m.hoursSaved, 0));
const left = computed(() => mends.value.reduce((s, m) => s + m.hoursLeft, 0));
const ways = computed(() => trouble.value?.ways.filter((w) => garage.bike && hasTraits(w.only, garage.bike)) ?? []);
const hours = (h: number) => (h >= 1 ? `${h.toFixed(1)} h` : `${Math.round(h * 60)} min`);

/** What the kit has of a way: it goes it, or why not. */
function state(w: Way): { has: boolean; why: readonly (LackFact | string)[] } {
  const m = mends.value;
  if (m.length === 0) return { has: false, why: [texts.noTripSaysHowOften] };
  const has = m.some((x) => x.ways.some((y) => y.name === w.name));
  const why = m.flatMap((x) => x.others.filter((o) => o.name === w.name).map((o) => o.why))[0] ?? [];
  return { has, why };
}
const having = computed(() => ({
  kit: answers.answer?.kit ?? { pieces: [], spares: [] },
  chains: answers.answer?.kitChains ?? {},
  fasteners: garage.fasteners,
  practice: present(garage.doc).garage.practice,
  book: garage.book,
}));
const trip = computed(() => garage.trip);
const own = computed(() =>
  garage.doc && trip.value
    ? quickest(garage.doc.drills, ridersOf(garage.doc, trip.value.id))
    : new Map<string, number>(),
);
/** Minutes of a way on this bike and trip, own times in them, and what they are made of. */
const minutes = (w: Way) =>
  minutesOn(
    w,
    {
      bike: present(garage.bike),
      company: (trip.value?.companions ?? 0) > 0,
      dark: trip.value ? darkShare(trip.value) : 0,
    },
    own.value.get(wayKey(props.troubleId, w.name)),
  );
const minutesWhy = (w: Way) => {
  const { minutes: sum, parts } = minutes(w);
  const said = parts.map((p, i) =>
    texts.minFor(p.minutes < 0 ? '− ' : i > 0 ? '+ ' : '', Math.abs(p.minutes).toFixed(0), p.what),
  );
  return `${said.join(' ')} = ${sum.toFixed(0)} min`;
};
/** What helps a way: what it is, the minutes that it saves, and whether the kit has it. */
const helps = (w: Way) =>
  w.better.map((b) => ({ what: betterWords(b), saves: b.saves, has: needMet(b.need, having.value).ok }));
const here = computed(() =>
  garage.doc && garage.bike ? troublesIn(garage.doc).filter((t) => appliesTo(t, present(garage.bike))) : [],
);
/** Other troubles that the same parts mend. */
const shared = (w: Way) =>
  sharedParts(w, present(trouble.value), here.value)
    .filter((p) => p.kind !== 'bolt' && p.also.length > 0)
    .map((p) => ({ name: garage.book.of(p.kind).name, also: p.also }));
/** What meets a need of a way: where the kit goes the way, all of them are met. */
function metBy(n: Need, w: Way): NeedMet {
  const met = needMet(n, having.value);
  return state(w).has ? { ...met, ok: true } : met;
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="860"
    scrollable
    :aria-label="trouble?.name ?? texts.mend"
    @update:model-value="emit('close')"
  >
    <div v-if="trouble" class="dialog-card">
      <div class="card-head">
        <h1>{{ trouble.name }}</h1>
        <v-btn variant="tonal" @click="emit('close')">{{ texts.close }}</v-btn>
      </div>
      <p v-if="exposure" class="facts">
        <strong class="num">{{ percent(exposure.odds, 1) }}</strong>
        {{ texts.ofSuchTripsWithoutA(trouble.stops ? texts.stranded : texts.lost) }}
        <strong class="num">{{ hours(exposure.without) }}</strong>{{ texts.thisKitSaves }}
        <strong class="num good">{{ hours(saved) }}</strong>, <strong class="num">{{ hours(left) }}</strong>
        {{ texts.stayAtStake }}
      </p>
      <p v-else-if="garage.bike && !appliesTo(trouble, garage.bike)" class="facts">
        {{ texts.thisCannotHappenOnThis }}
      </p>
      <section v-for="w in ways" :key="w.name" class="way" :class="{ has: state(w).has }" :aria-label="w.name">
        <h2>
          <GradeMark :grade="w.grade" /> {{ w.name }}
          <small>{{
            texts.min(
              minutes(w).minutes.toFixed(0),
              SKILL_WORDS[w.skill],
              w.holds === 0 ? texts.untilHelpComes : texts.counts(Math.round(GRADE_WORTH[w.grade] * 100)),
            )
          }}</small>
        </h2>
        <p v-if="w.caution" class="caution">{{ w.caution }}</p>
        <p v-if="state(w).has" class="good">{{ texts.thisKitDoesIt }}</p>
        <p v-else-if="state(w).why.length > 0" class="gap">
          {{ texts.notWithThisKit }} <LackWords :lacks="state(w).why" />.
        </p>
        <template
          v-for="[title, steps] in [
            [texts.out, stepsOn(w.out, present(garage.bike))],
            [texts.backIn, stepsOn(w.back, present(garage.bike))],
          ] as const"
          :key="title"
        >
          <h3 v-if="steps.length > 0 && w.back.length > 0">{{ title }}</h3>
          <ol v-if="steps.length > 0">
            <li v-for="(s, i) in steps" :key="i">
              {{ s.text }}
              <span v-for="(n, k) in s.needs" :key="k" class="need" :class="{ lacking: !metBy(n, w).ok }"
                ><strong>{{ metBy(n, w).ask }}</strong
                ><template v-if="metBy(n, w).by"> {{ metBy(n, w).by }}</template
                ><template v-if="!metBy(n, w).ok"> {{ ' ' }}{{ texts.lacking }}</template></span
              >
            </li>
          </ol>
        </template>
        <p v-if="w.lasts || w.ruin" class="soft lasts">{{ view.inWords(lasting(w)) }}</p>
        <dl class="more">
          <template v-if="minutes(w).parts.length > 1">
            <dt>{{ texts.minutesHere }}</dt>
            <dd>{{ minutesWhy(w) }}</dd>
          </template>
          <template v-if="w.better.length > 0">
            <dt>{{ texts.quickerWith }}</dt>
            <dd>
              <span v-for="h in helps(w)" :key="h.what" class="help" :class="{ has: h.has }">{{
                texts.minLess(h.what, h.saves, h.has ? texts.inTheKit : '')
              }}</span>
            </dd>
          </template>
          <template v-if="w.when.includes('company') || w.second > 0">
            <dt>{{ texts.secondPerson }}</dt>
            <dd>{{ w.when.includes('company') ? texts.needed : texts.helpsMinLess(w.second) }}</dd>
          </template>
          <template v-for="p in shared(w)" :key="p.name">
            <dt>{{ p.name }}</dt>
            <dd>
              {{
                texts.alsoFor(p.also.slice(0, 4).join(', '), p.also.length > 4 ? texts.andMore(p.also.length - 4) : '')
              }}
            </dd>
          </template>
        </dl>
      </section>
      <RatesTable v-if="trouble.service === null" :trouble="trouble" />
      <p class="soft">
        {{ texts.inTheDarkEachTakes(NIGHT_WORK) }}
      </p>
    </div>
  </v-dialog>
</template>

<style scoped>
.card-head {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
}
.facts {
  font-size: 15px;
  margin: 4px 0 8px;
}
.way {
  border-top: 1px solid var(--line);
  padding: 10px 0 12px 14px;
  border-left: 4px solid transparent;
}
.way.has {
  border-left-color: var(--proven);
}
.way h2 {
  text-transform: none;
  letter-spacing: 0;
  color: var(--ink);
  font-size: 18px;
  font-weight: 600;
}
.way h2 small {
  font-family: var(--v-font-body);
  font-size: 13px;
  font-weight: 400;
  color: var(--soft);
  margin-left: 8px;
}
.more {
  display: grid;
  grid-template-columns: minmax(96px, max-content) 1fr;
  gap: 1px 12px;
  margin: 6px 0 0;
  font-size: 13.5px;
}
.more dt {
  color: var(--soft);
}
.more dd {
  margin: 0;
}
.help + .help::before {
  content: '; ';
}
.help.has {
  color: var(--proven);
}
h3 {
  font-size: 14px;
  color: var(--soft);
  margin-top: 6px;
}
ol {
  margin: 2px 0 6px;
  padding-left: 22px;
  font-size: 14.5px;
}
li {
  padding: 2px 0;
}
.need {
  display: inline-block;
  border: 1px solid var(--line);
  padding: 0 7px;
  margin: 1px 2px 1px 4px;
  font-size: 13px;
}
.need strong {
  margin-right: 5px;
}
.need.lacking {
  border-color: var(--gap);
  border-style: dashed;
  color: var(--gap);
}
</style>
