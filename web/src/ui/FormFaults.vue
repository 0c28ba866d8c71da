<script setup lang="ts">
/** What a form could not store and no field of its own says, so that nothing is refused without a word. */
import { computed } from 'vue';
import * as texts from '../words/ui/formFaults';

const props = defineProps<{
  faults: Readonly<Record<string, string>>;
  /** Paths whose faults stand at their own fields. */
  shown: readonly string[];
}>();
const rest = computed(() => [
  ...new Set(Object.entries(props.faults).flatMap(([path, says]) => (props.shown.includes(path) ? [] : [says]))),
]);
</script>

<template>
  <p v-if="rest.length > 0" class="gap not-stored" role="alert">{{ texts.notSaved(rest.join(' ')) }}</p>
</template>

<style scoped>
.not-stored {
  padding: 6px 16px;
}
</style>
