<script setup lang="ts">
/** One line of text under its label: every field of the product looks and reads like this one. */
import { useId } from 'vue';

defineOptions({ inheritAttrs: false });
defineProps<{
  label: string;
  hideLabel?: boolean;
  fault?: string | null;
  figures?: boolean;
  said?: string | null;
  kind?: 'text' | 'search' | 'date' | 'number';
}>();
const text = defineModel<string>({ default: '' });
const id = useId();
</script>

<template>
  <div class="line-field" :class="$attrs['class']">
    <label :for="id" :class="{ 'hidden-label': hideLabel }">{{ label }}</label>
    <v-text-field
      :id="id"
      v-model="text"
      :type="kind ?? 'text'"
      :class="{ num: figures }"
      v-bind="{ ...$attrs, class: undefined }"
      :error="!!fault"
      :aria-invalid="!!fault"
    />
    <small v-if="said" role="status">{{ said }}</small>
    <small v-if="fault" class="gap" role="alert">{{ fault }}</small>
  </div>
</template>
