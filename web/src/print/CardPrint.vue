<script setup lang="ts">
/** A pocket card, to be cut out and folded twice. */
import { useGarage } from '../stores/garage';
import CardPart from './parts/CardPart.vue';
import './paper.css';

const garage = useGarage();
const print = () => window.print();
</script>

<template>
  <div class="paper-wrap">
    <nav class="bar" aria-label="Print">
      <v-btn variant="tonal" to="/prove?tab=paper">Back</v-btn><v-btn @click="print">Print</v-btn>
    </nav>
    <main v-if="garage.bike" class="paper large">
      <header>
        <h1>Pocket card</h1>
        <p>Cut along the outer line and fold twice. Write the emergency lines by hand.</p>
      </header>
      <CardPart />
    </main>
    <p v-else class="empty">No bike is open.</p>
  </div>
</template>
