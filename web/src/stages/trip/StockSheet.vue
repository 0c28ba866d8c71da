<script setup lang="ts">
import { computed } from 'vue';
import { present, newSupply, type Stock, type Trip } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import NumberField from '../../ui/NumberField.vue';
import { massText, percent } from '../../ui/words';
import * as texts from '../../words/trip/stockSheet';
import * as edits from '../../words/edits';

defineProps<{ trip: Trip }>();
const answers = useAnswer();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const stocks = computed(() => [...(answers.answer?.stocks ?? [])].sort((a, b) => b.expected - a.expected));
const ownedRow = (kind: string) => garage.doc?.supplies.find((s) => s.kind === kind);

const groupOf = (kind: string) => answers.answer?.pooled.find((p) => p.kind === kind && p.alone > 0) ?? null;
const saved = computed(() => (answers.answer?.pooled ?? []).reduce((n, p) => n + p.alone - p.together, 0));
const savedMass = computed(() =>
  (answers.answer?.pooled ?? []).reduce((g, p) => g + (p.alone - p.together) * garage.book.of(p.kind).mass, 0),
);

const inKit = (kind: string) => answers.answer?.kit.spares.find((s) => s.kind === kind)?.quantity ?? 0;

function own(kind: string, quantity: number) {
  const row = ownedRow(kind);
  garage.put(edits.ownNumber(quantity, garage.book.of(kind).name.toLowerCase()), 'supplies', {
    ...(row ?? newSupply({ id: crypto.randomUUID(), kind, quantity: 0 })),
    quantity: Math.round(quantity),
  });
}
function show(s: Stock) {
  explain.show({
    title: garage.book.of(s.kind).name,
    value: texts.carriedEnoughOnOfTrips(s.quantity, percent(s.enough, 1)),
    formula: s.formula,
    inputs: [
      { name: texts.expectedUse, value: s.expected.toFixed(2) },
      { name: texts.oneUnitWeighs, value: massText(view.units, garage.book.of(s.kind).mass) },
    ],
    source: texts.stocksRiseOneByOne,
  });
}
</script>

<template>
  <div>
    <p class="lead">
      {{ texts.allSparesTogetherSufficeOn }}
      <strong class="num">{{
        answers.answer && trip.legs.length > 0 ? percent(answers.answer.sparesEnough, 1) : '–'
      }}</strong>
      {{ texts.ofSuchTripsYouAsked }} <span class="num">{{ percent(trip.serviceLevel, 1) }}</span>{{
        texts.thisIsWhatEachTrouble
      }}
      <router-link to="/kit">{{ texts.kit }}</router-link> {{ texts.weighsTheOtherWaysAgainst }}
    </p>
    <p v-if="saved > 0" class="lead">
      {{ texts.theOfYouOnBikes(trip.companions + 1) }}
      <strong class="num">{{ saved }}</strong> {{ texts.piecesFewer }}
      <span class="num">{{ massText(view.units, savedMass) }}</span> {{ texts.lessAtTheSameService }}
    </p>
    <div class="sheet-head">
      <h2>{{ texts.spare }}</h2>
      <span class="soft">{{ texts.carryOwn }}</span>
    </div>
    <div v-for="s in stocks" :key="s.kind" class="row stock">
      <span
        ><span class="title">{{ garage.book.of(s.kind).name }}</span
        ><span class="sub num"
          >{{ texts.inTheKitExpected(inKit(s.kind), s.expected.toFixed(2), massText(view.units, s.mass))
          }}<template v-if="groupOf(s.kind)">
            {{ ' '
            }}{{ texts.apartPooled(present(groupOf(s.kind)).alone, present(groupOf(s.kind)).together) }}</template
          ></span
        ></span
      >
      <v-btn
        variant="plain"
        class="num carry"
        :aria-label="texts.whyOf(s.quantity, garage.book.of(s.kind).name)"
        @click="show(s)"
      >
        {{ s.quantity }}
      </v-btn>
      <NumberField
        :label="texts.owned(garage.book.of(s.kind).name)"
        hide-label
        :max="1000"
        :model-value="ownedRow(s.kind)?.quantity ?? 0"
        @update:model-value="own(s.kind, $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.lead {
  padding: 14px 16px 4px;
  font-size: 15px;
}
.stock {
  grid-template-columns: minmax(0, 1fr) 40px 68px;
}
.stock > span > span {
  display: block;
}
.carry {
  text-align: right;
  font-size: 17px;
}
</style>
