<script setup lang="ts">
/** A stage before it has anything to show: what it will show, the one thing to do now, and a picture of it filled. */
import { computed } from 'vue';
import type { RouteLocationRaw } from 'vue-router';
import { EMPTY, type EmptyStageName } from '../words/empty';
import CrewExample from './examples/CrewExample.vue';
import KitExample from './examples/KitExample.vue';
import MatchExample from './examples/MatchExample.vue';
import ProveExample from './examples/ProveExample.vue';
import * as texts from '../words/ui/emptyStage';

const props = defineProps<{ stage: EmptyStageName; act?: { label: string; to: RouteLocationRaw } | null }>();
const words = computed(() => EMPTY[props.stage]);
const PICTURES = { match: MatchExample, kit: KitExample, crew: CrewExample, prove: ProveExample } as const;
</script>

<template>
  <div class="empty-stage">
    <p class="shows">{{ words.shows }}</p>
    <p v-if="act" class="act">
      <v-btn :to="act.to">{{ act.label }}</v-btn>
    </p>
    <figure>
      <svg viewBox="0 0 600 220" role="img" :aria-label="words.picture">
        <component :is="PICTURES[stage]" />
      </svg>
      <figcaption>{{ texts.anExampleNotYours }}</figcaption>
    </figure>
  </div>
</template>

<style scoped>
.empty-stage {
  display: grid;
  gap: 14px;
  max-width: 680px;
  margin-top: 10px;
}
.shows {
  font-size: 17px;
  line-height: 1.45;
}
figure {
  margin: 6px 0 0;
  border: 1px dashed var(--line);
  padding: 12px;
}
svg {
  display: block;
  width: 100%;
  opacity: 0.72;
}
figcaption {
  color: var(--soft);
  font-size: 13px;
  padding-top: 6px;
}
svg :deep(text) {
  font-family: var(--v-font-heading);
  font-size: 15px;
  fill: var(--ink);
}
svg :deep(.soft) {
  fill: var(--soft);
}
</style>
