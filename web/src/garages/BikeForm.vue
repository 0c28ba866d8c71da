<script setup lang="ts">
/** A bike's own numbers and traits: they draw it, and decide what there is to look at. */
import SelectField from '../ui/SelectField.vue';
import LineField from '../ui/LineField.vue';
import { computed, ref, watch } from 'vue';
import { BRAKES, DRIVES, ENGINES, FITTINGS, STARTERS, TYRES, type Bike, type Fitting } from '@necessaire/core';
import NumberField from '../ui/NumberField.vue';
import { bikeFaults } from './bikeFields';
import * as texts from '../words/garages/bikeForm';

const bike = defineModel<Bike>({ required: true });
const props = defineProps<{
  /** Whether it was tried to keep the bike: only then is what was left empty a fault. */
  tried: boolean;
  /** Whether all is shown from the start: a bike that is there already is being changed. */
  open?: boolean;
}>();
const faults = computed(() => {
  const all = { ...bikeFaults(bike.value) };
  // What is typed is judged at once; a name that was not begun is not yet a fault.
  if (!props.tried && bike.value.name === '') delete all['name'];
  return all;
});
/** Faults of fields that show none beside themselves. */
const elsewhere = computed(() =>
  Object.entries(faults.value).filter(([field]) => !['name', 'tyreFront', 'tyreRear'].includes(field)),
);

const set = <K extends keyof Bike>(key: K, value: Bike[K]) => (bike.value = { ...bike.value, [key]: value });

interface Choice {
  key: keyof Bike;
  label: string;
  of: readonly (string | number)[];
}
/** What draws the bike and decides which fasteners and problems it has. */
const FIRST: Choice[] = [
  { key: 'drive', label: texts.drive, of: DRIVES },
  { key: 'engine', label: texts.engine, of: ENGINES },
  { key: 'starter', label: texts.starter, of: STARTERS },
];
/** What can wait: usual values stand until they are changed. */
const MORE: Choice[] = [
  { key: 'tyres', label: texts.tyresAre, of: TYRES },
  { key: 'wheels', label: texts.wheels, of: ['spoked', 'cast'] },
  { key: 'strokes', label: texts.strokes, of: [4, 2] },
  { key: 'plugs', label: texts.plugsInEachCylinder, of: [1, 2] },
  { key: 'cooling', label: texts.cooling, of: ['air', 'liquid'] },
  { key: 'fuelling', label: texts.fuelling, of: ['injection', 'carburettor'] },
  { key: 'brakeFront', label: texts.frontBrake, of: BRAKES },
  { key: 'brakeRear', label: texts.rearBrake, of: ['disc', 'drum'] },
  { key: 'seat', label: texts.seat, of: ['flat', 'stepped'] },
];
const choose = (choice: Choice, text: string) => {
  const hit = choice.of.find((o) => String(o) === text);
  if (hit !== undefined) set(choice.key, hit as never);
};
const fit = (fitting: Fitting, on: boolean) =>
  set(
    'fitted',
    FITTINGS.filter((f) => (f === fitting ? on : bike.value.fitted.includes(f))),
  );
const name = computed(() => bike.value.name);
/** The rest is folded, but never over a fault. */
const opened = ref<string | undefined>(props.open ? 'more' : undefined);
watch(elsewhere, (list) => {
  if (list.length > 0) opened.value = 'more';
});
</script>

<template>
  <div class="bike-form">
    <LineField
      class="wide"
      :fault="faults['name']"
      :label="texts.name"
      :model-value="name"
      maxlength="120"
      @update:model-value="set('name', $event)"
    />
    <LineField
      :fault="faults['tyreFront']"
      :label="texts.frontTyre"
      figures
      :model-value="bike.tyreFront"
      placeholder="90/90-21"
      @update:model-value="set('tyreFront', $event.trim())"
    />
    <LineField
      :fault="faults['tyreRear']"
      :label="texts.rearTyre"
      figures
      :model-value="bike.tyreRear"
      placeholder="130/80-18"
      @update:model-value="set('tyreRear', $event.trim())"
    />
    <SelectField
      v-for="c in FIRST"
      :key="c.key"
      :label="c.label"
      :items="c.of.map((o) => ({ title: String(o), value: String(o) }))"
      :model-value="String(bike[c.key])"
      @update:model-value="choose(c, $event)"
    />
    <v-expansion-panels v-model="opened" class="wide">
      <v-expansion-panel value="more">
        <v-expansion-panel-title>{{ texts.moreAboutTheBikeUsual }}</v-expansion-panel-title>
        <v-expansion-panel-text>
          <div class="bike-form">
            <SelectField
              v-for="c in MORE"
              :key="c.key"
              :label="c.label"
              :items="c.of.map((o) => ({ title: String(o), value: String(o) }))"
              :model-value="String(bike[c.key])"
              @update:model-value="choose(c, $event)"
            />
            <NumberField
              :label="texts.tank"
              quantity="capacity"
              :min="2"
              :max="45"
              :model-value="bike.tank"
              @update:model-value="set('tank', $event)"
            />
            <NumberField
              :label="texts.wheelbase"
              quantity="length"
              :model-value="bike.wheelbase"
              @update:model-value="set('wheelbase', $event)"
            />
            <NumberField
              :label="texts.seatHeight"
              quantity="length"
              :model-value="bike.seatHeight"
              @update:model-value="set('seatHeight', $event)"
            />
            <NumberField
              :label="texts.readyToRide"
              quantity="weight"
              :model-value="bike.mass"
              @update:model-value="set('mass', $event)"
            />
            <NumberField
              :label="texts.makersPayload"
              quantity="weight"
              :model-value="bike.payload"
              @update:model-value="set('payload', $event)"
            />
            <fieldset class="wide">
              <legend>{{ texts.whatIsFitted }}</legend>
              <v-checkbox
                v-for="f in FITTINGS"
                :key="f"
                class="tick"
                :model-value="bike.fitted.includes(f)"
                @update:model-value="fit(f, $event === true)"
                :label="f"
              />
            </fieldset>
            <v-checkbox
              class="wide"
              :label="texts.canBePushStartedWith"
              density="compact"
              hide-details
              :model-value="bike.pushStarts"
              @update:model-value="set('pushStarts', $event === true)"
            />
          </div>
        </v-expansion-panel-text>
      </v-expansion-panel>
    </v-expansion-panels>
    <ul v-if="elsewhere.length > 0" class="wide gap" role="alert">
      <li v-for="[field, message] in elsewhere" :key="field">{{ field }}: {{ message }}</li>
    </ul>
  </div>
</template>

<style scoped>
.bike-form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 14px;
}
.wide {
  grid-column: 1 / -1;
}
fieldset {
  border: 0;
  border-top: 1px solid var(--hair);
  padding: 6px 0 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
}
legend {
  font-size: 13px;
  color: var(--soft);
  float: left;
  width: 100%;
}
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
