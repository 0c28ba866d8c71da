<script setup lang="ts">
/** Each repair as a sheet. */
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useProof } from '../stores/proof';
import RepairPart from './parts/RepairPart.vue';
import { repairSheets } from './repairSheets';
import './paper.css';

const proof = useProof();
const route = useRoute();
const one = computed(() => (typeof route.query['trouble'] === 'string' ? route.query['trouble'] : null));
const sheets = computed(() => (proof.made ? repairSheets(proof.made, one.value) : []));
const print = () => window.print();
</script>

<template>
  <div class="paper-wrap">
    <nav class="bar" aria-label="Print">
      <v-btn variant="tonal" to="/prove?tab=paper">Back</v-btn><v-btn @click="print">Print</v-btn>
    </nav>
    <main v-if="proof.made" class="paper large">
      <header>
        <h1>{{ proof.made.bike.name }}: repairs</h1>
        <p>With this kit, on this bike. Torque from the manual wins; * is not from the manual.</p>
      </header>
      <RepairPart v-for="r in sheets" :key="`${r.trouble.id} ${r.way.name}`" :of="r" />
      <p v-if="sheets.length === 0">This kit has no way for it.</p>
    </main>
    <p v-else class="empty">Working out the kit …</p>
  </div>
</template>
