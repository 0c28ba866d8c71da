<script setup lang="ts">
/** Stands where an answer will stand that is still worked out: says so, and keeps its room, so that nothing jumps when it comes. */
import * as texts from '../words/ui/waitingPart';

withDefaults(defineProps<{ of: 'picture' | 'bars' | 'rows'; says?: string }>(), { says: texts.workingItOut });
const SHAPES = { picture: 'image', bars: 'text@9', rows: 'list-item-two-line@7' } as const;
</script>

<template>
  <div class="waiting" :class="`as-${of}`">
    <p v-if="says" class="soft" role="status">{{ says }}</p>
    <v-skeleton-loader :type="SHAPES[of]" boilerplate aria-hidden="true" />
  </div>
</template>

<style scoped>
.waiting {
  padding: 12px 0;
}
.as-rows {
  padding: 12px 18px;
}
.waiting :deep(.v-skeleton-loader) {
  background: none;
}
.as-bars :deep(.v-skeleton-loader__text) {
  height: 20px;
  margin: 9px 0;
}
.as-picture :deep(.v-skeleton-loader__image) {
  height: min(46vh, 400px);
  opacity: 0.5;
  border-radius: 2px;
}
</style>
