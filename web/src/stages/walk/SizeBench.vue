<script setup lang="ts">
/** From readings and tools tried to a size: what it is, how sure, the rivals, and the one try that settles it. */
import LineField from '../../ui/LineField.vue';
import SelectField from '../../ui/SelectField.vue';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import {
  present,
  canGauge,
  FORM_SIZES,
  FORM_WORDS,
  gaugedBand,
  nextTry,
  plainSize,
  NO_GAUGING,
  printShape,
  printSize,
  readLine,
  readTries,
  repeats,
  sizeOdds,
  sizePrior,
  typeShape,
  type Fastener,
  type Gauging,
  type Head,
  type HeadForm,
  type Outcome,
  type Shape,
} from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useInstruments } from '../../stores/instruments';
import { useView } from '../../stores/view';
import { jawOf } from '../../ui/jaw';
import JawDrawing from '../../ui/JawDrawing.vue';
import { useWedge } from '../../ui/useWedge';
import { percent } from '../../ui/words';
import { climbed } from './climbed';
import * as texts from '../../words/walk/sizeBench';
import * as edits from '../../words/edits';

const props = defineProps<{ fastener: Fastener }>();
const garage = useGarage();
const view = useView();
const instruments = useInstruments();

const end = ref<'near' | 'far'>('near');
const key = computed(() => (end.value === 'near' ? 'gauge' : 'farGauge') as 'gauge' | 'farGauge');
const head = computed<Head>(() => (end.value === 'far' ? present(props.fastener.far) : props.fastener.head));
const gauging = computed<Gauging>(() => props.fastener[key.value] ?? NO_GAUGING);
const FORMS: HeadForm[] = ['hex', 'key', 'lobe', 'lobe-out', 'hex12', 'plug'];
const form = ref<HeadForm>(head.value.form);
const sizable = computed(() => canGauge(form.value));
const prior = computed(() => sizePrior(form.value, props.fastener, garage.fasteners));
/** Forms that drawer pieces turn, so that the try proposed is one that can be made. */
const owned = computed(() => {
  const wanted = form.value === 'plug' || form.value === 'hex12' ? 'hex' : form.value;
  const sizes = (garage.doc?.pieces ?? []).flatMap((p) => p.modes.filter((m) => m.turns.form === wanted));
  return [...new Set(sizes.map((m) => m.turns.size))];
});
const result = computed(() => sizeOdds(form.value, gauging.value, prior.value));
const measured = computed(() => gauging.value.readings.length > 0 || gauging.value.tries.length > 0);
const likely = computed(() => result.value.sizes[0] ?? null);
const next = computed(() =>
  measured.value && !result.value.settled ? nextTry(form.value, gauging.value, prior.value, owned.value) : null,
);
const spread = computed(() => repeats(gauging.value.readings));

watch(
  () => [props.fastener.id, end.value] as const,
  () => {
    form.value = head.value.form;
    pending.value = null;
    tool.value = null;
  },
);
watch(
  () => props.fastener.far,
  (far) => {
    if (!far) end.value = 'near';
  },
);

function change(label: string, fields: Partial<Gauging>) {
  garage.put(label, 'fasteners', { ...props.fastener, [key.value]: { ...gauging.value, ...fields } });
}

// Readings: typed, from a device that types, or taken from the stream; never by themselves.
const typed = ref('');
const wrong = ref('');
const pending = ref<number | null>(null);
function add(value: number) {
  if (!(value >= 0.5 && value <= 130)) {
    wrong.value = texts.enterTo(mm(0.5), mm(130));
    return;
  }
  wrong.value = '';
  pending.value = null;
  change(texts.readingOf(props.fastener.name), {
    readings: [...gauging.value.readings, Math.round(value * 1000) / 1000].slice(-30),
  });
}
function keep() {
  const read = readLine(typed.value, 'calliper');
  if (!read || read.instrument !== 'calliper') {
    wrong.value = texts.isNoReadingWrite12(typed.value);
    return;
  }
  typed.value = '';
  add(read.value);
}
useWedge('calliper', (value) => (pending.value = value));
let leave = () => {};
onMounted(() => (leave = instruments.use()));
onBeforeUnmount(() => leave());
const live = computed(() => instruments.calliper);

