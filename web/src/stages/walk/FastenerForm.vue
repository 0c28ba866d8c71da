<script setup lang="ts">
/** Every field of a fastener, for who would rather press than type. The entry line says the same in one line. */
import SelectField from '../../ui/SelectField.vue';
import { computed, ref } from 'vue';
import {
  CONDITIONS,
  FREE_ACCESS,
  parseShape,
  printShape,
  ROLES,
  SOURCES,
  sourceWords,
  STATION_NAMES,
  STATIONS,
  THREADS,
  typeShape,
  type Access,
  type Fastener,
} from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import TermQuestion from '../../ui/TermQuestion.vue';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import TextField from '../../ui/TextField.vue';
import { climbed } from './climbed';
import * as texts from '../../words/walk/fastenerForm';
import * as edits from '../../words/edits';

const props = defineProps<{ fastener: Fastener }>();
const garage = useGarage();
const wrong = ref<Record<string, string>>({});

const change = (label: string, fields: Partial<Fastener>) =>
  garage.put(edits.fieldOf(label, props.fastener.name), 'fasteners', { ...props.fastener, ...fields });
const pick = <T extends string>(list: readonly T[], value: string): T | null => list.find((x) => x === value) ?? null;

/** A head typed as in the line; what cannot be read stays in the field with its reason. */
function head(end: 'head' | 'far', typed: string) {
  const text = typed.trim();
  const { [end]: _gone, ...rest } = wrong.value;
  wrong.value = rest;
  if (text === '' && end === 'far') {
    change(texts.oneEnd, { far: null, farAccess: FREE_ACCESS, farGauge: null });
    return;
  }
  const read = parseShape(text);
  if (!('head' in read)) {
    wrong.value = { ...wrong.value, [end]: read.reason };
    return;
  }
  const sized = { ...props.fastener, [end]: read.head };
  garage.put(
    edits.isNow(props.fastener.name, typeShape(read.head)),
    'fasteners',
    end === 'head' && props.fastener.evidence === 'assumed' ? climbed(sized, 'measured', texts.typedInTheForm) : sized,
  );
}
const ends = computed(() => [
  { key: 'access' as const, title: texts.access },
  ...(props.fastener.far ? [{ key: 'farAccess' as const, title: texts.accessAtTheFarEnd }] : []),
]);
const LENGTHS = [
  { key: 'recess', label: texts.sunk, free: 0 },
  { key: 'clearance', label: texts.clearanceAroundHead, free: null },
  { key: 'headroom', label: texts.roomInLine, free: null },
  { key: 'thin', label: texts.thinnestTool, free: null },
  { key: 'stud', label: texts.studThroughIt, free: 0 },
] as const;
const setAccess = (end: 'access' | 'farAccess', fields: Partial<Access>) =>
  change('access', { [end]: { ...props.fastener[end], ...fields } });
const TRAITS = [
  { key: 'shakesLoose', label: 'shakes loose' },
  { key: 'getsLost', label: texts.getsLost },
  { key: 'breaks', label: 'breaks' },
  { key: 'accessory', label: 'accessory' },
] as const;
const APPROACHES = [
  { title: texts.anywhere, value: 'any' },
  { title: texts.sideOnly, value: 'side only' },
  { title: texts.inLineOnly, value: 'in line only' },
  { title: texts.outOfLine, value: 'out of line' },
];
</script>

