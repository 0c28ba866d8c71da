<script setup lang="ts">
import SelectField from '../../ui/SelectField.vue';
import LineField from '../../ui/LineField.vue';
import { computed } from 'vue';
import { cut, PLACE_KINDS, placeSchema, TIERS, TIER_MINUTES, USUAL_SLOTS, type Place } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useGarage } from '../../stores/garage';
import NumberField from '../../ui/NumberField.vue';
import { useRowForm } from '../../ui/useRules';
import FormFaults from '../../ui/FormFaults.vue';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import TermQuestion from '../../ui/TermQuestion.vue';
import * as texts from '../../words/stow/placeForm';
import * as edits from '../../words/edits';

const props = defineProps<{ place: Place }>();
const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const notice = useNotice();

const { set: write, faults } = useRowForm<Place>(
  placeSchema,
  () => props.place,
  (label, row) => garage.put(label, 'places', row),
);
function set(fields: Partial<Place>) {
  const { kind, slots, name } = { ...props.place, ...fields };
  write(`change ${name}`, { ...fields, slots: kind === 'roll' ? (slots ?? USUAL_SLOTS) : null });
}
const text = (event: Event) => (event.target as HTMLInputElement).value;
const slots = computed(() => props.place.slots ?? []);
const setSlot = (i: number, fields: Partial<(typeof slots.value)[number]>) =>
  set({ slots: slots.value.map((s, j) => (j === i ? { ...s, ...fields } : s)) });
const FLAGS: { key: 'stays' | 'lockable' | 'dry' | 'hot' | 'wiring' | 'wrapped' | 'onRack'; label: string }[] = [
  { key: 'stays', label: texts.staysOnTheBike },
  { key: 'lockable', label: texts.lockable },
  { key: 'dry', label: 'dry' },
  { key: 'hot', label: texts.getsHot },
  { key: 'wiring', label: texts.nextToWiring },
  { key: 'wrapped', label: texts.toolsWrappedInARoll },
  { key: 'onRack', label: texts.onTheRearRack },
];
function remove() {
  const pins = (garage.doc?.pins ?? []).filter((p) => p.placeId === props.place.id);
  garage.remove(edits.remove(props.place.name), ...pins.map((p) => ({ table: 'pins' as const, id: p.id })), {
    table: 'places',
    id: props.place.id,
  });
  notice.done(texts.isDeleted(props.place.name));
  emit('close');
}
</script>

