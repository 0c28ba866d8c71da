<script setup lang="ts">
/** Checks on one page. */
import { useGarage } from '../stores/garage';
import { useProof } from '../stores/proof';
import ChecksPart from './parts/ChecksPart.vue';
import './paper.css';

const garage = useGarage();
const proof = useProof();
const print = () => window.print();
</script>

<template>
  <div class="paper-wrap">
    <nav class="bar" aria-label="Print">
      <v-btn variant="tonal" to="/prove?tab=paper">Back</v-btn><v-btn @click="print">Print</v-btn>
    </nav>
    <main v-if="proof.told && garage.bike" class="paper middle">
      <header>
        <h1>
          {{ garage.bike.name }}: checks<template v-if="garage.trip">, {{ garage.trip.name }}</template>
        </h1>
        <p>In the order of the walk round the bike. The maker’s manual comes first.</p>
      </header>
      <ChecksPart />
    </main>
    <p v-else class="empty">Working out the kit …</p>
  </div>
</template>
