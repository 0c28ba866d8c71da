<script setup lang="ts">
/** The side of Road: the day, and what is opened over the page. */
import { watch } from 'vue';
import { faultSearch } from '@necessaire/core';
import { useProof } from '../../stores/proof';
import DrillRun from '../prove/DrillRun.vue';
import EveningSheet from './EveningSheet.vue';
import LogDialog from './LogDialog.vue';
import { keepSymptomOrder } from './symptomOrder';

const writing = defineModel<boolean>('writing', { required: true });
const proof = useProof();
/** Not while the first presses are painted, ms. */
const NOTE_AFTER = 1000;
watch(
  () => proof.made,
  (c) =>
    c &&
    setTimeout(
      () => keepSymptomOrder((t) => faultSearch(c, t).search.causes.reduce((s, k) => s + k.weight, 0)),
      NOTE_AFTER,
    ),
  { immediate: true },
);
</script>

<template>
  <EveningSheet v-if="proof.told && proof.made" :told="proof.told" :of="proof.made" />
  <LogDialog v-if="writing && proof.told && proof.made" :told="proof.told" :of="proof.made" @close="writing = false" />
  <DrillRun v-if="proof.drill" />
</template>
