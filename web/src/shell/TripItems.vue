<script setup lang="ts">
/** Trips to choose from, in the menu of the first line. */
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import * as texts from '../words/shell/tripItems';

const garage = useGarage();
const view = useView();
</script>

<template>
  <v-list-item v-for="t in garage.doc?.trips" :key="t.id" role="menuitem" @click="view.tripId = t.id">
    {{ t.name }}
  </v-list-item>
  <v-list-item role="menuitem" to="/trip">{{ texts.changeTheTrip }}</v-list-item>
</template>
