<script setup lang="ts">
/** What a kit is to save: hours, or the money that they cost. */
import type { KitQuestion } from '@necessaire/core';
import NumberField from '../../ui/NumberField.vue';
import * as texts from '../../words/kit/saveWhat';

defineProps<{ question: KitQuestion }>();
const emit = defineEmits<{ change: [fields: Partial<KitQuestion>] }>();
/** What a kit may save: the code that is stored, and its word. */
const WHAT = [
  { title: texts.hours, value: 'hours' as const },
  { title: texts.money, value: 'money' as const },
];
</script>

<template>
  <v-select
    :label="texts.save"
    :items="WHAT"
    density="compact"
    variant="outlined"
    hide-details
    :model-value="question.value"
    @update:model-value="emit('change', { value: $event })"
  />
  <template v-if="question.value === 'money'">
    <NumberField
      :label="texts.costOfAnHourLost"
      money
      :model-value="question.hourEuros"
      :min="0"
      :max="10000"
      @update:model-value="emit('change', { hourEuros: $event })"
    />
    <NumberField
      :label="texts.costOfRecovery"
      money
      :model-value="question.fetchEuros"
      :min="0"
      :max="100000"
      @update:model-value="emit('change', { fetchEuros: $event })"
    />
  </template>
</template>
