<script setup lang="ts">
/** A pocket card, to be cut out and folded. */
import { useGarage } from '../stores/garage';
import PaperPage from './PaperPage.vue';
import OwnTick from './parts/OwnTick.vue';
import CardPart from './parts/CardPart.vue';
import * as texts from '../words/print/cardPrint';

const garage = useGarage();
</script>

<template>
  <PaperPage :title="texts.pocketCard" :says="texts.cutAlongTheOuterLine" size="large" :ready="garage.bike !== null"
    ><template #ask><OwnTick /></template><CardPart
  /></PaperPage>
</template>
