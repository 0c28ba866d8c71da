<script setup lang="ts">
/** How often one trouble comes, cell by cell: the typical value, and the rider's own in its place. */
import { computed } from 'vue';
import { present, RATE_CELLS, rateIn, setRate, TROUBLES, withOwn, type RateCell, type Trouble } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import NumberField from '../../ui/NumberField.vue';
import * as texts from '../../words/kit/ratesTable';

const props = defineProps<{ trouble: Trouble }>();
const garage = useGarage();
const NAMES: Readonly<Record<RateCell, string>> = {
  paved: texts.paved,
  gravel: texts.gravel,
  track: texts.track,
  crossing: texts.eachWaterCrossing,
};
const typical = computed(
  () => withOwn(TROUBLES, garage.doc?.mends ?? []).find((t) => t.id === props.trouble.id) ?? props.trouble,
);
const own = computed(() => garage.doc?.garage.rates ?? []);
const isOwn = (on: RateCell) => own.value.some((r) => r.trouble === props.trouble.id && r.on === on);
function set(on: RateCell, rate: number | null) {
  const { garage: now } = present(garage.doc);
  garage.edit(texts.setHowOften(props.trouble.name.toLowerCase()), [], {
    ...now,
    rates: setRate(now.rates, props.trouble.id, on, rate),
  });
}
</script>

<template>
  <v-expansion-panels variant="accordion" flat class="rates">
    <v-expansion-panel>
      <v-expansion-panel-title>
        {{ ' ' }}{{ texts.howOftenItComes
        }}<span v-if="own.some((r) => r.trouble === trouble.id)" class="mine">{{ texts.withYourOwnFigures }}</span>
      </v-expansion-panel-title>
      <v-expansion-panel-text>
        <p class="soft">
          {{ texts.typicalValuesRightToWithin }}
        </p>
        <div class="cells">
          <div v-for="on in RATE_CELLS" :key="on">
            <NumberField
              :label="texts.howOften(NAMES[on])"
              :model-value="rateIn(trouble, on)"
              :quantity="on === 'crossing' ? undefined : 'rate'"
              :digits="5"
              :min="0"
              :max="100"
              @update:model-value="set(on, $event)"
            />
            <v-btn v-if="isOwn(on)" size="small" variant="text" @click="set(on, null)">{{
              texts.typical(Number(rateIn(typical, on).toPrecision(3)))
            }}</v-btn>
          </div>
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.cells {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 14px;
}
.rates {
  border-top: 1px solid var(--line);
}
.mine {
  color: var(--proven);
}
</style>
