<script setup lang="ts">
/** A word that opens a short menu. Items are buttons or links with role="menuitem". */
import { nextTick, ref } from 'vue';

defineProps<{ label: string; hint: string; quiet?: boolean; name?: string }>();
const open = ref(false);
const list = ref<HTMLElement>();
const trigger = ref<HTMLButtonElement>();
const at = ref({ left: '0px', top: '0px' });
const EDGE = 8;

const items = () => [...(list.value?.querySelectorAll<HTMLElement>('[role=menuitem]') ?? [])];
/** Under the word, or above it where there is no room; never out of the window. */
function position() {
  const word = trigger.value?.getBoundingClientRect();
  const menu = list.value?.getBoundingClientRect();
  if (!word || !menu) return;
  const below = word.bottom + 4;
  const top = below + menu.height > innerHeight - EDGE ? Math.max(EDGE, word.top - menu.height - 4) : below;
  const left = Math.max(EDGE, Math.min(word.left, innerWidth - menu.width - EDGE));
  at.value = { left: `${left}px`, top: `${top}px` };
}
async function show() {
  open.value = !open.value;
  if (!open.value) return;
  await nextTick();
  position();
  items()[0]?.focus();
}
function close(refocus = true) {
  open.value = false;
  if (refocus) trigger.value?.focus();
}
function move(event: KeyboardEvent, by: number) {
  event.preventDefault();
  event.stopPropagation();
  const all = items();
  const now = all.indexOf(document.activeElement as HTMLElement);
  all[(now + by + all.length) % all.length]?.focus();
}
function leave(event: FocusEvent) {
  if (!list.value?.contains(event.relatedTarget as Node) && event.relatedTarget !== trigger.value) close(false);
}
</script>

<template>
  <span class="drop">
    <button
      ref="trigger"
      type="button"
      class="plain word"
      :class="{ quiet }"
      aria-haspopup="menu"
      :aria-expanded="open"
      :aria-label="name"
      :title="hint"
      @click="show"
    >
      {{ label }}
    </button>
    <span
      v-if="open"
      ref="list"
      class="list"
      role="menu"
      :aria-label="hint"
      :style="at"
      @keydown.down="move($event, 1)"
      @keydown.up="move($event, -1)"
      @keydown.esc.stop="close()"
      @click="close()"
      @focusout="leave"
    >
      <slot />
    </span>
  </span>
</template>

<style scoped>
.drop {
  display: inline-flex;
  vertical-align: baseline;
}
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
.list {
  position: fixed;
  z-index: 30;
  min-width: 220px;
  max-width: min(340px, 92vw);
  max-height: 70vh;
  overflow-y: auto;
  background: var(--sheet);
  border: 1px solid var(--ink);
  display: grid;
}
.list :deep([role='menuitem']) {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  padding: 9px 14px;
  min-height: 40px;
  font-family: var(--v-font-body);
  font-size: 15px;
  font-weight: 400;
  color: var(--ink);
  border-bottom: 1px solid var(--hair);
  white-space: normal;
  display: flex;
  align-items: center;
}
.list :deep([role='menuitem']:is(:hover, :focus)) {
  background: var(--picked);
}
.list :deep([role='menuitem']:focus-visible) {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
@media (max-width: 760px) {
  .word {
    min-height: 30px;
  }
  .list :deep([role='menuitem']) {
    min-height: 46px;
  }
}
</style>
