<script setup lang="ts">
/** Long work: what is worked on, how far it is, and a press that ends it. */
import { percent } from './words';
import * as texts from '../words/ui/workBar';

defineProps<{
  says: string;
  /** How far it is, 0 to 1; null where nobody can say. */
  share: number | null;
  /** Whether it cannot be ended by a press. */
  keeps?: boolean;
  /** In one line, where what is worked on is said beside it. */
  slim?: boolean;
}>();
const emit = defineEmits<{ stop: [] }>();
</script>

<template>
  <div class="work-bar" role="status">
    <span class="says" :class="{ 'hidden-label': slim }"
      >{{ says }} <span v-if="share !== null" class="num">{{ percent(share) }}</span></span
    >
    <v-progress-linear
      :model-value="share === null ? 0 : share * 100"
      :indeterminate="share === null"
      height="6"
      class="bar"
      :aria-label="says"
    />
    <v-btn v-if="!keeps" variant="plain" @click="emit('stop')">{{ texts.stop }}</v-btn>
  </div>
</template>

<style scoped>
.work-bar {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 2px 12px;
  padding: 6px 0;
}
.says {
  grid-column: 1 / -1;
  color: var(--soft);
}
.bar {
  min-width: 80px;
}
</style>
