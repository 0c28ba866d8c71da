<script setup lang="ts">
/** Two bikes' sizes side by side: what one kit turns on both, and what only one of them asks for. */
import SelectField from '../../ui/SelectField.vue';
import { computed, ref } from 'vue';
import { compareBikes, type SharedSize } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import * as texts from '../../words/walk/compareDialog';

const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const bikes = computed(() => garage.doc?.bikes ?? []);
const here = ref(garage.bike?.id ?? '');
const there = ref(bikes.value.find((b) => b.id !== here.value)?.id ?? '');
const of = (id: string) => (garage.doc?.fasteners ?? []).filter((f) => f.bikeId === id);
const name = (id: string) => bikes.value.find((b) => b.id === id)?.name ?? '';
const result = computed(() => compareBikes(of(here.value), of(there.value)));
const names = (list: SharedSize['here']) => {
  const first = list.slice(0, 3).map((f) => f.name.toLowerCase());
  return `${first.join(', ')}${list.length > 3 ? texts.andMore(list.length - 3) : ''}`;
};
const columns = computed(() => [
  { title: texts.onBoth, rows: result.value.common },
  { title: texts.only(name(here.value)), rows: result.value.onlyHere },
  { title: texts.only(name(there.value)), rows: result.value.onlyThere },
]);
</script>

<template>
  <v-dialog :aria-label="texts.compareTwoBikes" :model-value="true" max-width="980" @update:model-value="emit('close')">
    <v-card class="dialog">
      <h1>{{ texts.compareTwoBikes }}</h1>
      <p v-if="bikes.length < 2" class="soft">{{ texts.thereIsOnlyOneBike }}</p>
      <template v-else>
        <p class="pair">
          <SelectField
            hide-label
            :label="texts.oneBike"
            :items="bikes.map((b) => ({ title: b.name, value: b.id }))"
            v-model="here"
          />
          {{ texts.and }}
          <SelectField
            hide-label
            :label="texts.theOtherBike"
            :items="bikes.map((b) => ({ title: b.name, value: b.id }))"
            v-model="there"
          />
        </p>
        <div class="columns">
          <section v-for="c in columns" :key="c.title" :aria-label="c.title">
            <h2>
              {{ c.title }} <span class="num">{{ c.rows.length }}</span>
            </h2>
            <ul>
              <li v-for="r in c.rows" :key="r.size">
                <HeadGlyph :head="r.head" :size="30" />
                <span class="soft">{{ names(r.here.length > 0 ? r.here : r.there) }}</span>
              </li>
            </ul>
          </section>
        </div>
      </template>
      <p class="acts">
        <v-btn variant="tonal" @click="emit('close')">{{ texts.close }}</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.dialog {
  padding: 18px 22px;
}
.pair {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 10px 0;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 20px;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
  border-top: 1px solid var(--hair);
  font-size: 14px;
  line-height: 1.2;
}
.acts {
  margin-top: 14px;
}
</style>
