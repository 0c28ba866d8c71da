<script setup lang="ts">
import { computed } from 'vue';
import { useGarage } from '../stores/garage';
const garage = useGarage();
const fields = computed(() => {
  const c = garage.conflict;
  if (!c) return [];
  const mine = (c.mine ?? {}) as Record<string, unknown>;
  const theirs = (c.theirs ?? {}) as Record<string, unknown>;
  const text = (v: unknown) => (v === undefined ? 'deleted' : typeof v === 'string' ? v : JSON.stringify(v));
  return [...new Set([...Object.keys(mine), ...Object.keys(theirs)])]
    .filter((k) => JSON.stringify(mine[k]) !== JSON.stringify(theirs[k]))
    .map((k) => ({ name: k, mine: text(mine[k]), theirs: text(theirs[k]) }));
});
</script>

<template>
  <v-dialog aria-label="Changed elsewhere meanwhile" :model-value="garage.conflict !== null" persistent max-width="560">
    <v-card v-if="garage.conflict" class="conflict" role="alertdialog">
      <h1>Changed elsewhere meanwhile</h1>
      <p>Another window wrote to the same place. Nothing is lost yet: choose which one to keep.</p>
      <table>
        <thead>
          <tr>
            <th>What</th>
            <th>Yours</th>
            <th>Theirs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in fields" :key="f.name">
            <td>{{ f.name }}</td>
            <td>{{ f.mine }}</td>
            <td>{{ f.theirs }}</td>
          </tr>
        </tbody>
      </table>
      <p class="acts">
        <button class="tool-button" @click="garage.resolve('mine')">Keep mine</button>
        <button class="tool-button" @click="garage.resolve('theirs')">Take theirs</button>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.conflict {
  padding: 18px 22px;
  display: grid;
  gap: 10px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  border-bottom: 1px solid var(--hair);
  padding: 4px 8px 4px 0;
  overflow-wrap: anywhere;
}
.acts {
  display: flex;
  gap: 12px;
}
</style>
