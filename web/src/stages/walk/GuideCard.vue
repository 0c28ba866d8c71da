<script setup lang="ts">
/** The next thing to look at: what is usually there, to be confirmed by a press, corrected, or left out with the reason. */
import { computed, ref, watch } from 'vue';
import {
  canGauge,
  FORM_SIZES,
  LEAVE_OUT,
  parseShape,
  printShape,
  proposal,
  sizePrior,
  STATION_NAMES,
  typeShape,
  USUAL_HEADS,
  type Fastener,
  type Guide,
  type Head,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import DropMenu from '../../ui/DropMenu.vue';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import { climbed } from './climbed';
import * as texts from '../../words/walk/guideCard';
import * as edits from '../../words/edits';

const props = defineProps<{ guide: Guide; skipped: number }>();
const emit = defineEmits<{ skip: []; measure: [fastener: Fastener]; type: [] }>();
const garage = useGarage();
const notice = useNotice();

const visit = computed(() => props.guide.next);
const id = ref(crypto.randomUUID() as string);
/** What is proposed, or the row that is still assumed. */
const row = computed<Fastener | null>(() => {
  const v = visit.value;
  if (!v || !garage.bike) return null;
  return v.rows.find((f) => f.leftOut === null && f.evidence === 'assumed') ?? proposal(v.look, garage.bike, id.value);
});
const isNew = computed(() => visit.value?.state === 'to do');
/** What the far end is: not yet said, nothing there, or a head. An end that nobody looked at is not known. */
const far = ref<Head | 'nothing' | null>(null);
/** The near end, pressed while the far end was not yet said. */
const near = ref<Head | null>(null);
watch(
  () => visit.value?.look.key,
  () => {
    far.value = null;
    near.value = null;
  },
);
/** Whether the thing has a far end to be looked at. */
const asksFar = computed(() => !!row.value && (row.value.far !== null || !!visit.value?.look.farSizes));
const parsed = (sizes: readonly string[]): Head[] =>
  sizes.flatMap((s) => {
    const read = parseShape(s);
    return 'head' in read ? [read.head] : [];
  });

/** The usual head and what else sits on such a thread or near that size, the commonest first. */
function likely(head: Head | null, thread: string | null, sizes: readonly string[] | undefined): Head[] {
  const out: Head[] = [...(head ? [head] : []), ...parsed(sizes ?? [])];
  // What such a thing often has stands for itself; else what is usual on its thread and near its size.
  if (sizes || !head) return distinct(out);
  out.push(...(thread ? (USUAL_HEADS[thread] ?? []) : []));
  if (row.value && canGauge(head.form)) {
    const prior = sizePrior(head.form, row.value, garage.fasteners);
    const near = (FORM_SIZES[head.form] ?? [])
      .map((size): Head => ({ form: head.form, size }))
      .sort((a, b) => prior(b) - prior(a));
    out.push(...near.slice(0, 6));
  }
  return distinct(out).slice(0, 7);
}
function distinct(heads: Head[]): Head[] {
  const seen = new Set<string>();
  return heads.filter((h) => !seen.has(typeShape(h)) && seen.add(typeShape(h)));
}
const heads = computed(() => (row.value ? likely(row.value.head, row.value.thread, visit.value?.look.sizes) : []));
const farHeads = computed(() =>
  row.value && asksFar.value ? likely(row.value.far, row.value.thread, visit.value?.look.farSizes) : [],
);

function put(label: string, made: Fastener) {
  garage.put(label, 'fasteners', made);
  id.value = crypto.randomUUID();
}
function fits(head: Head) {
  if (!row.value) return;
  if (asksFar.value && far.value === null) {
    near.value = head;
    return;
  }
  keep(head, far.value);
}
function farIs(end: Head | 'nothing') {
  far.value = end;
  if (near.value) keep(near.value, end);
}
/** Both ends were looked at: tried. Where one was not, the row stands as assumed, with the size that is known. */
function keep(head: Head, end: Head | 'nothing' | null) {
  if (!row.value) return;
  const { name } = row.value;
  const known = !asksFar.value || end !== null;
  const farEnd = end === 'nothing' ? null : (end ?? row.value.far);
  const farWords = !asksFar.value
    ? ''
    : end === null
      ? texts.farEndNotChecked
      : texts.farEnd3(end === 'nothing' ? 'nothing' : printShape(end));
  put(
    edits.isNow(name, typeShape(head)),
    climbed({ ...row.value, head, far: farEnd }, known ? 'tried' : 'assumed', texts.putOn(printShape(head), farWords)),
  );
  notice.say(`${name}: ${printShape(head)}, ${known ? 'tried' : texts.assumedUntilTheFarEnd}`);
  near.value = null;
  far.value = null;
}
function assume() {
  if (!row.value) return;
  const name = row.value.name;
  put(edits.assume(name), climbed(row.value, 'assumed', texts.usualOnSuchABike));
  notice.say(texts.standsAsAssumed(name));
}
function leaveOut(reason: string) {
  if (!row.value) return;
  const name = row.value.name;
  put(texts.leaveOut2(name), { ...row.value, leftOut: reason });
  notice.say(texts.leftOut(name, reason));
}
function measure() {
  if (!row.value) return;
  const made = isNew.value ? climbed(row.value, 'assumed', texts.usualOnSuchABike) : row.value;
  if (isNew.value) put(edits.assume(made.name), made);
  emit('measure', made);
}
/** All that nobody looked at yet, as assumed rows in one edit: the kit can be worked out before the walk is over. */
function assumeAll() {
  const bike = garage.bike;
  if (!bike) return;
  const rows = props.guide.visits
    .filter((v) => v.state === 'to do')
    .map((v) => climbed(proposal(v.look, bike, crypto.randomUUID()), 'assumed', texts.usualOnSuchABike));
  garage.edit(
    texts.assumeFasteners(rows.length),
    rows.map((after) => ({ table: 'fasteners' as const, id: after.id, before: null, after })),
  );
  notice.done(texts.rowsStandAsAssumed(rows.length));
}
const open = computed(() => props.guide.visits.filter((v) => v.state === 'to do').length);
</script>

<template>
  <section class="guide" :aria-label="texts.nextToLookAt">
    <template v-if="visit && row">
      <header>
        <h2>
          {{ texts.next(STATION_NAMES[visit.look.station].toLowerCase()) }}
          <strong
            >{{ row.name }}<template v-if="row.count > 1"> ×{{ row.count }}</template></strong
          >
        </h2>
        <span class="soft num progress">{{ guide.done }} / {{ guide.visits.length }}</span>
      </header>
      <p class="why soft">
        {{ visit.look.why }}<template v-if="row.thread"> · {{ row.thread }}</template
        ><template v-if="isNew"> {{ ' ' }}{{ texts.usually(printShape(row.head)) }}</template
        ><template v-else> {{ ' ' }}{{ texts.assumed(printShape(row.head)) }}</template
        ><template v-if="visit.look.tip">. {{ visit.look.tip }}</template>
      </p>
      <p class="say">{{ texts.pressTheSizeThatFits }}</p>
      <p class="heads" :class="{ many: heads.length > 8 }" role="group" :aria-label="texts.pressTheSizeThatFits">
        <v-btn
          variant="text"
          v-for="h in heads"
          :key="typeShape(h)"
          class="press"
          :class="{ usual: typeShape(h) === typeShape(row.head) }"
          :aria-pressed="near ? typeShape(near) === typeShape(h) : undefined"
          :aria-label="texts.fits(printShape(h))"
          @click="fits(h)"
        >
          <HeadGlyph :head="h" tone="ink" :size="44" />
        </v-btn>
      </p>
      <template v-if="asksFar">
        <p class="say" :class="{ now: near }" role="status">
          {{ near ? texts.nowTheFarEndWhat(printShape(near)) : texts.farEnd }}
        </p>
        <p class="heads" :class="{ many: farHeads.length > 6 }" role="group" :aria-label="texts.farEnd">
          <v-btn
            variant="text"
            class="press words"
            :aria-pressed="far === 'nothing'"
            :aria-label="texts.farEndNothingThere"
            @click="farIs('nothing')"
          >
            {{ texts.nothingThere }}
          </v-btn>
          <v-btn
            variant="text"
            v-for="h in farHeads"
            :key="typeShape(h)"
            class="press far"
            :aria-pressed="far !== null && far !== 'nothing' && typeShape(far) === typeShape(h)"
            :aria-label="texts.farEnd2(printShape(h))"
            @click="farIs(h)"
          >
            <HeadGlyph :head="h" tone="ink" :size="36" />
          </v-btn>
          <v-btn variant="text" v-if="near" class="press words" @click="keep(near, null)">{{ texts.notChecked }}</v-btn>
        </p>
      </template>
      <p class="acts">
        <v-btn variant="tonal" @click="measure">{{ texts.measureIt }}</v-btn>
        <v-btn variant="tonal" @click="emit('type')">{{ texts.typeIt }}</v-btn>
        <v-btn variant="tonal" v-if="isNew" @click="assume">{{ texts.notSureAssume }}</v-btn>
        <DropMenu :label="texts.leaveOut" :hint="texts.whyNoRoadsideJobTurns">
          <v-list-item v-for="r in LEAVE_OUT" :key="r" role="menuitem" @click="leaveOut(r)">{{ r }}</v-list-item>
        </DropMenu>
        <v-btn variant="plain" @click="emit('skip')">{{ texts.later }}</v-btn>
        <v-btn variant="plain" v-if="open > 1" @click="assumeAll">{{ texts.assumeAllLeft(open) }}</v-btn>
      </p>
    </template>
    <template v-else>
      <h2>
        <strong>{{ texts.allItemsChecked(guide.visits.length) }}</strong>
      </h2>
      <p class="soft">
        {{ skipped > 0 ? texts.werePutOffPressA(skipped) : texts.whatElseHangsOnThis }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.guide {
  border-top: 1px solid var(--line);
  margin-top: 8px;
  padding-top: 8px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: baseline;
}
h2 {
  text-transform: none;
  letter-spacing: 0;
  font-size: 17px;
}
h2 strong {
  color: var(--ink);
  font-weight: 600;
  font-size: 20px;
}
.why {
  font-size: 14.5px;
}
.say {
  font-size: 13px;
  color: var(--soft);
  margin-top: 6px;
}
.heads {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 2px;
}
.press {
  border: 1px solid var(--line);
  background: var(--sheet);
  display: grid;
  place-items: center;
  width: 58px;
  height: 54px;
}
.press:hover {
  background: var(--picked);
}
.many .press {
  width: 50px;
  height: 46px;
}
.press.words,
.many .press.words {
  width: auto;
  padding: 0 10px;
  font-size: 14px;
}
.say.now {
  color: var(--ink);
  font-weight: 600;
  font-size: 15px;
}
.press.usual,
.press[aria-pressed='true'] {
  border: 2px solid var(--ink);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
  margin-top: 10px;
}
@media (max-width: 760px) {
  .press {
    width: 66px;
    height: 62px;
  }
  .acts .v-btn--variant-plain,
  .acts :deep(.word) {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
