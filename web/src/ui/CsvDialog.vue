<script setup lang="ts" generic="T extends { id: string }">
/** A table read from a file: shown with each bad cell and why, and taken only as a whole when confirmed. */
import FileButton from './FileButton.vue';
import { computed, ref, shallowRef } from 'vue';
import { MOST_CSV_BYTES, withinRoom, type RoomyPreview, type Preview } from '@necessaire/core';
import { useGarage } from '../stores/garage';
import * as texts from '../words/ui/csvDialog';

const props = defineProps<{
  /** What the rows are: the table that they go into. */
  what: 'fasteners' | 'pieces' | 'rides';
  /** The first columns, as an example. */
  columns: readonly string[];
  reader: (text: string) => { ok: true; preview: Preview<T> } | { ok: false; message: string };
}>();
const emit = defineEmits<{ close: []; write: [rows: T[]] }>();
const garage = useGarage();
/** What the rows are on screen. */
const NAMES = { fasteners: 'fasteners', pieces: 'tools', rides: 'rides' } as const;
const preview = shallowRef<RoomyPreview<T> | null>(null);
const refused = ref('');
const pasted = ref('');
const MOST_SHOWN = 200;

function read(text: string) {
  refused.value = '';
  preview.value = null;
  const result = props.reader(text);
  if (result.ok) preview.value = withinRoom(result.preview, props.what, garage.doc?.[props.what].length ?? 0);
  else refused.value = result.message;
}
async function open([file]: File[]) {
  if (!file) return;
  if (file.size > MOST_CSV_BYTES) {
    preview.value = null;
    refused.value = texts.isOverMbSplitIt(file.name, MOST_CSV_BYTES / 1024 / 1024);
    return;
  }
  read(await file.text());
}
/** Lines with faults first come to the eye; without any, the first lines are shown. */
const lines = computed(() => {
  const all = preview.value?.lines ?? [];
  const bad = all.filter((l) => l.cells.some((c) => c.fault));
  return (bad.length > 0 ? bad : all).slice(0, MOST_SHOWN);
});
const titles = computed(() => {
  const named = preview.value?.columns ?? [];
  const more = lines.value.flatMap((l) => l.cells.map((c) => c.column)).filter((c) => !named.includes(c));
  return [...named, ...new Set(more)].filter((c) => c !== 'id');
});
const cell = (line: Preview<T>['lines'][number], column: string) => line.cells.find((c) => c.column === column);

function write() {
  const rows = preview.value?.rows ?? [];
  if (rows.length > 0) emit('write', rows);
}
</script>

<template>
  <v-dialog
    :aria-label="texts.importFromATable(NAMES[what])"
    :model-value="true"
    max-width="980"
    @update:model-value="emit('close')"
  >
    <v-card class="dialog">
      <h1>{{ texts.importFromATable2(NAMES[what]) }}</h1>
      <p class="soft">
        {{ texts.theFirstLineNamesThe }} <code>{{ columns.slice(0, 8).join(', ') }}</code> {{ texts.andSoOnAsA }}
      </p>
      <p class="from">
        <FileButton quiet :label="texts.chooseAFile" accept=".csv,.tsv,.txt,text/csv" @files="open" />
        <v-textarea
          v-model="pasted"
          class="paste num"
          rows="2"
          :aria-label="texts.orPasteTheTable"
          :placeholder="texts.orPasteItHere"
        />
        <v-btn variant="tonal" :disabled="pasted.trim() === ''" @click="read(pasted)">{{
          texts.readThePastedText
        }}</v-btn>
      </p>
      <p v-if="refused" class="gap" role="alert">{{ refused }}</p>
      <template v-if="preview">
        <p class="sum" role="status">
          <strong v-if="preview.overfull" class="gap">{{ preview.overfull }}.</strong>
          <template v-else-if="preview.faults > 0"
            ><strong class="gap"
              >{{ preview.faults }} {{ preview.faults === 1 ? texts.cellHasAnError : texts.cellsHaveErrors }}.</strong
            >
            {{ texts.correctTheFileAndRead }}</template
          >
          <template v-else
            ><strong class="good">{{ texts.newChanged(preview.added, preview.changed) }}</strong>
            {{ texts.noCellIsAtFault }}</template
          >
          <span v-if="preview.unread.length > 0" class="soft">
            {{ ' ' }}{{ texts.notRead(preview.unread.join(', ')) }}</span
          >
        </p>
        <div class="table" tabindex="0" role="region" :aria-label="texts.preview">
          <v-table>
            <thead>
              <tr>
                <th scope="col">{{ texts.line }}</th>
                <th v-for="c in titles" :key="c" scope="col">{{ c }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="l in lines" :key="l.number">
                <th scope="row" class="num">{{ l.number }}</th>
                <td v-for="c in titles" :key="c" :class="{ bad: cell(l, c)?.fault }">
                  {{ cell(l, c)?.text }}<small v-if="cell(l, c)?.fault" role="note">{{ cell(l, c)?.fault }}</small>
                </td>
              </tr>
            </tbody>
          </v-table>
        </div>
        <p v-if="preview.lines.length > lines.length" class="soft">
          {{ texts.ofLinesAreShown(lines.length, preview.lines.length) }}
        </p>
      </template>
      <p class="acts">
        <v-btn :disabled="!preview || preview.rows.length === 0" @click="write">
          {{ texts.writeRows(preview?.rows.length || '') }}
        </v-btn>
        <v-btn variant="tonal" @click="emit('close')">{{ texts.cancel }}</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.dialog {
  padding: 18px 22px;
}
.from {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin: 10px 0;
}
.paste {
  flex: 1 1 200px;
}
.table {
  max-height: 46vh;
  overflow: auto;
  border: 1px solid var(--line);
  margin-top: 8px;
}
.table :deep(table) {
  border-collapse: collapse;
  font-size: 13.5px;
  width: max-content;
  min-width: 100%;
}
th,
td {
  text-align: left;
  padding: 4px 8px;
  border-bottom: 1px solid var(--hair);
  white-space: nowrap;
  font-weight: 400;
  vertical-align: top;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--sheet);
  color: var(--soft);
}
.bad {
  box-shadow: inset 0 0 0 2px var(--gap);
}
.bad small {
  display: block;
  color: var(--gap);
  white-space: normal;
  max-width: 240px;
}
.acts {
  display: flex;
  gap: 12px;
  margin-top: 14px;
}
</style>
