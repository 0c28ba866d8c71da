<script setup lang="ts">
/** A word that opens a short menu of list items. The menu itself is loaded when it is first wanted. */
import { useMutationObserver } from '@vueuse/core';
import { computed, defineAsyncComponent, ref } from 'vue';

defineOptions({ inheritAttrs: false });
defineProps<{ label: string; hint: string; quiet?: boolean; name?: string }>();
/** Whoever looked at an item of the menu looks at none any more. */
const emit = defineEmits<{ left: [] }>();
const load = () => import('./OpenMenu.vue');
const near = () => void load().catch(() => undefined);
const OpenMenu = defineAsyncComponent(load);
const button = ref<{ $el: HTMLElement }>();
const activator = computed(() => button.value?.$el ?? null);
const asked = ref(false);
const open = ref(false);
function press() {
  asked.value = true;
  open.value = !open.value;
}
const there = ref(false);
/** Whether an arrow was pressed before the menu was there: fast fingers lose nothing. */
let ahead = false;
/** Once it is there the menu hears the arrows itself. */
function arrow() {
  if (there.value) return;
  if (!asked.value) press();
  ahead = true;
}
function shown(list: HTMLElement) {
  there.value = true;
  if (!ahead) return;
  ahead = false;
  const first = () => list.querySelector<HTMLElement>('.v-list-item');
  // As the menu itself does at an arrow. Its items may be loaded after it.
  requestAnimationFrame(() => {
    if (first()) first()?.focus();
    else {
      const come = useMutationObserver(
        list,
        () => {
          if (!first()) return;
          come.stop();
          first()?.focus();
        },
        { childList: true, subtree: true },
      );
    }
  });
}
</script>

<template>
  <v-btn
    v-bind="$attrs"
    ref="button"
    variant="text"
    class="word"
    :class="{ quiet }"
    :aria-label="name"
    :title="hint"
    aria-haspopup="menu"
    :aria-expanded="open"
    @click="press"
    @keydown.down="arrow"
    @focus="near"
  >
    {{ label }}
  </v-btn>
  <OpenMenu
    v-if="asked && activator"
    v-model="open"
    :hint="hint"
    :activator="activator"
    @left="emit('left')"
    @shown="shown"
    ><slot
  /></OpenMenu>
</template>

<style scoped>
.word {
  color: var(--ink);
  font-weight: 600;
  border-bottom: 2px solid var(--line);
  line-height: 1.2;
}
.word.quiet {
  font-weight: 500;
  font-size: 14px;
}
@media (max-width: 760px) {
  .word {
    min-height: 30px;
  }
}
</style>
