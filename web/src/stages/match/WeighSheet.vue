<script setup lang="ts">
/** What the tools weigh because of: heads that hold a piece alone, marks, and the purchase that drops the most. Exact differences. */
import { computed } from 'vue';
import { newPiece, printShape, type Difference, type PieceModel } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { useWeighs } from '../../stores/weighs';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import { massText } from '../../ui/words';
import { useMoney } from '../../ui/useMoney';
import WorkBar from '../../ui/WorkBar.vue';
import * as texts from '../../words/match/weighSheet';
import * as edits from '../../words/edits';

const { money } = useMoney();
const garage = useGarage();
const view = useView();
const weighs = useWeighs();
const explain = useExplain();
const notice = useNotice();
const most = computed(() => Math.max(1, ...(weighs.result?.swaps ?? []).map((s) => s.grams)));
const goes = (d: Difference) =>
  [
    d.leaves.length > 0 ? texts.leaves(d.leaves.join(', ')) : '',
    d.comes.length > 0 ? texts.comes(d.comes.join(', ')) : '',
  ]
    .filter(Boolean)
    .join('; ');
const saving = (euros: number) => (Math.abs(euros) < 0.05 ? '' : `${euros > 0 ? '' : '−'}${money(Math.abs(euros))}`);
function why(title: string, d: Difference, what: string) {
  explain.show({
    title,
    value: massText(view.units, Math.abs(d.grams)),
    formula: texts.gramsOfTheLightestSet(what),
    inputs: [
      { name: texts.toolsOfTheLightestSet, value: massText(view.units, weighs.result?.mass ?? 0) },
      { name: texts.andThen, value: massText(view.units, (weighs.result?.mass ?? 0) - d.grams) },
      { name: texts.leavesName, value: d.leaves.join(', ') || texts.nothing },
      { name: texts.comesName, value: d.comes.join(', ') || texts.nothing },
    ],
    source: texts.differenceOfTwoOptimaMasses,
  });
}
function buy(model: PieceModel) {
  garage.put(edits.add(model.name), 'pieces', newPiece(model, { id: crypto.randomUUID(), note: texts.toBuy }));
  notice.say(texts.isInTheToolboxNoted(model.name));
}
</script>

<template>
  <div>
    <div v-if="!weighs.result && weighs.progress === null" class="start">
      <p>{{ texts.whichBoltWhichMarkWhich }}</p>
      <p v-if="weighs.failed" class="gap">{{ weighs.failed }}</p>
      <p>
        <v-btn @click="weighs.start()">{{ texts.workItOut }}</v-btn>
      </p>
    </div>
    <div v-else-if="!weighs.result" class="start">
      <WorkBar :says="texts.calculatingWithAndWithout" :share="weighs.progress ?? 0" @stop="weighs.stop()" />
    </div>
    <template v-else>
      <div class="sheet-head">
        <h2>{{ texts.ifYouSwappedThisBolt }}</h2>
        <span class="num soft">{{ weighs.result.swaps.length }}</span>
      </div>
      <p v-if="weighs.result.swaps.length === 0" class="empty">{{ texts.noToolIsCarriedFor }}</p>
      <div
        v-for="s in weighs.result.swaps"
        :key="s.fastener.id"
        class="row weigh"
        role="group"
        :aria-label="s.fastener.name"
      >
        <HeadGlyph :head="s.fastener.head" :size="30" />
        <v-btn variant="text" @click="view.fastenerId = s.fastener.id">
          <span class="title"
            >{{ s.fastener.name }} <span class="soft">{{ printShape(s.fastener.head) }}</span></span
          >
          <span class="sub">{{ goes(s) }}</span>
          <span class="bar"><span :style="{ width: `${(s.grams / most) * 100}%` }" /></span>
        </v-btn>
        <v-btn variant="plain" class="num" @click="why(`Changing ${s.fastener.name}`, s, texts.withoutThisFastener)">
          −{{ massText(view.units, s.grams) }}<small class="soft">{{ saving(s.euros) }}</small>
        </v-btn>
      </div>
      <div class="sheet-head">
        <h2>{{ texts.thePurchaseThatDropsThe }}</h2>
        <span class="soft">{{ texts.ofSolved(weighs.result.solved, weighs.result.candidates) }}</span>
      </div>
      <p v-if="weighs.result.purchases.length === 0" class="empty">{{ texts.noSingleToolOfThe }}</p>
      <div v-for="p in weighs.result.purchases" :key="p.model.name" class="row weigh two">
        <span
          ><span class="title"
            >{{ p.model.name }} <span class="soft num">{{ money(p.model.price) }}</span></span
          ><span class="sub">{{ goes(p) }}</span></span
        >
        <v-btn variant="plain" class="num" @click="why(p.model.name, p, texts.withItInTheToolbox)">
          −{{ massText(view.units, p.grams) }}
        </v-btn>
        <v-btn variant="tonal" :aria-label="texts.putInTheToolbox(p.model.name)" @click="buy(p.model)">
          {{ texts.buy }}
        </v-btn>
      </div>
      <template v-if="weighs.result.marks.length > 0">
        <div class="sheet-head">
          <h2>{{ texts.whatYourMarksCost }}</h2>
        </div>
        <div v-for="m in weighs.result.marks" :key="m.piece.id" class="row weigh two">
          <span
            ><span class="title"
              >{{ m.piece.name }} <span class="soft">{{ m.piece.mark }}</span></span
            ><span class="sub">{{ goes(m) || texts.itWouldBeCarriedIn }}</span></span
          >
          <v-btn variant="plain" class="num" @click="why(m.piece.name, m, texts.withoutThisMark)">
            {{ massText(view.units, m.grams) }}
          </v-btn>
          <span />
        </div>
      </template>
    </template>
  </div>
</template>

<style scoped>
.start {
  padding: 16px;
  display: grid;
  gap: 10px;
  font-size: 15px;
}
.weigh {
  grid-template-columns: 34px minmax(0, 1fr) 92px;
}
.weigh.two {
  grid-template-columns: minmax(0, 1fr) 84px auto;
}
.title,
.sub {
  display: block;
}
.v-btn--variant-plain.num {
  text-align: right;
}
small {
  display: block;
  font-size: 12px;
}
@media (max-width: 760px) {
  .v-btn--variant-plain.num {
    min-height: 44px;
  }
}
</style>
