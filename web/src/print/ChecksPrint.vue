<script setup lang="ts">
/** Checks on one page. */
import { useGarage } from '../stores/garage';
import { useProof } from '../stores/proof';
import PaperPage from './PaperPage.vue';
import ChecksPart from './parts/ChecksPart.vue';
import * as texts from '../words/print/checksPrint';

const garage = useGarage();
const proof = useProof();
</script>

<template>
  <PaperPage
    :title="texts.checks(garage.bike?.name ?? '', garage.trip ? `, ${garage.trip.name}` : '')"
    :says="texts.inTheOrderOfThe"
    size="middle"
    :ready="proof.told !== null"
    ><ChecksPart
  /></PaperPage>
</template>
