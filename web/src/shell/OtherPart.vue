<script setup lang="ts">
/**
 * On a phone a stage's picture and its sheet stand one under the other: whichever is out of sight is one press away, under the thumb.
 */
import { mdiArrowDown, mdiArrowUp } from '@mdi/js';
import { useIntersectionObserver, useMutationObserver } from '@vueuse/core';
import { computed, onMounted, ref, shallowRef } from 'vue';
import * as texts from '../words/shell/otherPart';

const props = defineProps<{ of: HTMLElement | null }>();
/** The two parts of the stage that is open. */
const parts = shallowRef<{ picture: HTMLElement; sheet: HTMLElement } | null>(null);
const seen = ref({ picture: true, sheet: true });
function find() {
  const [picture, sheet] = ['.stage > .picture', '.stage > .sheet'].map((s) => props.of?.querySelector<HTMLElement>(s));
  if (picture === parts.value?.picture && sheet === parts.value?.sheet) return;
  parts.value = picture && sheet ? { picture, sheet } : null;
  seen.value = { picture: true, sheet: true };
}
onMounted(find);
useMutationObserver(() => props.of, find, { childList: true, subtree: true });
useIntersectionObserver(
  computed(() => (parts.value ? [parts.value.picture, parts.value.sheet] : [])),
  (entries) => {
    for (const e of entries)
      seen.value = { ...seen.value, [e.target === parts.value?.picture ? 'picture' : 'sheet']: e.isIntersecting };
  },
);
const other = computed(() => {
  if (!parts.value) return null;
  if (!seen.value.sheet)
    return { to: parts.value.sheet, name: parts.value.sheet.ariaLabel ?? texts.below, icon: mdiArrowDown };
  if (!seen.value.picture) return { to: parts.value.picture, name: texts.picture, icon: mdiArrowUp };
  return null;
});
</script>

<template>
  <v-btn v-if="other" class="other-part" variant="outlined" @click="other.to.scrollIntoView({ block: 'start' })"
    ><v-icon :icon="other.icon" size="20" /> {{ other.name }}</v-btn
  >
</template>

<style scoped>
.other-part {
  display: none;
}
@media (max-width: 760px) {
  .other-part {
    display: inline-flex;
    position: absolute;
    right: 12px;
    bottom: 10px;
    z-index: 3;
    min-height: 44px;
    background: var(--sheet);
  }
}
</style>
