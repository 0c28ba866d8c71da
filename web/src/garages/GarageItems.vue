<script setup lang="ts">
/** Garages and settings, in the menu of the garage. */
import { computed } from 'vue';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { ownWordsOpen } from '../ui/line/ownWordsOpen';
import { useMoney } from '../ui/useMoney';
import { currencyOpen } from './currencyOpen';
import { exportGarage } from './exporting';

const emit = defineEmits<{ ask: [what: 'new' | 'rename']; remove: []; restore: [id: string]; pick: [] }>();
const garage = useGarage();
const { sign } = useMoney();
const view = useView();
const live = computed(() => garage.list.filter((g) => !g.deleted));
const deleted = computed(() => garage.list.filter((g) => g.deleted));
</script>

<template>
  <v-list-item v-for="g in live" :key="g.id" role="menuitem" @click="garage.open(g.id)">
    {{ g.garage.name }}<span v-if="g.id === view.garageId">&nbsp;(open)</span>
  </v-list-item>
  <v-list-item role="menuitem" @click="emit('ask', 'new')">New empty garage …</v-list-item>
  <v-list-item role="menuitem" @click="emit('ask', 'rename')">Rename this garage …</v-list-item>
  <v-list-item role="menuitem" @click="emit('remove')">Delete this garage</v-list-item>
  <v-list-item v-for="g in deleted" :key="g.id" role="menuitem" @click="emit('restore', g.id)">
    Bring back {{ g.garage.name }}
  </v-list-item>
  <v-list-item role="menuitem" @click="exportGarage">Export as a file</v-list-item>
  <v-list-item role="menuitem" @click="emit('pick')">Import a file …</v-list-item>
  <v-list-item role="menuitem" to="/print">Print the list</v-list-item>
  <v-list-item role="menuitem" @click="view.theme = view.theme === 'dark' ? 'light' : 'dark'">
    {{ view.theme === 'dark' ? 'Light' : 'Dark' }} theme
  </v-list-item>
  <v-list-item role="menuitem" @click="view.units = view.units === 'metric' ? 'inch' : 'metric'">
    {{ view.units === 'metric' ? 'Inch' : 'Metric' }} units
  </v-list-item>
  <v-list-item role="menuitem" @click="currencyOpen = true">Currency: {{ sign }} …</v-list-item>
  <v-list-item role="menuitem" @click="ownWordsOpen = true">My words …</v-list-item>
</template>
