<script setup lang="ts">
/** A button that asks for files. The same file can be chosen twice in a row: it may have been corrected meanwhile. */
import { ref } from 'vue';

defineProps<{ label: string; accept: string; multiple?: boolean; quiet?: boolean }>();
const emit = defineEmits<{ files: [files: File[]] }>();
const root = ref<HTMLElement>();
const pick = () => root.value?.querySelector('input')?.click();
function take(chosen: File | File[] | null | undefined) {
  const files = chosen ? [chosen].flat() : [];
  const input = root.value?.querySelector('input');
  if (input) input.value = '';
  if (files.length > 0) emit('files', files);
}
defineExpose({ pick });
</script>

<template>
  <span ref="root" class="file-button">
    <slot :pick="pick">
      <v-btn :variant="quiet ? 'tonal' : 'outlined'" @click="pick">{{ label }}</v-btn>
    </slot>
    <v-file-input
      class="unseen"
      :label="label"
      :accept="accept"
      :multiple="multiple ?? false"
      :model-value="[]"
      @update:model-value="take"
    />
  </span>
</template>

<style scoped>
.unseen {
  display: none;
}
.file-button {
  display: inline-flex;
}
</style>
