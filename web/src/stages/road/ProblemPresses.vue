<script setup lang="ts">
/** Problems that what was typed leads to, beside the symptoms. */
import { computed } from 'vue';
import { useProof } from '../../stores/proof';
import { matches } from '../../words/road';
import * as texts from '../../words/road/problemPresses';

const props = defineProps<{ typed: string; alone: boolean }>();
const emit = defineEmits<{ choose: [trouble: string] }>();
const MOST = 12;
const proof = useProof();
const problems = computed(() =>
  (proof.made?.troubles ?? [])
    .filter((t) => t.subject !== 'service' && matches(props.typed, `${t.name} ${t.ways.map((w) => w.name).join(' ')}`))
    .slice(0, MOST),
);
</script>

<template>
  <v-btn v-for="t in problems" :key="t.id" variant="tonal" class="symptom problem" @click="emit('choose', t.id)">{{
    t.name
  }}</v-btn>
  <p v-if="alone && proof.made && problems.length === 0" class="empty">
    {{ texts.nothingOfThatNameTry }}
  </p>
</template>

<style scoped>
.problem {
  border-style: dashed;
}
.empty {
  grid-column: 1 / -1;
}
</style>
