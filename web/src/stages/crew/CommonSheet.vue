<script setup lang="ts">
/** What the bikes have in common, and what is odd: sizes of heads, what spares must match, and the one swap that frees most weight. */
import { computed, ref, shallowRef, watch } from 'vue';
import { doublesOf, type CrewAnswer, type Matching, type Swap } from '@necessaire/core';
import { useCrew } from '../../stores/crew';
import { useView } from '../../stores/view';
import { massText } from '../../ui/words';
import * as texts from '../../words/crew/commonSheet';

const props = defineProps<{ answer: CrewAnswer }>();
const crew = useCrew();
const view = useView();
const matching = shallowRef<Matching | null>(null);
const swaps = shallowRef<Swap[] | null>(null);
const working = ref(false);
const all = ref(false);
watch(
  () => [props.answer, crew.busy] as const,
  async () => {
    swaps.value = null;
    if (!crew.busy) matching.value = await crew.ask((w) => w.matching());
  },
  { immediate: true },
);
/** What a double is there for. */
const FOR = {
  alone: texts.whenAlone,
  part: texts.whenTheCrewSplits,
  all: texts.together,
  none: texts.nothingHangsOnIt,
} as const;
const doubles = computed(() => doublesOf(props.answer));
const riders = computed(() => props.answer.names.filter((n) => n.bike));
const shown = computed(() => (all.value ? (matching.value?.sizes ?? []) : (matching.value?.sizes ?? []).slice(0, 14)));
const odd = computed(() => matching.value?.sizes.filter((s) => s.bikes === 1).length ?? 0);
async function look() {
  working.value = true;
  swaps.value = await crew.ask((w) => w.swaps());
  working.value = false;
}
const whose = (s: Swap) => riders.value.find((n) => n.bike?.id === s.fastener.bikeId)?.name ?? '';
</script>

<template>
  <div v-if="matching">
    <section>
      <h2>{{ texts.sizesOfHeads }}</h2>
      <p class="soft">{{ texts.ofSizesAreOnOne(odd, matching.sizes.length) }}</p>
      <v-table density="compact" class="table">
        <thead>
          <tr>
            <th scope="col">{{ texts.size }}</th>
            <th v-for="n in riders" :key="n.key" scope="col">{{ n.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in shown" :key="s.size" :class="{ odd: s.bikes === 1 }">
            <th scope="row">{{ s.size }}</th>
            <td v-for="(n, i) in s.counts" :key="i" class="num">{{ n > 0 ? n : '·' }}</td>
          </tr>
        </tbody>
      </v-table>
      <v-btn v-if="matching.sizes.length > 14" variant="text" @click="all = !all">
        {{ all ? texts.showFewer : texts.showAll(matching.sizes.length) }}
      </v-btn>
    </section>
    <section>
      <h2>{{ texts.sparesAndConnectors }}</h2>
      <v-table density="compact" class="table">
        <thead>
          <tr>
            <th scope="col">{{ texts.what }}</th>
            <th v-for="n in riders" :key="n.key" scope="col">{{ n.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in matching.fits" :key="f.slot" :class="{ odd: !f.same }">
            <th scope="row">{{ f.slot }}</th>
            <td v-for="n in riders" :key="n.key">{{ f.says.find((s) => s.bikeId === n.bike?.id)?.reading || '·' }}</td>
          </tr>
        </tbody>
      </v-table>
      <p class="soft">{{ texts.jumpLeadsAndPumpsNeed }}</p>
    </section>
    <section>
      <h2>{{ texts.carriedTwice }}</h2>
      <ul class="plain">
        <li v-for="d in doubles" :key="d.item">
          <strong>{{ d.name }}</strong> <span class="num soft">{{ massText(view.units, d.mass) }}</span>:
          {{ d.by.map((b) => `${answer.names[b.carrier]?.name} (${FOR[b.for[0] ?? 'none']})`).join(', ') }}
          <strong v-if="d.canGo" class="good"> {{ ' ' }}{{ texts.oneCanGo }}</strong>
        </li>
        <li v-if="doubles.length === 0">{{ texts.nothingIsCarriedTwice }}</li>
      </ul>
    </section>
    <section>
      <h2>{{ texts.oneSwapAtHome }}</h2>
      <p class="soft">{{ texts.whichBoltChangedToA }}</p>
      <v-btn variant="outlined" :loading="working" @click="look">{{ texts.findTheBestSwap }}</v-btn>
      <ul v-if="swaps" class="plain">
        <li v-for="s in swaps" :key="s.fastener.id">
          <strong>{{ s.fastener.name }}</strong>, {{ whose(s) }}:
          <span class="num">−{{ massText(view.units, s.grams) }}</span
          ><span class="soft"> {{ texts.canStayAtHome(s.leaves.join(', ')) }}</span>
        </li>
        <li v-if="swaps.length === 0">{{ texts.noSingleBoltHoldsA }}</li>
      </ul>
    </section>
  </div>
  <p v-else class="empty">{{ texts.workingItOut }}</p>
</template>

<style scoped>
section {
  padding: 12px 16px;
  border-bottom: 1px solid var(--hair);
  overflow-x: auto;
}
.table {
  background: transparent;
}
.odd {
  color: var(--soft);
}
.plain li {
  padding: 3px 0;
}
</style>
