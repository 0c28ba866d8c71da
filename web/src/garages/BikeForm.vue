<script setup lang="ts">
import { DRIVES, ENGINES, TYRES, type Bike } from '@necessaire/core';
import NumberField from '../ui/NumberField.vue';

const bike = defineModel<Bike>({ required: true });
defineProps<{ faults: Record<string, string> }>();
const set = <K extends keyof Bike>(key: K, value: Bike[K]) => (bike.value = { ...bike.value, [key]: value });
</script>

<template>
  <div class="bike-form">
    <label class="wide">
      <span>What you call it</span>
      <input
        class="field"
        :value="bike.name"
        maxlength="120"
        :aria-invalid="!!faults['name']"
        @input="set('name', ($event.target as HTMLInputElement).value)"
      />
    </label>
    <label
      ><span>Front tyre</span
      ><input
        class="field num"
        :value="bike.tyreFront"
        placeholder="90/90-21"
        :aria-invalid="!!faults['tyreFront']"
        @change="set('tyreFront', ($event.target as HTMLInputElement).value.trim())"
    /></label>
    <label
      ><span>Rear tyre</span
      ><input
        class="field num"
        :value="bike.tyreRear"
        placeholder="130/80-18"
        :aria-invalid="!!faults['tyreRear']"
        @change="set('tyreRear', ($event.target as HTMLInputElement).value.trim())"
    /></label>
    <label
      ><span>Tyres are</span
      ><select
        class="field"
        :value="bike.tyres"
        @change="set('tyres', ($event.target as HTMLSelectElement).value as Bike['tyres'])"
      >
        <option v-for="t in TYRES" :key="t">{{ t }}</option>
      </select></label
    >
    <label
      ><span>Drive</span
      ><select
        class="field"
        :value="bike.drive"
        @change="set('drive', ($event.target as HTMLSelectElement).value as Bike['drive'])"
      >
        <option v-for="d in DRIVES" :key="d">{{ d }}</option>
      </select></label
    >
    <label
      ><span>Engine</span
      ><select
        class="field"
        :value="bike.engine"
        @change="set('engine', ($event.target as HTMLSelectElement).value as Bike['engine'])"
      >
        <option v-for="e in ENGINES" :key="e">{{ e }}</option>
      </select></label
    >
    <label
      ><span>Cooling</span
      ><select
        class="field"
        :value="bike.cooling"
        @change="set('cooling', ($event.target as HTMLSelectElement).value as Bike['cooling'])"
      >
        <option>air</option>
        <option>liquid</option>
      </select></label
    >
    <label
      ><span>Fuelling</span
      ><select
        class="field"
        :value="bike.fuelling"
        @change="set('fuelling', ($event.target as HTMLSelectElement).value as Bike['fuelling'])"
      >
        <option>carburettor</option>
        <option>injection</option>
      </select></label
    >
    <NumberField
      label="Wheelbase"
      quantity="length"
      :model-value="bike.wheelbase"
      @update:model-value="set('wheelbase', $event)"
    />
    <NumberField
      label="Seat height"
      quantity="length"
      :model-value="bike.seatHeight"
      @update:model-value="set('seatHeight', $event)"
    />
    <NumberField
      label="Ready to ride"
      quantity="weight"
      :model-value="bike.mass"
      @update:model-value="set('mass', $event)"
    />
    <NumberField
      label="Maker's payload"
      quantity="weight"
      :model-value="bike.payload"
      @update:model-value="set('payload', $event)"
    />
    <ul v-if="Object.keys(faults).length > 0" class="wide gap" role="alert">
      <li v-for="(message, field) in faults" :key="field">{{ field }}: {{ message }}</li>
    </ul>
  </div>
</template>

<style scoped>
.bike-form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
}
.wide {
  grid-column: 1 / -1;
}
label span {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
ul {
  margin: 0;
  padding-left: 18px;
}
</style>
