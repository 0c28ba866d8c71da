<script setup lang="ts">
/** Finds, filters and sorts the rows, and opens what works on whole tables. */
import LineField from '../../ui/LineField.vue';
import SelectField from '../../ui/SelectField.vue';
import DropMenu from '../../ui/DropMenu.vue';
import { ONLY, SORTS, type Only, type Showing, type Sort } from './rows';
import * as texts from '../../words/walk/sheetTools';
import { ONLY_WORDS, SORT_WORDS } from '../../words/walk';

const showing = defineModel<Showing>({ required: true });
defineProps<{ shown: number; of: number; choosing: boolean }>();
const emit = defineEmits<{ choose: []; list: []; csvIn: []; csvOut: []; compare: []; copy: [] }>();
const set = (fields: Partial<Showing>) => (showing.value = { ...showing.value, ...fields });
</script>

<template>
  <div class="tools" role="group" :aria-label="texts.rows">
    <LineField
      hide-label
      :label="texts.findRows"
      class="words"
      kind="search"
      :placeholder="texts.find"
      :model-value="showing.words"
      @update:model-value="set({ words: $event })"
    />
    <SelectField
      hide-label
      :label="texts.show"
      :items="ONLY.map((o) => ({ title: ONLY_WORDS[o], value: o }))"
      :model-value="showing.only"
      @update:model-value="set({ only: $event as Only })"
    />
    <SelectField
      hide-label
      :label="texts.sort"
      :items="SORTS.map((s) => ({ title: SORT_WORDS[s], value: s }))"
      :model-value="showing.sort"
      @update:model-value="set({ sort: $event as Sort })"
    />
    <v-btn variant="text" class="choose" :aria-pressed="choosing" @click="emit('choose')">{{ texts.choose }}</v-btn>
    <DropMenu :label="texts.table" :hint="texts.wholeTablesOfFasteners" quiet>
      <v-list-item role="menuitem" @click="emit('list')">{{ texts.pasteAList }}</v-list-item>
      <v-list-item role="menuitem" @click="emit('csvIn')">{{ texts.importCsv }}</v-list-item>
      <v-list-item role="menuitem" @click="emit('csvOut')">{{ texts.exportCsv }}</v-list-item>
      <v-list-item role="menuitem" @click="emit('compare')">{{ texts.compareTwoBikes }}</v-list-item>
      <v-list-item role="menuitem" @click="emit('copy')">{{ texts.copyThisBike }}</v-list-item>
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
@media (max-width: 900px) {
  .tools {
    flex-wrap: wrap;
  }
  .words {
    flex-basis: 100%;
  }
}
@media (max-width: 760px) {
  .words {
    flex-basis: 60px;
  }
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
