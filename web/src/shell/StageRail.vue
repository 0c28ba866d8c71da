<script setup lang="ts">
import { useStages } from './stages';
import * as texts from '../words/shell/stageRail';
const stages = useStages();
</script>

<template>
  <nav class="stages" :aria-label="texts.stages">
    <router-link v-for="s in stages" :key="s.path" :to="s.path" class="stage-link" active-class="here">
      <svg viewBox="0 0 20 20" width="20" height="20" aria-hidden="true">
        <polygon points="10,1 17.8,5.5 17.8,14.5 10,19 2.2,14.5 2.2,5.5" :class="{ done: s.done }" />
      </svg>
      <span class="name">{{ s.name }}</span>
      <span class="live num">{{ s.live }}</span>
    </router-link>
  </nav>
</template>

<style scoped>
.stages {
  border-right: 1px solid var(--line);
  padding-top: 6px;
  overflow-y: auto;
}
.stage-link {
  display: grid;
  grid-template: auto auto / 28px 1fr;
  padding: 8px 6px 7px 10px;
  text-decoration: none;
  border-left: 4px solid transparent;
  align-items: center;
}
.stage-link.here {
  border-left-color: var(--ink);
  background: var(--sheet);
}
.name {
  font-family: var(--v-font-heading);
  font-weight: 600;
  font-size: 18px;
  line-height: 1.1;
  color: var(--soft);
}
.here .name {
  color: var(--ink);
}
.live {
  grid-column: 2;
  font-size: 12px;
  color: var(--soft);
  white-space: nowrap;
}
polygon {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.6;
}
polygon.done {
  fill: var(--proven);
  stroke: var(--proven);
}
@media (max-width: 760px) {
  .stages {
    display: flex;
    border-right: 0;
    border-top: 1px solid var(--line);
    padding: 0;
    overflow: hidden;
  }
  .stage-link {
    flex: 1 1 0;
    min-width: 0;
    grid-template: auto auto auto / 1fr;
    justify-items: center;
    border-left: 0;
    border-top: 3px solid transparent;
    padding: 3px 0;
  }
  .stage-link.here {
    border-top-color: var(--ink);
  }
  .name {
    font-size: 16px;
  }
  .live {
    grid-column: 1;
    font-size: 10.5px;
  }
  svg {
    width: 12px;
    height: 12px;
  }
}
</style>
