<script setup lang="ts">
/** A roll at true scale over as many sheets as it takes, and its labels to be sewn in. */
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { at, present, labelSheet, rollLayout, rollSheets } from '@necessaire/core';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { download, fileName } from '../ui/download';
import * as texts from '../words/print/rollPrint';

const garage = useGarage();
const answers = useAnswer();
const route = useRoute();
const place = computed(() => garage.places.find((p) => p.id === route.params['place']) ?? null);
const roll = computed(() => (place.value && answers.answer ? rollLayout(place.value, answers.answer.packing) : null));
const sheets = computed(() => (roll.value ? [...rollSheets(roll.value), labelSheet(roll.value)] : []));
const urls = ref<string[]>([]);
const drop = () => urls.value.forEach((u) => URL.revokeObjectURL(u));
watch(
  sheets,
  (list) => {
    drop();
    urls.value = list.map((svg) => URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' })));
  },
  { immediate: true },
);
onBeforeUnmount(drop);
const title = (i: number) => (i === sheets.value.length - 1 ? texts.labels : texts.sheet(i + 1));
const save = (i: number) =>
  download(fileName(`${present(roll.value).name} ${title(i)}`, 'svg'), at(sheets.value, i), 'image/svg+xml');
const print = () => window.print();
</script>

<template>
  <div class="roll-print">
    <nav class="bar" :aria-label="texts.print">
      <v-btn variant="tonal" to="/stow">{{ texts.back }}</v-btn><v-btn @click="print">{{ texts.print }}</v-btn>
      <v-btn variant="tonal" v-for="(u, i) in urls" :key="u" @click="save(i)">{{ texts.asSvg(title(i)) }}</v-btn>
    </nav>
    <main v-if="roll">
      <h1>{{ texts.at11(roll.name) }}</h1>
      <p>
        {{ texts.sheetsAndOneOfLabels(sheets.length - 1) }}
      </p>
      <figure v-for="(u, i) in urls" :key="u">
        <img :src="u" :alt="`${roll.name}, ${title(i)}`" />
      </figure>
    </main>
    <main v-else>
      <h1>{{ texts.noRollThere }}</h1>
      <p>{{ texts.thisPlaceHasNoSlots }}</p>
    </main>
  </div>
</template>

<style scoped>
.roll-print {
  background: #fff;
  color: #000;
  height: 100vh;
  overflow: auto;
  padding: 16px;
}
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-bottom: 14px;
  --ink: #22251f;
  --line: #8a8676;
  --soft: #55584f;
  color: #22251f;
}
.bar a {
  text-decoration: none;
}
figure {
  margin: 10px 0;
  border: 1px solid #ccc;
  width: fit-content;
}
img {
  width: 297mm;
  display: block;
}
@page {
  size: A4 landscape;
  margin: 0;
}
@media print {
  .bar,
  h1,
  p {
    display: none;
  }
  .roll-print {
    padding: 0;
    height: auto;
    overflow: visible;
  }
  figure {
    border: 0;
    margin: 0;
    break-after: page;
  }
}
</style>
