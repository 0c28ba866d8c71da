<script setup lang="ts">
/** The keys that work on the present stage. */
import { present } from '@necessaire/core';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useView } from '../stores/view';
import { KEYS } from '../words/keys';
import * as texts from '../words/shell/keysDialog';

const view = useView();
const route = useRoute();
const keys = computed(() => [...(KEYS[route.path] ?? []), ...present(KEYS['everywhere'])]);
</script>

<template>
  <v-dialog v-model="view.keysOpen" :aria-label="texts.keyboardShortcuts" max-width="460">
    <v-card class="keys">
      <h1>{{ texts.keyboardShortcuts }}</h1>
      <v-table>
        <tbody>
          <tr v-for="k in keys" :key="k.key">
            <th scope="row">
              <kbd class="key">{{ k.key }}</kbd>
            </th>
            <td>{{ k.does }}</td>
          </tr>
        </tbody>
      </v-table>
      <p>
        <v-btn @click="view.keysOpen = false">{{ texts.close }}</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.keys {
  padding: 18px 22px;
}
th {
  text-align: left;
  white-space: nowrap;
}
p {
  margin-top: 12px;
}
</style>
