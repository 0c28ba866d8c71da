<script setup lang="ts">
/** A word in a sentence that opens a short menu. Items are buttons or links with role="menuitem". */
import { nextTick, ref } from 'vue';
defineProps<{ label: string; hint: string; quiet?: boolean }>();
const open = ref(false);
const list = ref<HTMLElement>();
const trigger = ref<HTMLButtonElement>();

const items = () => [...(list.value?.querySelectorAll<HTMLElement>('[role=menuitem]') ?? [])];
async function show() {
  open.value = !open.value;
  await nextTick();
  items()[0]?.focus();
}
function close(refocus = true) {
  open.value = false;
  if (refocus) trigger.value?.focus();
}
function move(event: KeyboardEvent, by: number) {
  event.preventDefault();
  const all = items();
  const at = all.indexOf(document.activeElement as HTMLElement);
  all[(at + by + all.length) % all.length]?.focus();
}
function leave(event: FocusEvent) {
  if (!list.value?.contains(event.relatedTarget as Node) && event.relatedTarget !== trigger.value) close(false);
}
</script>

<template>
  <span class="drop">
    <button
      ref="trigger"
      class="plain word"
      :class="{ quiet }"
      aria-haspopup="menu"
      :aria-expanded="open"
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
  margin-top: 30px;
  min-width: 220px;
  max-width: min(340px, 92vw);
  max-height: 60vh;
  overflow-y: auto;
  background: var(--sheet);
  border: 1px solid var(--ink);
  display: grid;
}
.drop {
  display: inline-flex;
  vertical-align: baseline;
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
</style>
