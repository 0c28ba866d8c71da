<script setup lang="ts">
/** Bikes to choose from, in the menu of the first line. */
import type { Bike } from '@necessaire/core';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import * as texts from '../words/shell/bikeItems';

const emit = defineEmits<{ edit: [bike: Bike | 'new'] }>();
const garage = useGarage();
const view = useView();
</script>

<template>
  <v-list-item v-for="b in garage.doc?.bikes" :key="b.id" role="menuitem" @click="view.bikeId = b.id">
    {{ b.name }}
  </v-list-item>
  <v-list-item v-if="garage.bike" role="menuitem" @click="emit('edit', garage.bike)">{{
    texts.changeThisBike
  }}</v-list-item>
  <v-list-item role="menuitem" @click="emit('edit', 'new')">{{ texts.addABike }}</v-list-item>
</template>
