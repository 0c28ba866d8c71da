<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useTheme } from 'vuetify';
import { opened } from './router';
import AppFrame from './shell/AppFrame.vue';
import { useGarage } from './stores/garage';
import { useView } from './stores/view';
import * as texts from './words/shell/app';

const view = useView();
const garage = useGarage();
const theme = useTheme();
const route = useRoute();
const router = useRouter();
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

/** What stood on the page before the program goes once the program's own view stands in its place; a press that it took is made here. */
async function takeOver() {
  // A stage that cannot be fetched says so in the frame, which must not stay covered then.
  await opened;
  const pressed = document.getElementById('before-road')?.dataset['pressed'];
  if (pressed) await router.push(pressed);
  await nextTick();
  document.getElementById('before')?.remove();
}
const stands = watch(
  () => garage.doc !== null || failed.value !== null,
  (there) => {
    if (!there) return;
    stands.stop();
    void takeOver();
  },
);
</script>

<template>
  <v-app>
    <main v-if="failed" class="opening" role="alert">
      <h1>{{ texts.theGarageDoesNotOpen }}</h1>
      <p>{{ failed }}</p>
      <v-btn @click="open">{{ texts.tryAgain }}</v-btn>
    </main>
    <template v-else-if="garage.doc">
      <router-view v-if="bare" />
      <AppFrame v-else />
    </template>
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
