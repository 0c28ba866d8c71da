<script setup lang="ts">
/** A roll at true scale over as many sheets as it takes, and its labels to be sewn in. */
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { labelSheet, rollLayout, rollSheets } from '@necessaire/core';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { download, fileName } from '../ui/download';

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
const title = (i: number) => (i === sheets.value.length - 1 ? 'labels' : `sheet ${i + 1}`);
const save = (i: number) =>
  download(fileName(`${roll.value!.name} ${title(i)}`, 'svg'), sheets.value[i]!, 'image/svg+xml');
const print = () => window.print();
</script>

<template>
  <div class="roll-print">
    <nav class="bar" aria-label="Print">
      <v-btn variant="tonal" to="/stow">Back</v-btn><v-btn @click="print">Print</v-btn>
      <v-btn variant="tonal" v-for="(u, i) in urls" :key="u" @click="save(i)">{{ title(i) }} as SVG</v-btn>
    </nav>
    <main v-if="roll">
      <h1>{{ roll.name }} at 1 : 1</h1>
      <p>
        {{ sheets.length - 1 }} sheets and one of labels, A4 lying. Print at 100 %, not fitted to the page, and measure
        the 100 mm rule on the first before you cut cloth.
      </p>
      <figure v-for="(u, i) in urls" :key="u">
        <img :src="u" :alt="`${roll.name}, ${title(i)}`" />
      </figure>
    </main>
    <main v-else>
      <h1>No roll there</h1>
      <p>This place has no slots. Make it a roll in Stow and give it some.</p>
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
