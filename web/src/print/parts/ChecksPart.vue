<script setup lang="ts">
/** Checks with boxes to tick, in the order of the walk round the bike; one page. */
import { computed } from 'vue';
import { STATION_NAMES, withUnit, type CheckDue, type Station } from '@necessaire/core';
import { checkWords } from '@necessaire/words';
import { useProof } from '../../stores/proof';
import { useView } from '../../stores/view';
import { whenText } from '../../words/prove';
import * as texts from '../../words/print/parts/checksPart';

const proof = useProof();
const view = useView();
const km = (v: number) => withUnit(view.units, 'distance', v);
const NAMES = { bags: texts.bags, kit: texts.theKit, table: texts.atTheTable } as const;
const checks = computed(() => proof.told?.checks ?? []);
const groups = computed(() => [
  {
    name: texts.beforeLeaving,
    list: checks.value.filter((k) => k.when === 'before leaving' || k.when === 'on a date'),
  },
  {
    name: texts.eachEveningAndByDistance,
    list: checks.value.filter((k) => k.when === 'each evening' || k.when === 'after some km'),
  },
]);
const where = (k: CheckDue) => STATION_NAMES[k.where as Station] ?? NAMES[k.where as keyof typeof NAMES];
</script>

<template>
  <div class="columns checks-part">
    <section v-for="g in groups" :key="g.name">
      <h2>{{ g.name }}</h2>
      <ul>
        <li v-for="k in g.list" :key="k.key">
          <span class="tick" aria-hidden="true" />
          <span class="what"
            ><strong>{{ checkWords(k.about).name }}</strong> <span class="at">{{ where(k) }}</span></span
          >
          <span class="num">{{
            k.standing === 'done' ? texts.done : k.when === 'each evening' ? '' : whenText(k, km)
          }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
li {
  font-size: 12px;
}
.at {
  font-size: 10.5px;
}
.num {
  font-size: 10.5px;
}
</style>
