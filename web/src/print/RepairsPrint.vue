<script setup lang="ts">
/** Each repair as a sheet. */
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useProof } from '../stores/proof';
import PaperPage from './PaperPage.vue';
import RepairPart from './parts/RepairPart.vue';
import { repairSheets } from './repairSheets';

const proof = useProof();
const route = useRoute();
const one = computed(() => (typeof route.query['trouble'] === 'string' ? route.query['trouble'] : null));
const sheets = computed(() => (proof.made ? repairSheets(proof.made, one.value) : []));
</script>

<template>
  <PaperPage
    :title="`${proof.made?.bike.name ?? ''}: repairs`"
    says="With this kit, on this bike. Torque from the manual wins; * is not from the manual."
    size="large"
    :ready="proof.made !== null"
  >
    <RepairPart v-for="r in sheets" :key="`${r.trouble.id} ${r.way.name}`" :of="r" />
    <p v-if="sheets.length === 0">This kit has no method for it.</p>
  </PaperPage>
</template>