// Tools tried.
const said = ref('');
const saidWrong = ref('');
function tried() {
  const read = readTries(said.value, form.value);
  if ('reason' in read) {
    saidWrong.value = read.reason;
    return;
  }
  said.value = '';
  saidWrong.value = '';
  change(texts.toolTriedOn(props.fastener.name), { tries: [...gauging.value.tries, ...read.tries].slice(-20) });
}
const sat = (outcome: Outcome, of: Shape) =>
  change(texts.toolTriedOn(props.fastener.name), { tries: [...gauging.value.tries, { tool: of, outcome }].slice(-20) });

// The jaw: any tool near the size.
const tool = ref<string | null>(null);
const toolForm = computed(() => (form.value === 'plug' || form.value === 'hex12' ? 'hex' : form.value));
const at = computed<Head>(() =>
  measured.value && likely.value
    ? likely.value.head
    : form.value === head.value.form
      ? head.value
      : (likely.value?.head ?? head.value),
);
const middle = (size: string) => {
  const band = gaugedBand({ form: toolForm.value, size });
  return band ? (band.min + band.max) / 2 : Number.NaN;
};
const tools = computed(() => {
  const here = middle(at.value.size);
  return [...(FORM_SIZES[toolForm.value] ?? [])]
    .filter((size) => Math.abs(middle(size) / here - 1) < 0.14)
    .sort((a, b) => Math.abs(middle(a) - here) - Math.abs(middle(b) - here))
    .slice(0, 7)
    .sort((a, b) => middle(a) - middle(b));
});
/** Without a choice the picture shows the try proposed, else what could deceive: the tightest other tool that goes on. */
const deceiving = computed(
  () =>
    tools.value
      .filter((size) => size !== at.value.size)
      .map((size) => ({ size, jaw: jawOf(drawn.value, { form: toolForm.value, size }, result.value.measure) }))
      .filter(({ jaw }) => jaw && !Number.isNaN(jaw.play))
      .sort((a, b) => present(a.jaw).play - present(b.jaw).play)[0]?.size,
);
const shown = computed<Shape>(() => ({
  form: toolForm.value,
  size: tool.value ?? next.value?.tool.size ?? deceiving.value ?? at.value.size,
}));
const drawn = computed<Head>(() => ({
  form: form.value === 'plug' || form.value === 'hex12' ? 'hex' : form.value,
  size: at.value.size,
}));

const how = computed(() => {
  const { readings, tries } = gauging.value;
  const parts = [
    readings.length > 0 ? texts.calliperMm(readings.slice(-3).join(', ')) : '',
    ...tries.slice(-2).map((t) => `${printSize(t.tool.size)} ${t.outcome}`),
  ];
  return parts.filter(Boolean).join('; ').slice(0, 200);
});
function takeSize(to: Head) {
  const snug = gauging.value.tries.some((t) => t.outcome === 'snug' && t.tool.size === to.size);
  const evidence = snug ? 'tried' : 'measured';
  const sized = { ...props.fastener, [end.value === 'far' ? 'far' : 'head']: to };
  garage.put(edits.isNow(props.fastener.name, typeShape(to)), 'fasteners', climbed(sized, evidence, how.value));
}
const already = computed(
  () =>
    likely.value &&
    likely.value.head.size === head.value.size &&
    likely.value.head.form === head.value.form &&
    props.fastener.evidence !== 'assumed',
);
const mm = (v: number) => (view.units === 'inch' ? `${(v / 25.4).toFixed(4)} in` : `${v.toFixed(2)} mm`);
const meaning = (m: { outcome: Outcome; head: Head; odds: number }) =>
  `${m.outcome}: ${printShape(m.head)}, ${percent(m.odds)}`;
</script>

