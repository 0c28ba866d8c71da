<script setup lang="ts">
/** Why one is stuck: six large presses, and what each makes of it as a fact. */
import { computed, ref } from 'vue';
import {
  ME,
  STUCK_REASONS,
  stuckAt,
  withOwnStep,
  type AccessSeen,
  type Rehearsal,
  type RehearsalStep,
  type StuckReason,
} from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import type { Said } from '../../stores/proveEdits';
import LineField from '../../ui/LineField.vue';
import NumberField from '../../ui/NumberField.vue';
import SelectField from '../../ui/SelectField.vue';
import { STUCK_WORDS } from '../../words/prove';
import * as texts from '../../words/prove/stuckDialog';
import * as edits from '../../words/edits';

const props = defineProps<{ rehearsal: Rehearsal; step: RehearsalStep }>();
const emit = defineEmits<{ close: []; said: [text: string] }>();
const garage = useGarage();
const proof = useProof();
const reason = ref<StuckReason | null>(null);

/** Things of this step first, then all that the way takes. */
const things = computed(() => {
  const all = [props.step, ...props.rehearsal.steps].flatMap((s) => s.needs.flatMap((n) => n.lies));
  return [...new Map(all.map((l) => [l.key, l])).values()];
});
const heads = computed(() => {
  const all = [props.step, ...props.rehearsal.steps].flatMap((s) => s.needs.flatMap((n) => n.heads));
  return [...new Map(all.map((h) => [h.fastener.id, h])).values()];
});
const tools = computed(() => things.value.filter((l) => l.key.startsWith('piece ')));
const thing = ref('');
const head = ref('');
const end = ref<'near' | 'far'>('near');
const way = ref<AccessSeen['by']>('headroom');
const mm = ref(20);
const degrees = ref(30);
const place = ref('');
const ownStep = ref('');
const WAYS: { title: string; value: AccessSeen['by'] }[] = [
  { title: texts.roomAboveTheHead, value: 'headroom' },
  { title: texts.widthOfTheWellRound, value: 'clearance' },
  { title: texts.thicknessThatGoesBehindIt, value: 'thin' },
  { title: texts.howDeepItSits, value: 'recess' },
  { title: texts.howFarAHandleSwings, value: 'swing' },
];
function choose(next: StuckReason) {
  reason.value = next;
  thing.value = (next === 'too weak' ? tools.value : things.value)[0]?.key ?? '';
  head.value = heads.value[0]?.fastener.id ?? '';
  place.value = garage.places[0]?.id ?? '';
}
const possible = (x: StuckReason): boolean =>
  x === 'missing' || x === 'wrong place'
    ? things.value.length > 0 && (x === 'missing' || garage.places.length > 0)
    : x === 'too weak'
      ? tools.value.length > 0
      : x === 'does not fit' || x === 'cannot reach'
        ? heads.value.length > 0
        : true;
