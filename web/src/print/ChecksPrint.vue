<script setup lang="ts">
/** Checks on one page. */
import { useGarage } from '../stores/garage';
import { useProof } from '../stores/proof';
import PaperPage from './PaperPage.vue';
import ChecksPart from './parts/ChecksPart.vue';

const garage = useGarage();
const proof = useProof();
</script>

<template>
  <PaperPage
    :title="`${garage.bike?.name ?? ''}: checks${garage.trip ? `, ${garage.trip.name}` : ''}`"
    says="In the order of the walk round the bike. The maker’s manual comes first."
    size="middle"
    :ready="proof.told !== null"
    ><ChecksPart
  /></PaperPage>
</template>
