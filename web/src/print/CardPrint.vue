<script setup lang="ts">
/** A pocket card, to be cut out and folded. */
import { useGarage } from '../stores/garage';
import PaperPage from './PaperPage.vue';
import OwnTick from './parts/OwnTick.vue';
import CardPart from './parts/CardPart.vue';

const garage = useGarage();
</script>

<template>
  <PaperPage
    title="Pocket card"
    says="Cut along the outer line and fold it. Write the emergency lines by hand."
    size="large"
    :ready="garage.bike !== null"
    ><template #ask><OwnTick /></template><CardPart
  /></PaperPage>
</template>