<template>
  <div class="bench">
    <div class="column reading">
      <p v-if="fastener.far" class="ends" role="group" :aria-label="texts.whichEnd">
        <v-btn variant="text" :aria-pressed="end === 'near'" @click="end = 'near'">{{ texts.head }}</v-btn>
        <v-btn variant="text" :aria-pressed="end === 'far'" @click="end = 'far'">{{ texts.farEnd }}</v-btn>
      </p>
      <h3>{{ live && !live.lost ? texts.calliperLive : texts.calliper }}</h3>
      <p v-if="live && !live.lost && live.value !== null" class="big num" aria-live="off">{{ mm(live.value) }}</p>
      <p v-else-if="spread.n > 0" class="big num">{{ mm(spread.mean) }}</p>
      <p v-else class="big num none" aria-hidden="true">–</p>
      <p v-if="live" class="soft small">
        <template v-if="live.lost">{{ texts.notHeardForSIs(live.device, live.ago) }}</template>
        <template v-else>{{ live.device }}</template>
        <template v-if="live.missed > 0">{{ texts.linesLost(live.missed) }}</template>
      </p>
      <p v-else-if="instruments.line === 'broken'" class="soft small">{{ texts.noConnectionToTheServer }}</p>
      <v-btn v-if="live && !live.lost && live.value !== null" @click="add(present(live.value))">
        {{ texts.takeThisReading }}
      </v-btn>
      <p v-if="pending !== null" class="pending" role="alert">
        <span class="num">{{ mm(pending) }}</span> {{ texts.cameIn }}
        <v-btn @click="add(present(pending))">{{ texts.useItHere }}</v-btn>
        <v-btn variant="plain" @click="pending = null">{{ texts.discardIt }}</v-btn>
      </p>
      <form class="typed" @submit.prevent="keep">
        <LineField
          v-model="typed"
          hide-label
          :label="texts.readingMm"
          figures
          inputmode="decimal"
          placeholder="12.94"
          :fault="wrong || null"
        />
        <v-btn variant="tonal" type="submit">{{ texts.add }}</v-btn>
      </form>
      <SelectField
        class="surface"
        hide-label
        :label="texts.theHeadIs"
        :items="[
          { title: texts.cleanFlats(mm(0.05)), value: 'clean' },
          { title: texts.wornOrPainted(mm(0.15)), value: 'worn' },
          { title: texts.ruler(mm(0.5)), value: 'ruler' },
        ]"
        :model-value="gauging.surface"
        @update:model-value="change(texts.howItWasMeasured, { surface: $event as Gauging['surface'] })"
      />
      <p v-if="spread.n > 0" class="soft small">
        {{ spread.n === 1 ? texts.oneReading : texts.readings(spread.n)
        }}<template v-if="spread.spread !== null">{{ texts.spread(mm(spread.spread)) }}</template
        >.
        <v-btn variant="plain" @click="change(texts.takeBackAReading, { readings: gauging.readings.slice(0, -1) })">
          {{ texts.removeLastReading }}
        </v-btn>
      </p>
    </div>
    <div class="column what">
      <p class="row-head">
        <span class="h3" role="heading" aria-level="3">{{ texts.whatItIs }}</span>
        <SelectField
          hide-label
          class="slim"
          :label="texts.formOfTheHead"
          :items="[...new Set([...FORMS, form])].map((f) => ({ title: FORM_WORDS[f], value: f }))"
          v-model="form"
        />
      </p>
      <template v-if="!sizable"
        ><p class="soft">{{ texts.aCalliperCannotTellSizes }}</p></template
      >
      <template v-else>
        <p v-if="!measured" class="soft">
          {{ texts.writtenDownAsReadIt(printShape(head), fastener.evidence) }}
        </p>
        <ul v-else class="odds">
          <li v-for="s in result.sizes.slice(0, 4)" :key="s.head.size">
            <v-btn
              variant="text"
              class="odds-row"
              :aria-label="texts.take(printShape(s.head), percent(s.odds))"
              @click="takeSize(s.head)"
            >
              <span class="size num">{{ form.startsWith('lobe') ? 'T' : '' }}{{ plainSize(s.head.size) }}</span>
              <span class="bar"><span :class="{ inch: s.inch }" :style="{ width: `${s.odds * 100}%` }" /></span>
              <span class="num share">{{ s.odds < 0.01 ? '<1 %' : percent(s.odds) }}</span>
            </v-btn>
          </li>
        </ul>
        <p v-if="result.foreign" class="gap small">
          {{ texts.noSizeMatchesMeasureAgain }}
        </p>
        <p v-if="measured && likely && !already">
          <v-btn class="take" data-take @click="takeSize(likely.head)">
            {{ texts.takeAs(printShape(likely.head)) }}
          </v-btn>
        </p>
        <p v-else-if="already" class="good small">{{ texts.recordedAs(printShape(head)) }}</p>
        <div v-if="next" class="next-try">
          <p>
            <strong>{{ texts.toBeSure }}</strong>
            {{ texts.putOnIt(printShape(next.tool), next.owned ? '' : texts.notInTheToolbox) }}
          </p>
          <p class="outcomes">
            <v-btn variant="tonal" v-for="m in next.meanings" :key="m.outcome" @click="sat(m.outcome, next.tool)">
              <span>{{ meaning(m) }}</span>
            </v-btn>
          </p>
        </div>
        <p v-else-if="measured && !result.settled && result.sizes.length > 1" class="soft small">
          {{
            texts.noCommonToolTellsAnd(
              printShape(present(result.sizes[0]).head),
              printShape(present(result.sizes[1]).head),
            )
          }}
        </p>
        <form class="typed" @submit.prevent="tried">
          <LineField
            v-model="said"
            hide-label
            :label="texts.toolTriedAndHowIt"
            :placeholder="texts.n13GoesOn12Does"
            :fault="saidWrong || null"
          />
          <v-btn variant="tonal" type="submit">{{ texts.tried }}</v-btn>
        </form>
        <p v-if="gauging.tries.length > 0" class="soft small">
          {{ gauging.tries.map((t) => `${printSize(t.tool.size)} ${t.outcome}`).join(', ') }}.
          <v-btn variant="plain" @click="change(texts.takeBackATry, { tries: gauging.tries.slice(0, -1) })">
            {{ texts.removeLastReading }}
          </v-btn>
        </p>
      </template>
    </div>
    <div v-if="sizable" class="column jaw-column">
      <JawDrawing :head="drawn" :tool="shown" :measure="measured ? result.measure : Number.NaN" />
      <p class="tools" role="group" :aria-label="texts.toolInThePicture">
        <v-btn
          variant="text"
          v-for="t in tools"
          :key="t"
          class="num"
          :aria-pressed="t === shown.size"
          @click="tool = t"
        >
          {{ plainSize(t) }}
        </v-btn>
      </p>
    </div>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(150px, 0.8fr) minmax(220px, 1.25fr) 190px;
  gap: 8px 22px;
  align-items: start;
}
h3,
.h3 {
  font-family: var(--v-font-heading);
  font-size: 15px;
  font-weight: 500;
  letter-spacing: 0.03em;
  text-transform: uppercase;
  color: var(--soft);
}
.big {
  font-size: 34px;
  line-height: 1.1;
  font-weight: 600;
  letter-spacing: -0.02em;
  margin: 2px 0;
}
.big.none {
  color: var(--line);
}
.small {
  font-size: 13.5px;
}
.ends {
  display: flex;
  gap: 2px;
  margin-bottom: 6px;
}
.ends button,
.tools button {
  border: 1px solid var(--line);
  padding: 3px 10px;
  font-size: 13.5px;
  min-height: 28px;
}
[aria-pressed='true'] {
  background: var(--ink);
  color: var(--sheet);
}
.typed {
  display: flex;
  gap: 6px;
  margin: 6px 0;
}
.typed .line-field {
  flex: 1;
  min-width: 0;
}
.surface {
  font-size: 13.5px;
}
.pending {
  border-left: 3px solid var(--measured);
  padding-left: 8px;
  margin: 6px 0;
}
.row-head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
}
.slim {
  min-height: 28px;
  padding: 1px 6px;
  font-size: 13.5px;
}
.odds {
  list-style: none;
  margin: 4px 0 6px;
  padding: 0;
}
.odds-row {
  display: grid;
  grid-template-columns: 62px 1fr 48px;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 26px;
}
.odds-row:hover {
  background: var(--picked);
}
.size {
  font-weight: 600;
}
.bar {
  background: var(--hair);
  height: 13px;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--measured);
}
.bar .inch {
  background: var(--assumed);
}
.share {
  text-align: right;
  font-size: 13px;
}
.take {
  margin: 2px 0 6px;
}
.next-try {
  font-size: 14px;
  margin: 4px 0;
}
.outcomes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  margin-top: 4px;
}
.outcomes .v-btn {
  font-size: 14px;
  padding: 2px 9px;
  min-height: 30px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  justify-content: center;
  margin-top: 6px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: 1fr 1.3fr;
  }
}
@media (max-width: 760px) {
  .bench {
    grid-template-columns: 1fr;
  }
  .ends button,
  .tools button,
  .odds-row,
  .outcomes .v-btn {
    min-height: 44px;
  }
  .tools button {
    min-width: 44px;
  }
  .jaw-column {
    justify-self: center;
  }
}
</style>
