<script setup lang="ts">
import { useClipboard } from '@vueuse/core';
/** Edits that could not be saved: what each was, why, and what can be done about it. Nothing leaves the tray by itself. */
import { ref } from 'vue';
import { present, typeEntry, type Body, type Change, type Fastener } from '@necessaire/core';
import { undone } from '../stages/walk/undone';
import { useGarage, type Refused } from '../stores/garage';
import { useView } from '../stores/view';
import { fieldWords, valueWords } from '../words/fields';
import { useNotice } from './notice';
import { useSaying } from './saying';
import { useRouter } from 'vue-router';
import * as texts from '../words/shell/trayDialog';

const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const router = useRouter();
const say = useSaying();
const MOST_LINES = 8;

const bodyOf = (c: Change): Body =>
  c.kind === 'set' ? Object.fromEntries(c.fields.map((f) => [f.field, f.now])) : c.row;
/** What an edit would write, a line each. */
function lines(r: Refused): string[] {
  return r.edit.changes.flatMap((c) => {
    const row = garage.doc && c.table !== 'garage' ? garage.doc[c.table].find((x) => x.id === c.id) : null;
    const name = row && 'name' in row ? row.name : '';
    if (c.kind === 'delete') return [`delete ${name || String(c.row['name'] ?? 'a row')}`];
    return Object.entries(bodyOf(c))
      .filter(([k, v]) => k !== 'id' && v !== null && v !== '' && !(Array.isArray(v) && v.length === 0))
      .map(([k, v]) => [name, `${fieldWords(k)}: ${valueWords(v, say.value, k)}`].filter(Boolean).join(', '));
  });
}
const asText = (r: Refused) => [r.edit.label, r.fault.message, ...lines(r)].join('\n');

/** The fastener that an edit would make or change, whole. */
function fastenerOf(r: Refused): Fastener | null {
  const [c] = r.edit.changes;
  if (r.edit.changes.length !== 1 || !c || c.table !== 'fasteners' || c.kind === 'delete') return null;
  const now = garage.doc?.fasteners.find((f) => f.id === c.id);
  const row = c.kind === 'make' ? c.row : now && { ...now, ...bodyOf(c) };
  return (row as Fastener | undefined) ?? null;
}
/** The line that says the fastener, to be corrected in Walk; what cannot be said in a line is copied instead. */
function lineOf(f: Fastener): string | null {
  try {
    return typeEntry(f, view.units);
  } catch {
    return null;
  }
}
const isHere = (r: Refused) => fastenerOf(r) !== null && lineOf(present(fastenerOf(r))) !== null;
async function change(r: Refused) {
  const f = fastenerOf(r);
  const text = f && lineOf(f);
  if (!f || !text || !view.garageId) return;
  const there = garage.doc?.fasteners.some((x) => x.id === f.id) ?? false;
  undone.value = { garageId: view.garageId, text, row: there ? { id: f.id, name: f.name } : null };
  await garage.discard(r.edit.id);
  emit('close');
  await router.push('/walk');
}

/** Whether what an edit hangs on is gone, so that it needs another bike. */
const isHomeless = (r: Refused) =>
  r.fault.code === 'dangling' && r.edit.changes.every((c) => c.kind === 'make' && 'bikeId' in c.row);
function place(r: Refused, bikeId: string) {
  void garage.retry(
    r.edit.id,
    r.edit.changes.map((c) => (c.kind === 'make' ? { ...c, row: { ...c.row, bikeId } } : c)),
  );
}
const copied = ref<string | null>(null);
const clipboard = useClipboard();
async function copy(r: Refused) {
  try {
    await clipboard.copy(asText(r));
    copied.value = r.edit.id;
  } catch {
    notice.say(texts.thisBrowserDoesNotLet);
  }
}
</script>

<template>
  <v-dialog
    :aria-label="texts.notSaved"
    :model-value="true"
    max-width="640"
    scrollable
    @update:model-value="emit('close')"
  >
    <v-card class="tray">
      <h1>{{ texts.notSaved }}</h1>
      <p>{{ texts.everythingElseIsSavedWhat }}</p>
      <section v-for="r in garage.tray" :key="r.edit.id" class="one" :aria-label="r.edit.label">
        <h2>{{ r.edit.label }}</h2>
        <p class="gap">{{ r.fault.message }}</p>
        <ul>
          <li v-for="(l, i) in lines(r).slice(0, MOST_LINES)" :key="i">{{ l }}</li>
          <li v-if="lines(r).length > MOST_LINES">{{ texts.andMore(lines(r).length - MOST_LINES) }}</li>
        </ul>
        <p class="acts">
          <v-btn v-if="isHere(r)" variant="outlined" size="small" @click="change(r)">{{ texts.change }}</v-btn>
          <v-menu v-if="isHomeless(r) && present(garage.doc).bikes.length > 0">
            <template #activator="{ props: menu }">
              <v-btn v-bind="menu" variant="outlined" size="small">{{ texts.putOnAnotherBike }}</v-btn>
            </template>
            <v-list>
              <v-list-item v-for="b in present(garage.doc).bikes" :key="b.id" :title="b.name" @click="place(r, b.id)" />
            </v-list>
          </v-menu>
          <v-btn variant="plain" @click="garage.retry(r.edit.id)">{{ texts.retry }}</v-btn>
          <v-btn variant="plain" @click="copy(r)">{{ copied === r.edit.id ? texts.copied : texts.copyAsText }}</v-btn>
          <v-btn variant="plain" @click="garage.discard(r.edit.id)">{{ texts.discard }}</v-btn>
        </p>
      </section>
      <p v-if="garage.tray.length === 0">{{ texts.nothingIsLeftHere }}</p>
      <p class="acts">
        <v-btn variant="outlined" @click="emit('close')">{{ texts.close }}</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.tray {
  padding: 18px 22px;
  display: grid;
  gap: 10px;
  overflow-y: auto;
}
.one {
  border-top: 1px solid var(--hair);
  padding-top: 8px;
  display: grid;
  gap: 4px;
}
h2 {
  font-size: 17px;
}
ul {
  padding-left: 18px;
  font-size: 14.5px;
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
</style>
