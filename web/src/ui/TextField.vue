<script setup lang="ts">
/** A text that is taken when the field is left. What is being typed stays, whatever else on the screen changes meanwhile. */
import { ref, watch } from 'vue';

const props = defineProps<{
  label: string;
  value: string;
  fault?: string;
  placeholder?: string;
  most?: number;
  figures?: boolean;
}>();
const emit = defineEmits<{ take: [text: string] }>();
const text = ref(props.value);
watch(
  () => props.value,
  (value) => (text.value = value),
);
</script>

<template>
  <label>
    <span>{{ label }}</span>
    <input
      v-model="text"
      class="field"
      :class="{ num: figures }"
      :maxlength="most ?? 200"
      :placeholder="placeholder"
      :aria-invalid="!!fault"
      @change="emit('take', text)"
    />
    <small v-if="fault" class="gap" role="alert">{{ fault }}</small>
  </label>
</template>

<style scoped>
span {
  display: block;
  font-size: 13px;
  color: var(--soft);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
small {
  font-size: 13px;
}
</style>
