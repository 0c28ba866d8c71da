<script setup lang="ts">
/** Three sizes of kit, each with its limit, what it is worth and what it adds. */
import { computed } from 'vue';
import { LEVEL_NAMES, present, type KitQuestion } from '@necessaire/core';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import NumberField from '../../ui/NumberField.vue';
import { useMoney } from '../../ui/useMoney';
import { massText } from '../../ui/words';
import type { LevelPoint } from '../../workers/answer.worker';
import * as texts from '../../words/kit/levelRows';

const props = defineProps<{ kit: KitQuestion; levels: readonly LevelPoint[] }>();
const { money } = useMoney();
const explain = useExplain();
const garage = useGarage();
const view = useView();
const inMoney = computed(() => props.kit.value === 'money');
function explainLevel(i: number) {
  const l = props.levels[i];
  if (!l) return;
  explain.show({
    title: texts.atMost2(LEVEL_NAMES[i], massText(view.units, l.limit)),
    value: texts.massSaved(massText(view.units, l.mass), l.value.toFixed(1)),
    formula: texts.theBestKitOfIts,
    inputs: [
      { name: texts.theBestOfThatLimit, value: l.free.toFixed(2) },
      { name: texts.whatNestingCosts, value: (l.free - l.value).toFixed(2) },
      { name: texts.toolsOfIt, value: String(l.point.pieces.length) },
      { name: texts.kindsOfSpares, value: String(l.point.supplies.length) },
      { name: texts.provenValue, value: l.proven ? texts.yes : texts.toTheBand },
    ],
    source: texts.limitsAreYours,
  });
}
function setLevel(i: number, grams: number) {
  const trip = garage.trip;
  if (!trip) return;
  const limits = [...trip.kit.levels] as typeof trip.kit.levels;
  limits[i] = grams;
  limits.sort((a, b) => a - b);
  garage.put(texts.moveALevel, 'trips', { ...trip, kit: { ...trip.kit, levels: limits } });
}
/** What a level adds to the one before, in words. */
function adds(i: number): string {
  const [now, before] = [props.levels[i], props.levels[i - 1]];
  if (!now) return '';
  const has = new Map(before?.point.pieces ?? []);
  const fresh = now.point.pieces.filter(([id, n]) => n > (has.get(id) ?? 0));
  const names = fresh.map(([id]) => garage.doc?.pieces.find((p) => p.id === id)?.name ?? '');
  return `${names.slice(0, 4).join(', ')}${names.length > 4 ? texts.andMoreTools(names.length - 4) : ''}`;
}
</script>

<template>
  <section class="levels">
    <h2>{{ texts.threeSizesOfKitEach }}</h2>
    <div v-for="(limit, i) in kit.levels" :key="i" class="level">
      <strong>{{ LEVEL_NAMES[i] }}</strong>
      <NumberField
        :label="texts.atMost(LEVEL_NAMES[i])"
        quantity="mass"
        hide-label
        :model-value="limit"
        :min="0"
        :max="40000"
        @update:model-value="setLevel(i, $event)"
      />
      <v-btn variant="plain" v-if="levels[i]" class="num" @click="explainLevel(i)">
        {{ inMoney ? money(present(levels[i]).value) : `${present(levels[i]).value.toFixed(1)} h` }}
      </v-btn>
      <span v-else class="soft">…</span>
      <span class="adds"
        >{{ adds(i)
        }}<template v-if="levels[i] && present(levels[i]).free - present(levels[i]).value > 0.02">{{
          texts.containingTheSmallerKitCosts(
            inMoney
              ? money(present(levels[i]).free - present(levels[i]).value)
              : texts.min(Math.round((present(levels[i]).free - present(levels[i]).value) * 60)),
          )
        }}</template></span
      >
    </div>
  </section>
</template>

<style scoped>
.levels {
  margin-top: 18px;
}
.level {
  display: grid;
  grid-template-columns: 74px 96px 62px minmax(0, 1fr);
  gap: 4px 12px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.adds {
  font-size: 13.5px;
  color: var(--soft);
}
.level .v-btn--variant-plain {
  text-align: right;
}
.levels h2 {
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}
@media (max-width: 760px) {
  .level {
    grid-template-columns: 66px 90px 60px;
  }
  .adds {
    grid-column: 1 / -1;
  }
  .level .v-btn--variant-plain {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
