<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { MOST_BYTES } from '@necessaire/core';
import { api, ApiError } from '../api/client';
import { useNotice } from '../shell/notice';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import DropMenu from '../ui/DropMenu.vue';
import { ownWordsOpen } from '../ui/line/useOwnWords';

const FileButton = defineAsyncComponent(() => import('../ui/FileButton.vue'));
const OwnWordsDialog = defineAsyncComponent(() => import('./OwnWordsDialog.vue'));
const LineField = defineAsyncComponent(() => import('../ui/LineField.vue'));
const garage = useGarage();
const view = useView();
const notice = useNotice();
const naming = ref<'new' | 'rename' | null>(null);
const name = ref('');
const refused = ref<string | null>(null);
const file = ref<{ pick: () => void }>();

const live = computed(() => garage.list.filter((g) => !g.deleted));
const deleted = computed(() => garage.list.filter((g) => g.deleted));

async function guard(action: () => Promise<void>) {
  refused.value = null;
  try {
    await action();
  } catch (error) {
    refused.value =
      error instanceof ApiError ? `${error.path ? `${error.path}: ` : ''}${error.message}` : String(error);
  }
}
function ask(what: 'new' | 'rename') {
  naming.value = what;
  name.value = what === 'rename' ? (garage.doc?.garage.name ?? '') : '';
}
const keepName = () =>
  guard(async () => {
    const text = name.value.trim();
    if (!text) {
      refused.value = 'give it a name';
      return;
    }
    if (naming.value === 'new') await garage.create(text);
    else await garage.rename(text);
    naming.value = null;
  });
const remove = () =>
  guard(async () => {
    const id = view.garageId!;
    const was = garage.doc?.garage.name;
    await garage.removeGarage(id);
    notice.say(`${was} deleted. The garage menu brings it back.`);
  });
const take = ([chosen]: File[]) =>
  guard(async () => {
    if (!chosen) return;
    if (chosen.size > MOST_BYTES) {
      refused.value = `${chosen.name} is over ${MOST_BYTES / 1024 / 1024} MB and cannot be a garage file`;
      return;
    }
    await garage.importFile(await chosen.text());
    notice.say(`${chosen.name} is imported as a garage of its own`);
  });
</script>

<template>
  <DropMenu :label="garage.doc?.garage.name ?? 'Garage'" hint="Garages and settings" quiet class="garages">
    <v-list-item v-for="g in live" :key="g.id" role="menuitem" @click="garage.open(g.id)">
      {{ g.garage.name }}<span v-if="g.id === view.garageId">&nbsp;(open)</span>
    </v-list-item>
    <v-list-item role="menuitem" @click="ask('new')">New empty garage …</v-list-item>
    <v-list-item role="menuitem" @click="ask('rename')">Rename this garage …</v-list-item>
    <v-list-item role="menuitem" @click="remove">Delete this garage</v-list-item>
    <v-list-item v-for="g in deleted" :key="g.id" role="menuitem" @click="guard(() => garage.restoreGarage(g.id))">
      Bring back {{ g.garage.name }}
    </v-list-item>
    <v-list-item role="menuitem" :href="api.fileUrl(view.garageId ?? '')" download>Export as a file</v-list-item>
    <v-list-item role="menuitem" @click="file?.pick()">Import a file …</v-list-item>
    <v-list-item role="menuitem" to="/print">Print the list</v-list-item>
    <v-list-item role="menuitem" @click="view.theme = view.theme === 'dark' ? 'light' : 'dark'">
      {{ view.theme === 'dark' ? 'Light' : 'Dark' }} theme
    </v-list-item>
    <v-list-item role="menuitem" @click="view.units = view.units === 'metric' ? 'inch' : 'metric'">
      {{ view.units === 'metric' ? 'Inch' : 'Metric' }} units
    </v-list-item>
    <v-list-item role="menuitem" @click="ownWordsOpen = true">My words …</v-list-item>
  </DropMenu>
  <OwnWordsDialog v-if="ownWordsOpen" @close="ownWordsOpen = false" />
  <FileButton ref="file" label="Garage file" accept=".json,application/json" @files="take"><span /></FileButton>
  <v-dialog
    :aria-label="naming === 'new' ? 'New garage' : 'Rename the garage'"
    :model-value="naming !== null"
    max-width="420"
    @update:model-value="naming = null"
  >
    <v-card class="ask">
      <form @submit.prevent="keepName">
        <h1>{{ naming === 'new' ? 'New garage' : 'Rename the garage' }}</h1>
        <LineField label="Name" v-model="name" maxlength="120" autofocus />
        <p v-if="refused" class="gap" role="alert">{{ refused }}</p>
        <p class="acts">
          <v-btn type="submit">{{ naming === 'new' ? 'Create' : 'Rename' }}</v-btn>
        </p>
      </form>
    </v-card>
  </v-dialog>
  <v-dialog
    aria-label="Not done"
    :model-value="refused !== null && naming === null"
    max-width="480"
    @update:model-value="refused = null"
  >
    <v-card class="ask" role="alertdialog">
      <h1>That did not work. Nothing was changed.</h1>
      <p class="gap">{{ refused }}</p>
      <p class="acts"><v-btn @click="refused = null">Close</v-btn></p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.ask {
  padding: 18px 22px;
}
.acts {
  margin-top: 14px;
}
</style>
