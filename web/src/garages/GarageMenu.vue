<script setup lang="ts">
import { defineAsyncComponent, ref } from 'vue';
import { present, cardWritten, garageSchema, MOST_BYTES, roadCardSchema } from '@necessaire/core';
import { ApiError } from '../api/client';
import { useNotice } from '../shell/notice';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import DropMenu from '../ui/DropMenu.vue';
import { useOwnCard } from '../stores/ownCard';
import { faultsByField } from '../ui/useRules';
import { ownWordsOpen } from '../ui/line/ownWordsOpen';
import { currencyOpen } from './currencyOpen';
import { exportOpen } from './exporting';
import * as texts from '../words/garages/garageMenu';

const FileButton = defineAsyncComponent(() => import('../ui/FileButton.vue'));
const OwnWordsDialog = defineAsyncComponent(() => import('./OwnWordsDialog.vue'));
const CurrencyDialog = defineAsyncComponent(() => import('./CurrencyDialog.vue'));
const ExportDialog = defineAsyncComponent(() => import('./ExportDialog.vue'));
const GarageItems = defineAsyncComponent(() => import('./GarageItems.vue'));
const GarageDialogs = defineAsyncComponent(() => import('./GarageDialogs.vue'));
const garage = useGarage();
const view = useView();
const notice = useNotice();
const naming = ref<'new' | 'rename' | null>(null);
const name = ref('');
const refused = ref<string | null>(null);
const file = ref<{ pick: () => void }>();

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
    const fault = faultsByField(garageSchema.pick({ name: true }), { name: text })['name'];
    if (fault) {
      refused.value = fault;
      return;
    }
    if (naming.value === 'new') await garage.create(text);
    else await garage.rename(text);
    naming.value = null;
  });
const remove = () =>
  guard(async () => {
    const id = present(view.garageId);
    const was = garage.doc?.garage.name;
    await garage.removeGarage(id);
    notice.say(texts.deletedTheGarageMenuBrings(was));
  });
/** What its writer ticked to go along: it is of the device, so the server does not hand it back. */
function cardOf(text: string) {
  const read = roadCardSchema.safeParse((JSON.parse(text) as { card?: unknown }).card);
  return read.success && cardWritten(read.data) ? read.data : null;
}
const take = ([chosen]: File[]) =>
  guard(async () => {
    if (!chosen) return;
    if (chosen.size > MOST_BYTES) {
      refused.value = texts.isOverMbAndCannot(chosen.name, MOST_BYTES / 1024 / 1024);
      return;
    }
    const text = await chosen.text();
    await garage.importFile(text);
    const card = cardOf(text);
    const taken = card !== null && useOwnCard().take(card);
    notice.say(texts.isImportedAsAGarage(chosen.name, taken ? texts.andItsDetailsForAn : ''));
  });
</script>

<template>
  <DropMenu :label="garage.doc?.garage.name ?? texts.garage" :hint="texts.garagesAndSettings" quiet class="garages">
    <GarageItems
      @ask="ask"
      @remove="remove"
      @restore="(id) => guard(() => garage.restoreGarage(id))"
      @pick="file?.pick()"
    />
  </DropMenu>
  <CurrencyDialog v-if="currencyOpen" @close="currencyOpen = false" />
  <ExportDialog v-if="exportOpen" @close="exportOpen = false" />
  <OwnWordsDialog v-if="ownWordsOpen" @close="ownWordsOpen = false" />
  <FileButton ref="file" :label="texts.garageFile" accept=".json,application/json" @files="take"><span /></FileButton>
  <GarageDialogs
    v-if="naming !== null || refused !== null"
    v-model="name"
    :naming="naming"
    :refused="refused"
    @keep="keepName"
    @close="naming = null"
    @understood="refused = null"
  />
</template>
