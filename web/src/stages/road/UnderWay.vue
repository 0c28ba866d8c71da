<script setup lang="ts">
/** A repair that was begun and not ended: back to it in one press. */
import { computed } from 'vue';
import { useProof } from '../../stores/proof';
import * as texts from '../../words/road/underWay';

const proof = useProof();
const open = computed(() => (proof.drill ? null : (proof.unfinished.find((d) => d.real) ?? null)));
</script>

<template>
  <p v-if="open" class="going">
    <span
      >{{ texts.aRepairIsUnderWay }} <strong>{{ open.way }}</strong>{{ texts.step(open.step + 1) }}</span
    >
    <v-btn @click="proof.takeUp(open)">{{ texts.goOn }}</v-btn>
  </p>
</template>

<style scoped>
.going {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  border: 1px solid var(--line);
  background: var(--sheet);
  padding: 8px 12px;
  margin-top: 10px;
  font-size: 16px;
}
</style>
