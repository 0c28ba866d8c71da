<script setup lang="ts">
/** Garages and settings, in the menu of the garage. */
import { computed } from 'vue';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { ownWordsOpen } from '../ui/line/ownWordsOpen';
import { useMoney } from '../ui/useMoney';
import { currencyOpen } from './currencyOpen';
import { exportGarage } from './exporting';
import * as texts from '../words/garages/garageItems';

const emit = defineEmits<{ ask: [what: 'new' | 'rename']; remove: []; restore: [id: string]; pick: [] }>();
const garage = useGarage();
const { sign } = useMoney();
const view = useView();
const live = computed(() => garage.list.filter((g) => !g.deleted));
const deleted = computed(() => garage.list.filter((g) => g.deleted));
</script>

<template>
  <v-list-item v-for="g in live" :key="g.id" role="menuitem" @click="garage.open(g.id)">
    {{ g.garage.name }}<span v-if="g.id === view.garageId">{{ ' ' }}{{ texts.open }}</span>
  </v-list-item>
  <v-list-item role="menuitem" @click="emit('ask', 'new')">{{ texts.newEmptyGarage }}</v-list-item>
  <v-list-item role="menuitem" @click="emit('ask', 'rename')">{{ texts.renameThisGarage }}</v-list-item>
  <v-list-item role="menuitem" @click="emit('remove')">{{ texts.deleteThisGarage }}</v-list-item>
  <v-list-item v-for="g in deleted" :key="g.id" role="menuitem" @click="emit('restore', g.id)">
    {{ texts.bringBack(g.garage.name) }}
  </v-list-item>
  <v-list-item role="menuitem" @click="exportGarage">{{ texts.exportAsAFile }}</v-list-item>
  <v-list-item role="menuitem" @click="emit('pick')">{{ texts.importAFile }}</v-list-item>
  <v-list-item role="menuitem" to="/print">{{ texts.printTheList }}</v-list-item>
  <v-list-item role="menuitem" @click="view.theme = view.theme === 'dark' ? 'light' : 'dark'">
    {{ texts.theme(view.theme === 'dark' ? texts.light : texts.dark) }}
  </v-list-item>
  <v-list-item role="menuitem" @click="view.units = view.units === 'metric' ? 'inch' : 'metric'">
    {{ texts.units(view.units === 'metric' ? texts.inch : texts.metric) }}
  </v-list-item>
  <v-list-item role="menuitem" @click="currencyOpen = true">{{ texts.currency(sign) }}</v-list-item>
  <v-list-item role="menuitem" @click="ownWordsOpen = true">{{ texts.myWords }}</v-list-item>
</template>
