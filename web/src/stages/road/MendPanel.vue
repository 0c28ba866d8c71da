<script setup lang="ts">
/** Mend it: what not to do first, the way that this kit, these people and this light allow, where each thing lies, and what would do instead. */
import { computed, ref } from 'vue';
import {
  present,
  havingOf,
  lasting,
  needMet,
  rehearsal,
  stopFirst,
  waysNow,
  type Need,
  type ProveCase,
  type Trouble,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import { fixedRows, missedRows } from '../../stores/roadEdits';
import { useView } from '../../stores/view';
import { momentNow, whenAndWhere } from '../../sync/position';
import { counted } from '../../ui/words';
import LackWords from '../../ui/LackWords.vue';
import { minutesText } from '../../words/prove';
import { GRADE_NAMES } from '../../words/pages';
import { fixedWords } from '../../words/road';
import InsteadOf from '../prove/InsteadOf.vue';
import LiesList from '../prove/LiesList.vue';
import * as texts from '../../words/road/mendPanel';
import * as edits from '../../words/edits';

const props = defineProps<{ trouble: Trouble; of: ProveCase }>();
const proof = useProof();
const garage = useGarage();
const notice = useNotice();
const view = useView();
const stop = computed(() => stopFirst(props.trouble));
const read = ref(stop.value.length === 0);
const dark = ref(false);
const ways = computed(() => waysNow(props.of, props.trouble, dark.value));
/** The ways that can be done; the others only when asked for, and without what would merely be quicker. */
const everyWay = ref(false);
const can = computed(() => ways.value.filter((w) => w.has));
const shown = computed(() =>
  everyWay.value || can.value.length === 0 ? ways.value.filter((w) => w.has || !w.way.helped) : can.value,
);
const more = computed(() => ways.value.filter((w) => !w.has && !w.way.helped).length);
const picked = ref<string | null>(null);
const way = computed(() => ways.value.find((w) => w.way.name === picked.value) ?? ways.value[0] ?? null);
const r = computed(() => (way.value ? rehearsal(props.of, props.trouble.id, way.value.way.name) : null));
const having = computed(() => havingOf(props.of));
/** Needs of the way that the kit does not meet, each with what would do instead. */
const lacking = computed(() => {
  const needs: Need[] = way.value ? [...way.value.way.out, ...way.value.way.back].flatMap((s) => s.needs) : [];
  const out = new Map<string, { ask: string; need: Need }>();
  for (const need of needs) {
    const met = needMet(need, having.value);
    if (!met.ok) out.set(met.ask, { ask: met.ask, need });
  }
  return [...out.values()];
});
function begin() {
  if (r.value) proof.start(r.value, { dry: false, dark: dark.value, who: proof.who, real: true });
}
/** Fixed already: into the day's log, with all that the method changes. */
function logged() {
  const { doc } = garage;
  if (!doc || !r.value) return;
  const said = whenAndWhere(props.trouble.name);
  const fixed = fixedRows(doc, props.of, r.value, { ...momentNow(), who: proof.who, dark: dark.value, said });
  if (garage.edit(edits.log(props.trouble.name), fixed.rows)) notice.done(fixedWords(props.trouble.name, fixed.ending));
}
/** It was needed and is not there: the review asks about it. */
function missed(ask: string) {
  if (garage.edit(edits.missing(ask), missedRows(props.of, ask, props.trouble.id, momentNow())))
    notice.done(texts.isNotedAsMissing(ask));
}
</script>

<template>
  <div v-if="!read" class="stop" role="alert">
    <p v-for="s in stop" :key="s" class="big">{{ s }}</p>
    <v-btn class="press" @click="read = true">{{ texts.understood }}</v-btn>
  </div>
  <div v-else>
    <v-switch v-model="dark" :label="texts.itIsDark" />
    <div class="ways" role="group" :aria-label="texts.methods">
      <v-btn
        v-for="w in shown"
        :key="w.way.name"
        variant="tonal"
        class="way"
        :class="{ on: w === way, not: !w.has }"
        :aria-pressed="w === way"
        @click="picked = w.way.name"
      >
        <strong>{{ w.way.name }}</strong>
        <span class="num">{{ GRADE_NAMES[w.grade] }} · {{ minutesText(w.minutes) }}</span>
        <small v-if="!w.has" class="gap"><LackWords :lacks="w.why" /></small>
      </v-btn>
    </div>
    <p v-if="can.length > 0 && more > 0">
      <v-btn variant="plain" :aria-expanded="everyWay" @click="everyWay = !everyWay">{{
        everyWay
          ? texts.onlyWhatICanDo
          : texts.thatThisKitLacksSomething(counted(more, texts.otherMethod, texts.otherMethods))
      }}</v-btn>
    </p>
    <template v-if="way && r">
      <p v-for="c in r.cautions" :key="c" class="caution">{{ c }}</p>
      <p class="presses">
        <v-btn class="press go" @click="begin">{{ texts.beginStepByStep }}</v-btn>
        <v-btn class="press" variant="tonal" @click="logged">{{ texts.alreadyFixedLogIt }}</v-btn>
      </p>
      <p v-if="r.lasts" class="lasts">{{ view.inWords(lasting(way.way)) }}</p>
      <section v-if="lacking.length > 0" class="instead" :aria-label="texts.missingFromYourKit">
        <h2>{{ texts.missingFromYourKit }}</h2>
        <ul>
          <li v-for="l in lacking" :key="l.ask">
            <strong>{{ l.ask }}</strong>:
            <InsteadOf :need="l.need" :of="of" />
            <v-btn variant="plain" :aria-label="texts.noteAsMissing(l.ask)" @click="missed(l.ask)">{{
              texts.noteAsMissing2
            }}</v-btn>
          </li>
        </ul>
      </section>
      <template v-if="r.steps[0]?.part === 'get out'">
        <h2>{{ texts.takeOutInThisOrder }}</h2>
        <LiesList :lies="present(r.steps[0].needs[0]).lies" />
      </template>
    </template>
    <p v-else class="big">{{ texts.noMethodIsKnownFor }}</p>
    <section class="ladder">
      <h2>{{ texts.itDoesNotMove }}</h2>
      <p>
        {{ texts.cleanTheRecessSoakIt }}
        <router-link :to="{ query: { mend: 'head-rounded' } }">{{ texts.headRoundedOrSeized }}</router-link>
      </p>
    </section>
  </div>
</template>

<style scoped>
.big {
  font-size: clamp(22px, 3vw, 34px);
  font-family: var(--v-font-heading);
  font-weight: 600;
  line-height: 1.16;
  padding: 8px 0;
}
.stop {
  border: 3px solid var(--gap);
  padding: 10px 18px 18px;
  margin-top: 10px;
}
.ways {
  display: grid;
  gap: 8px;
  margin: 8px 0 12px;
}
.way {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  min-height: 60px;
  text-align: left;
  font-size: 18px;
  align-items: center;
}
.way.on {
  border: 2px solid var(--ink);
}
.way.not strong {
  font-weight: 500;
  color: var(--soft);
}
.way small {
  grid-column: 1 / -1;
  font-size: 13.5px;
}
.caution {
  margin: 6px 0;
  font-size: 15px;
}
.lasts {
  font-size: 16px;
  padding: 4px 0;
}
.instead {
  border-left: 3px dashed var(--gap);
  padding: 4px 0 4px 12px;
  margin: 8px 0;
  font-size: 16px;
}
.instead ul {
  margin: 0;
  padding-left: 18px;
}
.presses {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding: 12px 0;
}
.press {
  min-height: 72px;
  font-size: 21px;
  justify-content: center;
}
.go {
  flex: 1;
  background: var(--ink);
  color: var(--sheet);
}
.ladder {
  padding: 10px 0;
  font-size: 16px;
}
</style>