/** The toolbox's row behind a packed thing. */
function itemOf(key: string): { item: string; name: string } | null {
  const name = things.value.find((l) => l.key === key)?.name ?? '';
  if (key.startsWith('piece ')) return { item: key.replace(/ \d+$/u, ''), name: name.replace(/ \(\d+ of \d+\)$/u, '') };
  const kind = key.replace(/^supply /u, '').replace(/ part \d+$/u, '');
  const row = garage.doc?.supplies.find((s) => s.kind === kind && s.quantity > 0);
  return row ? { item: `spare ${row.id}`, name: garage.book.of(kind).name } : null;
}
function said(): { said: Said; item: string } | null {
  const h = heads.value.find((x) => x.fastener.id === head.value);
  switch (reason.value) {
    case 'missing': {
      const item = itemOf(thing.value);
      return item && { said: { reason: 'missing', ...item }, item: item.name };
    }
    case 'too weak': {
      const pieceId = thing.value.split(' ')[1] ?? '';
      return {
        said: { reason: 'too weak', pieceId },
        item: things.value.find((l) => l.key === thing.value)?.name ?? '',
      };
    }
    case 'does not fit':
      return h
        ? {
            said: { reason: 'does not fit', fastenerId: h.fastener.id, tool: h.chains[0]?.at(-1) ?? '' },
            item: h.fastener.name,
          }
        : null;
    case 'cannot reach': {
      if (!h) return null;
      const seen: AccessSeen =
        way.value === 'swing' ? { by: 'swing', degrees: degrees.value } : { by: way.value, mm: mm.value };
      return {
        said: { reason: 'cannot reach', fastenerId: h.fastener.id, end: end.value, seen },
        item: h.fastener.name,
      };
    }
    case 'wrong place':
      return {
        said: { reason: 'wrong place', item: thing.value, placeId: place.value },
        item: things.value.find((l) => l.key === thing.value)?.name ?? '',
      };
    case 'do not know how':
      return { said: { reason: 'do not know how' }, item: '' };
    default:
      return null;
  }
}
function take() {
  const d = proof.drill;
  const made = said();
  if (!d) return;
  if (!made) {
    emit('said', texts.savedNothingToMark);
    return;
  }
  emit('said', proof.stuck(stuckAt(d, made.said.reason, made.item), made.said) || texts.saved);
}
/** A step that the known way lacks: the rider's own way of it stands beside. */
function addStep() {
  const d = proof.drill;
  const text = ownStep.value.trim();
  if (!d || text === '') return;
  const got = props.rehearsal.steps[0]?.part === 'get out' ? 1 : 0;
  const row = withOwnStep(
    props.rehearsal.trouble,
    props.rehearsal.way,
    { at: Math.max(0, d.step - got), text },
    { id: crypto.randomUUID(), minutes: props.rehearsal.planned },
  );
  const ok = garage.edit(edits.ownStep(props.rehearsal.trouble.name), [
    { table: 'drills', id: d.id, before: d, after: stuckAt(d, 'do not know how') },
    { table: 'mends', id: row.id, before: null, after: row },
  ]);
  if (ok) emit('said', texts.standsBeside(row.name));
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="560"
    scrollable
    :aria-label="texts.stuck"
    @update:model-value="emit('close')"
  >
    <div class="dialog-card">
      <template v-if="reason === null">
        <h1>{{ texts.whatIsIt }}</h1>
        <div class="reasons">
          <v-btn
            v-for="x in STUCK_REASONS"
            :key="x"
            class="reason"
            variant="tonal"
            :disabled="!possible(x)"
            @click="choose(x)"
            >{{ STUCK_WORDS[x].name }}</v-btn
          >
        </div>
        <p>
          <v-btn variant="plain" @click="emit('close')">{{ texts.notStuckAfterAll }}</v-btn>
        </p>
      </template>
      <form v-else @submit.prevent="take">
        <h1>{{ STUCK_WORDS[reason].name }}</h1>
        <p class="soft">{{ STUCK_WORDS[reason].does }}</p>
        <SelectField
          v-if="reason === 'missing' || reason === 'wrong place' || reason === 'too weak'"
          v-model="thing"
          :label="texts.what"
          :items="(reason === 'too weak' ? tools : things).map((l) => ({ title: l.name, value: l.key }))"
        />
        <SelectField
          v-if="reason === 'wrong place'"
          v-model="place"
          :label="texts.whereItLies"
          :items="garage.places.map((p) => ({ title: p.name, value: p.id }))"
        />
        <template v-if="reason === 'does not fit' || reason === 'cannot reach'">
          <SelectField
            v-model="head"
            :label="texts.whichHead"
            :items="heads.map((h) => ({ title: h.fastener.name, value: h.fastener.id }))"
          />
        </template>
        <template v-if="reason === 'cannot reach'">
          <SelectField
            v-if="heads.find((h) => h.fastener.id === head)?.fastener.far"
            v-model="end"
            :label="texts.whichEnd"
            :items="[
              { title: texts.theHead, value: 'near' },
              { title: texts.theFarEnd, value: 'far' },
            ]"
          />
          <SelectField v-model="way" :label="texts.whatIsInTheWay" :items="WAYS" />
          <NumberField
            v-if="way === 'swing'"
            v-model="degrees"
            :label="texts.degrees"
            :min="1"
            :max="360"
            :digits="0"
          />
          <NumberField v-else v-model="mm" :label="texts.howMuchIsFree" quantity="length" :min="0" :max="2000" />
        </template>
        <template v-if="reason === 'do not know how'">
          <p v-if="proof.drill?.who === ME" class="soft">
            {{ texts.orWriteTheStepThat }}
          </p>
          <LineField
            v-model="ownStep"
            :label="texts.aStepOfMyOwn"
            maxlength="200"
            :placeholder="texts.pushThePistonBackFirst"
          />
        </template>
        <p class="acts">
          <v-btn v-if="reason === 'do not know how' && ownStep.trim()" @click="addStep">{{ texts.addMyStep }}</v-btn>
          <v-btn v-else type="submit">{{ texts.save }}</v-btn>
          <v-btn variant="tonal" @click="reason = null">{{ texts.back }}</v-btn>
        </p>
      </form>
    </div>
  </v-dialog>
</template>

<style scoped>
.reasons {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  padding: 12px 0;
}
.reason {
  min-height: 64px;
  font-size: 18px;
}
form {
  display: grid;
  gap: 10px;
}
.acts {
  display: flex;
  gap: 10px;
  padding-top: 6px;
}
</style>
