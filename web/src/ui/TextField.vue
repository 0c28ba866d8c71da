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
/** Another window changed this while it is being typed in: said below, and what is typed stays. */
const elsewhere = ref<string | null>(null);
const box = ref<HTMLInputElement>();
watch(
  () => props.value,
  (value, before) => {
    const typing = document.activeElement === box.value && text.value !== before;
    if (!typing || text.value === value) text.value = value;
    else elsewhere.value = value;
  },
);
function take() {
  elsewhere.value = null;
  emit('take', text.value);
}
</script>

<template>
  <label>
    <span>{{ label }}</span>
    <input
      ref="box"
      v-model="text"
      class="field"
      :class="{ num: figures }"
      :maxlength="most ?? 200"
      :placeholder="placeholder"
      :aria-invalid="!!fault"
      @change="take"
    />
    <small v-if="elsewhere !== null" role="status">in another window it is now “{{ elsewhere }}”</small>
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
