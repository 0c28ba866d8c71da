<script setup lang="ts">
/** Each repair as a sheet. */
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useProof } from '../stores/proof';
import PaperPage from './PaperPage.vue';
import RepairPart from './parts/RepairPart.vue';
import { repairSheets } from './repairSheets';
import * as texts from '../words/print/repairsPrint';

const proof = useProof();
const route = useRoute();
const one = computed(() => (typeof route.query['trouble'] === 'string' ? route.query['trouble'] : null));
const sheets = computed(() => (proof.made ? repairSheets(proof.made, one.value) : []));
</script>

<template>
  <PaperPage
    :title="texts.repairs(proof.made?.bike.name ?? '')"
    :says="texts.withThisKitOnThis"
    size="large"
    :ready="proof.made !== null"
  >
    <RepairPart v-for="r in sheets" :key="`${r.trouble.id} ${r.way.name}`" :of="r" />
    <p v-if="sheets.length === 0">{{ texts.thisKitHasNoMethod }}</p>
  </PaperPage>
</template>