<template>
  <div class="place-form">
    <LineField
      class="wide"
      :label="texts.name"
      :model-value="place.name"
      :fault="faults['name'] ?? null"
      maxlength="120"
      @change="set({ name: text($event) })"
    />
    <SelectField
      :label="texts.kind"
      :items="PLACE_KINDS"
      :model-value="place.kind"
      @update:model-value="set({ kind: PLACE_KINDS.find((k) => k === $event) ?? 'box' })"
    />
    <SelectField
      class="two"
      :label="texts.access"
      :items="TIERS"
      :model-value="place.tier"
      @update:model-value="set({ tier: TIERS.find((t) => t === $event) ?? 'one zip' })"
    />
    <NumberField
      :label="texts.length"
      quantity="length"
      :max="5000"
      :model-value="place.inside.length"
      @update:model-value="set({ inside: { ...place.inside, length: $event } })"
    />
    <NumberField
      :label="texts.width"
      quantity="length"
      :max="5000"
      :model-value="place.inside.width"
      @update:model-value="set({ inside: { ...place.inside, width: $event } })"
    />
    <NumberField
      :label="texts.height"
      quantity="length"
      :max="5000"
      :model-value="place.inside.height"
      @update:model-value="set({ inside: { ...place.inside, height: $event } })"
    />
    <NumberField
      :label="texts.mountBears"
      quantity="weight"
      :max="500000"
      :model-value="place.limit"
      @update:model-value="set({ limit: $event })"
    />
    <OptionalNumber
      :label="texts.onTracksItBears"
      quantity="weight"
      :min="0"
      :max="500000"
      :empty="texts.theSame"
      :model-value="place.roughLimit"
      @update:model-value="set({ roughLimit: $event })"
    />
    <OptionalNumber
      :label="texts.toOpenIt"
      unit="min"
      :min="0"
      :max="120"
      :empty="String(TIER_MINUTES[place.tier])"
      :model-value="place.opening"
      @update:model-value="set({ opening: $event })"
    />
    <NumberField
      :label="texts.fill"
      :min="0.1"
      :max="1"
      :model-value="place.fill"
      @update:model-value="set({ fill: $event })"
    />
    <NumberField
      :label="texts.clothesFood"
      quantity="volume"
      :max="200000"
      :model-value="place.taken * 1000"
      @update:model-value="set({ taken: $event / 1000 })"
    />
    <NumberField
      :label="texts.weightOfThat"
      quantity="weight"
      :max="500000"
      :model-value="place.takenMass"
      @update:model-value="set({ takenMass: $event })"
    />
    <NumberField
      :label="texts.behindFrontAxle"
      quantity="length"
      :min="-3000"
      :max="4000"
      :model-value="place.at.x"
      @update:model-value="set({ at: { ...place.at, x: $event } })"
    />
    <NumberField
      :label="texts.leftOrRight"
      quantity="length"
      :min="-3000"
      :max="4000"
      :model-value="place.at.y"
      @update:model-value="set({ at: { ...place.at, y: $event } })"
    />
    <NumberField
      :label="texts.aboveGround"
      quantity="length"
      :min="-3000"
      :max="4000"
      :model-value="place.at.z"
      @update:model-value="set({ at: { ...place.at, z: $event } })"
    />
    <template v-if="place.slots">
      <fieldset v-for="(slot, i) in slots" :key="i" class="wide slots">
        <legend>{{ texts.slots(i + 1) }}</legend>
        <NumberField
          :label="texts.howMany"
          :min="1"
          :max="60"
          :model-value="slot.count"
          @update:model-value="setSlot(i, { count: Math.round($event) })"
        />
        <NumberField
          :label="texts.slotWidth"
          quantity="length"
          :max="5000"
          :model-value="slot.width"
          @update:model-value="setSlot(i, { width: $event })"
        />
        <NumberField
          :label="texts.slotLength"
          quantity="length"
          :max="5000"
          :model-value="slot.length"
          @update:model-value="setSlot(i, { length: $event })"
        />
        <v-btn
          variant="plain"
          v-if="slots.length > 1"
          class="gap"
          :aria-label="texts.removeSlots(i + 1)"
          @click="set({ slots: slots.filter((_, j) => j !== i) })"
        >
          {{ texts.off }}
        </v-btn>
      </fieldset>
      <p v-if="slots.length < 12" class="wide">
        <v-btn variant="plain" @click="set({ slots: [...slots, { count: 4, width: 40, length: 220 }] })">
          {{ texts.moreSlotsOfAnotherSize }}
        </v-btn>
      </p>
    </template>
    <TermQuestion class="wide" term="share" :label="texts.usableShare" />
    <div class="wide flags">
      <v-checkbox
        v-for="f in FLAGS"
        :key="f.key"
        :model-value="place[f.key]"
        @update:model-value="set({ [f.key]: $event === true })"
        :label="f.label"
      />
    </div>
    <LineField
      class="wide"
      :label="texts.note"
      :model-value="place.note"
      maxlength="2000"
      @change="set({ note: cut(text($event), 2000) })"
    />
    <FormFaults class="wide" :faults="faults" :shown="['name']" />
    <p class="wide acts">
      <v-btn @click="emit('close')">{{ texts.done }}</v-btn><v-btn variant="tonal" class="gap" @click="remove">{{
        texts.deletePlace
      }}</v-btn>
    </p>
  </div>
</template>

<style scoped>
.place-form {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px 12px;
  padding: 8px 16px 14px;
  background: var(--picked);
  align-items: end;
}
.wide {
  grid-column: 1 / -1;
}
.slots {
  display: grid;
  grid-template-columns: repeat(3, 1fr) auto;
  gap: 4px 12px;
  align-items: end;
  border: 0;
  border-top: 1px solid var(--line);
  padding: 2px 0 0;
  margin: 0;
}
legend {
  font-size: 13px;
  color: var(--soft);
}
.two {
  grid-column: span 2;
}
.flags {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.acts {
  display: flex;
  gap: 12px;
}
</style>
