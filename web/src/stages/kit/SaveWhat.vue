<script setup lang="ts">
/** What a kit is to save: hours, or the money that they cost. */
import type { KitQuestion } from '@necessaire/core';
import NumberField from '../../ui/NumberField.vue';

defineProps<{ question: KitQuestion }>();
const emit = defineEmits<{ change: [fields: Partial<KitQuestion>] }>();
</script>

<template>
  <label
    ><span>Save</span
    ><select
      class="field"
      :value="question.value"
      @change="emit('change', { value: ($event.target as HTMLSelectElement).value as KitQuestion['value'] })"
    >
      <option value="hours">hours</option>
      <option value="money">money</option>
    </select></label
  >
  <template v-if="question.value === 'money'">
    <NumberField
      label="An hour lost costs €"
      :model-value="question.hourEuros"
      :min="0"
      :max="10000"
      @update:model-value="emit('change', { hourEuros: $event })"
    />
    <NumberField
      label="Being fetched costs €"
      :model-value="question.fetchEuros"
      :min="0"
      :max="100000"
      @update:model-value="emit('change', { fetchEuros: $event })"
    />
  </template>
</template>

<style scoped>
span {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
</style>
