<script setup lang="ts">
/** Finds, filters and sorts the rows, and opens what works on whole tables. */
import DropMenu from '../../ui/DropMenu.vue';
import { ONLY, SORTS, type Only, type Showing, type Sort } from './rows';

const showing = defineModel<Showing>({ required: true });
defineProps<{ shown: number; of: number; choosing: boolean }>();
const emit = defineEmits<{ choose: []; csvIn: []; csvOut: []; compare: []; copy: [] }>();
const set = (fields: Partial<Showing>) => (showing.value = { ...showing.value, ...fields });
const value = (event: Event) => (event.target as HTMLInputElement | HTMLSelectElement).value;
</script>

<template>
  <div class="tools" role="group" aria-label="Rows">
    <input
      class="field words"
      type="search"
      :value="showing.words"
      placeholder="find"
      aria-label="Find rows"
      @input="set({ words: value($event) })"
    />
    <select class="field" aria-label="Show" :value="showing.only" @change="set({ only: value($event) as Only })">
      <option v-for="o in ONLY" :key="o">{{ o }}</option>
    </select>
    <select class="field" aria-label="Sort" :value="showing.sort" @change="set({ sort: value($event) as Sort })">
      <option v-for="s in SORTS" :key="s">{{ s }}</option>
    </select>
    <button class="plain choose" :aria-pressed="choosing" @click="emit('choose')">Choose</button>
    <DropMenu label="Table" hint="Whole tables of fasteners" quiet>
      <button role="menuitem" @click="emit('csvIn')">Read a CSV file…</button>
      <button role="menuitem" @click="emit('csvOut')">Write a CSV file</button>
      <button role="menuitem" @click="emit('compare')">Compare two bikes…</button>
      <button role="menuitem" @click="emit('copy')">Copy this bike…</button>
    </DropMenu>
    <span v-if="shown < of" class="soft num of" role="status">{{ shown }}/{{ of }}</span>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--hair);
}
.field {
  min-height: 30px;
  padding: 2px 6px;
  width: auto;
  font-size: 13.5px;
}
.words {
  flex: 1 1 60px;
  min-width: 52px;
}
.of {
  white-space: nowrap;
  font-size: 13px;
}
.choose {
  font-weight: 500;
  padding: 3px 8px;
  border: 1px solid var(--line);
  min-height: 30px;
}
.choose[aria-pressed='true'] {
  background: var(--ink);
  color: var(--sheet);
}
@media (max-width: 760px) {
  .tools {
    flex-wrap: wrap;
  }
  .field,
  .choose {
    min-height: 44px;
  }
  .tools :deep(.word) {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