<template>
  <div class="form">
    <TextField
      :label="texts.name"
      :value="fastener.name"
      :most="120"
      @take="$event.trim() && change('name', { name: $event.trim() })"
    />
    <TextField
      :label="texts.head(printShape(fastener.head))"
      figures
      :value="typeShape(fastener.head)"
      :fault="wrong['head']"
      @take="head('head', $event)"
    />
    <TextField
      :label="texts.farEnd(fastener.far ? `: ${printShape(fastener.far)}` : '')"
      figures
      :placeholder="texts.none"
      :value="fastener.far ? typeShape(fastener.far) : ''"
      :fault="wrong['far']"
      @take="head('far', $event)"
    />
    <OptionalNumber
      :label="texts.howMany"
      :min="1"
      :max="200"
      whole
      empty="1"
      :model-value="fastener.count"
      @update:model-value="change('count', { count: $event ?? 1 })"
    />
    <SelectField
      :label="texts.thread"
      :items="[{ title: texts.threadNotKnown, value: '' }, ...THREADS]"
      :model-value="fastener.thread ?? ''"
      @update:model-value="change('thread', { thread: pick(THREADS, $event) })"
    />
    <OptionalNumber
      :label="texts.torque"
      quantity="torque"
      :min="0"
      :max="1000"
      :empty="texts.notKnown"
      :model-value="fastener.torque?.value ?? null"
      @update:model-value="
        change('torque', {
          torque: $event === null ? null : { value: $event, source: fastener.torque?.source ?? 'user' },
        })
      "
    />
    <SelectField
      :label="texts.torqueIsFrom"
      :items="SOURCES.map((s) => ({ title: sourceWords(s), value: s }))"
      :disabled="!fastener.torque"
      :model-value="fastener.torque?.source ?? 'user'"
      @update:model-value="
        fastener.torque && change('torque', { torque: { ...fastener.torque, source: pick(SOURCES, $event) ?? 'user' } })
      "
    />
    <SelectField
      :label="texts.condition"
      :items="Object.entries(CONDITIONS).map(([c, factor]) => ({ title: `${c} (×${factor})`, value: c }))"
      :model-value="fastener.condition"
      @update:model-value="
        change('condition', {
          condition: pick(Object.keys(CONDITIONS) as Fastener['condition'][], $event) ?? 'dirty',
        })
      "
    />
    <SelectField
      :label="texts.station"
      :items="STATIONS.map((s) => ({ title: String(STATION_NAMES[s]), value: s }))"
      :model-value="fastener.station"
      @update:model-value="change('station', { station: pick(STATIONS, $event) ?? fastener.station })"
    />
    <SelectField
      :label="texts.roleInRepairs"
      :items="[{ title: texts.noneNamed, value: '' }, ...ROLES]"
      :model-value="fastener.role ?? ''"
      @update:model-value="change('job', { role: pick(ROLES, $event) })"
    />
    <fieldset v-for="e in ends" :key="e.key" class="wide">
      <legend>{{ e.title }}</legend>
      <TermQuestion v-if="e.key === 'access'" term="access" :label="texts.measures" several />
      <span class="fields">
        <SelectField
          :label="texts.comesFrom"
          :items="APPROACHES"
          :model-value="fastener[e.key].approach"
          @update:model-value="
            setAccess(e.key, {
              approach: pick(['any', 'side only', 'in line only', 'out of line'] as const, $event) ?? 'any',
            })
          "
        />
        <OptionalNumber
          v-for="l in LENGTHS"
          :key="l.key"
          :label="l.label"
          quantity="length"
          :min="0"
          :max="5000"
          :empty="texts.free"
          :model-value="fastener[e.key][l.key] === l.free ? null : fastener[e.key][l.key]"
          @update:model-value="setAccess(e.key, { [l.key]: $event ?? l.free })"
        />
        <OptionalNumber
          :label="texts.swing"
          unit="°"
          :min="1"
          :max="360"
          :empty="texts.free"
          :model-value="fastener[e.key].swing"
          @update:model-value="setAccess(e.key, { swing: $event })"
        />
      </span>
    </fieldset>
    <fieldset class="wide">
      <legend>{{ texts.whatItIsKnownFor }}</legend>
      <span class="ticks">
        <v-checkbox
          v-for="t in TRAITS"
          :key="t.key"
          class="tick"
          :model-value="fastener[t.key]"
          @update:model-value="change(t.label, { [t.key]: $event === true })"
          :label="t.label"
        />
      </span>
    </fieldset>
    <TextField
      class="wide"
      :label="texts.leftOutBecause"
      :placeholder="texts.itCounts"
      :most="300"
      :value="fastener.leftOut ?? ''"
      @take="change($event.trim() ? texts.leaveOut : texts.countIn, { leftOut: $event.trim() || null })"
    />
    <TextField
      class="wide"
      :label="texts.note"
      :most="2000"
      :value="fastener.note"
      @take="change('note', { note: $event })"
    />
  </div>
</template>

<style scoped>
.form,
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(128px, 1fr));
  gap: 8px 12px;
}
legend {
  display: block;
  font-size: 13px;
  color: var(--soft);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
fieldset {
  border: 0;
  border-top: 1px solid var(--hair);
  margin: 0;
  padding: 4px 0 0;
}
.wide {
  grid-column: 1 / -1;
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
</style>
