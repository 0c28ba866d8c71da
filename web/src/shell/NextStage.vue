<script setup lang="ts">
/** Where to go on: the first stage after this one in which nothing was done yet. Nothing while this one is empty, or when all have begun. */
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { PAGES } from '../words/pages';
import { useStages } from './stages';
import * as texts from '../words/shell/nextStage';

const stages = useStages();
const route = useRoute();
const next = computed(() => {
  const at = stages.value.findIndex((s) => s.path === route.path);
  return stages.value[at]?.begun ? stages.value.slice(at + 1).find((s) => !s.begun) : undefined;
});
</script>

<template>
  <p v-if="next" class="next">
    <v-btn variant="tonal" :to="next.path">{{ texts.next(next.name, PAGES.stages[next.path]) }}</v-btn>
  </p>
</template>

<style scoped>
.next {
  margin-left: auto;
}
</style>
