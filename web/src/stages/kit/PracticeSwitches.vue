<script setup lang="ts">
/** Schools of practice that decide which chains count. */
import { computed } from 'vue';
import { practiceSchema, type Practice } from '@necessaire/core';
import { useGarage } from '../../stores/garage';

const garage = useGarage();
const practice = computed(() => garage.doc!.garage.practice);
const QUESTIONS: { key: keyof Practice; ask: string }[] = [
  { key: 'adjustable', ask: 'Adjustable spanner turns' },
  { key: 'ratchet', ask: 'Breaking loose with a ratchet' },
  { key: 'standing', ask: 'Standing on a tool' },
  { key: 'least', ask: 'Tools made least in' },
];
const options = (key: keyof Practice): readonly string[] => practiceSchema.shape[key].options;
function set(key: keyof Practice, value: string) {
  const next = practiceSchema.parse({ ...practice.value, [key]: value });
  garage.edit('change a practice', [], { ...garage.doc!.garage, practice: next });
}
</script>

<template>
  <section class="practice">
    <h2>Your practice</h2>
    <div class="questions">
      <label v-for="q in QUESTIONS" :key="q.key"
        ><span>{{ q.ask }}</span>
        <select class="field" :value="practice[q.key]" @change="set(q.key, ($event.target as HTMLSelectElement).value)">
          <option v-for="o in options(q.key)" :key="o">{{ o }}</option>
        </select></label
      >
    </div>
    <p class="caution">Never stand on a bar with the bike on a prop; break axles loose before lifting.</p>
  </section>
</template>

<style scoped>
.practice {
  margin-top: 18px;
  display: grid;
  gap: 8px;
}
.questions {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px 14px;
}
span {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
</style>
