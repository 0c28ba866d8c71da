<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useTheme } from 'vuetify';
import AppFrame from './shell/AppFrame.vue';
import { useGarage } from './stores/garage';
import { useView } from './stores/view';

const view = useView();
const garage = useGarage();
const theme = useTheme();
const route = useRoute();
const failed = ref<string | null>(null);
const bare = computed(() => route.meta['bare'] === true);

watch(
  () => view.theme,
  (name) => theme.change(name),
  { immediate: true },
);

async function open() {
  failed.value = null;
  try {
    await garage.open();
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
// Asked for at once: the frame is put up meanwhile.
void open();
</script>

<template>
  <v-app>
    <main v-if="failed" class="opening" role="alert">
      <h1>The garage does not open</h1>
      <p>{{ failed }}</p>
      <v-btn @click="open">Try again</v-btn>
    </main>
    <main v-else-if="!garage.doc" class="opening"><p>Opening the garage …</p></main>
    <router-view v-else-if="bare" />
    <AppFrame v-else />
  </v-app>
</template>

<style scoped>
.opening {
  height: 100dvh;
  display: grid;
  place-content: center;
  gap: 12px;
  padding: 24px;
}
</style>
