<script setup lang="ts">
/** On a phone a stage's picture and its sheet stand one under the other: each is one press away, under the thumb. */
import { useIntersectionObserver, useMutationObserver } from '@vueuse/core';
import { computed, onMounted, ref, shallowRef } from 'vue';
import * as texts from '../words/shell/partTabs';

const props = defineProps<{ of: HTMLElement | null }>();
/** The two parts of the stage that is open. */
const parts = shallowRef<{ picture: HTMLElement; sheet: HTMLElement } | null>(null);
const here = ref<'picture' | 'sheet'>('picture');
function find() {
  const [picture, sheet] = ['.stage > .picture', '.stage > .sheet'].map((s) => props.of?.querySelector<HTMLElement>(s));
  if (picture === parts.value?.picture && sheet === parts.value?.sheet) return;
  parts.value = picture && sheet ? { picture, sheet } : null;
  here.value = 'picture';
}
onMounted(find);
useMutationObserver(() => props.of, find, { childList: true, subtree: true });
useIntersectionObserver(
  computed(() => (parts.value ? [parts.value.picture, parts.value.sheet] : [])),
  (entries) => {
    for (const e of entries) if (e.isIntersecting) here.value = e.target === parts.value?.picture ? 'picture' : 'sheet';
  },
  // The part that lies under the middle of the screen is the one that is read.
  { rootMargin: '-50% 0px -49% 0px' },
);
const tabs = computed(() =>
  parts.value
    ? [
        { key: 'picture', name: texts.overview, to: parts.value.picture },
        { key: 'sheet', name: parts.value.sheet.ariaLabel ?? texts.details, to: parts.value.sheet },
      ]
    : [],
);
</script>

<template>
  <nav v-if="tabs.length > 0" class="part-tabs" :aria-label="texts.partsOfTheStage">
    <v-btn
      v-for="t in tabs"
      :key="t.key"
      variant="text"
      class="part-tab"
      :aria-current="t.key === here ? 'true' : undefined"
      @click="t.to.scrollIntoView({ block: 'start' })"
      >{{ t.name }}</v-btn
    >
  </nav>
</template>

<style scoped>
.part-tabs {
  display: grid;
  grid-template-columns: 1fr 1fr;
  background: var(--sheet);
  border-top: 1px solid var(--line);
}
.part-tab {
  min-height: 44px;
  display: grid;
  place-items: center;
  text-align: center;
  font-family: var(--v-font-heading);
  font-weight: 500;
  font-size: 15px;
  color: var(--soft);
}
.part-tab[aria-current] {
  color: var(--ink);
  font-weight: 600;
  box-shadow: inset 0 3px 0 var(--ink);
}
</style>
