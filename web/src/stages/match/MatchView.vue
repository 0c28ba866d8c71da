<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { useDisplay } from 'vuetify';
import { present, HEAD_FORMS, millimetres, printShape, type Fastener } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useTab } from '../../ui/useTab';
import { useView } from '../../stores/view';
import HeadGlyph from '../../ui/HeadGlyph.vue';
import { massText } from '../../ui/words';
import NextStage from '../../shell/NextStage.vue';
import BikesSheet from './BikesSheet.vue';
import BuySheet from './BuySheet.vue';
import ChainCard from './ChainCard.vue';
import CoveragePicture from './CoveragePicture.vue';
import DrawerSheet from './DrawerSheet.vue';
import TrySheet from './TrySheet.vue';
import WeighSheet from './WeighSheet.vue';
import WaitingPart from '../../ui/WaitingPart.vue';
import * as texts from '../../words/match/matchView';

/** Only where there is nothing to show yet. */
const EmptyStage = defineAsyncComponent(() => import('../../ui/EmptyStage.vue'));

const garage = useGarage();
const answers = useAnswer();
const view = useView();
const tab = useTab(['heads', 'drawer', 'try', 'why', 'bikes', 'buy']);
/** The picture: every head as its glyph, or heads against pieces. */
const against = ref(false);

const chosen = computed(() => garage.fasteners.filter((f) => f.leftOut === null));
/** Heads by form and size, so that what one piece turns lies together. */
const field = computed(() =>
  [...chosen.value].sort(
    (a, b) =>
      HEAD_FORMS.indexOf(a.head.form) - HEAD_FORMS.indexOf(b.head.form) ||
      (millimetres(a.head.size) || 0) - (millimetres(b.head.size) || 0) ||
      (a.id < b.id ? -1 : 1),
  ),
);
/** Before the first answer a head is neither reached nor a gap. */
const known = computed(() => answers.figures !== null);
const reached = (f: Fastener) => answers.byFastener.get(f.id)?.reached ?? false;
/** On a narrow screen heads of one shape and size are one glyph with their number; one that is out of reach stands for them. */
const { width } = useDisplay();
const NARROW = 760;
const glyphs = computed(() => {
  if (width.value > NARROW) return field.value.map((f) => ({ f, all: [f] }));
  const classes = new Map<string, Fastener[]>();
  for (const f of field.value) {
    const key = `${f.head.form} ${f.head.size} ${reached(f)}`;
    classes.set(key, [...(classes.get(key) ?? []), f]);
  }
  return [...classes.values()].flatMap((all) => {
    const f = all.find((x) => x.id === view.fastenerId) ?? all[0];
    return f ? [{ f, all }] : [];
  });
});
const isGap = (f: Fastener) => known.value && !reached(f);
const toneOf = (f: Fastener) => (!known.value ? 'ink' : reached(f) ? 'proven' : 'gap');
const glyphName = (f: Fastener, all: readonly Fastener[]) =>
  [
    all.length > 1 ? printShape(f.head) : f.name,
    all.length > 1 ? texts.fastenersOfIt(all.length) : printShape(f.head),
    ...(known.value ? [reached(f) ? texts.isReached : texts.isAGap] : []),
  ].join(', ');
const gaps = computed(() => chosen.value.filter((f) => answers.byFastener.get(f.id)?.reached === false));
const rest = computed(() => field.value.filter(reached));
const picked = computed(
  () => chosen.value.find((f) => f.id === view.fastenerId) ?? gaps.value[0] ?? field.value[0] ?? null,
);
const cureOf = (f: Fastener) => answers.byFastener.get(f.id)?.cure ?? null;
const whyNot = (f: Fastener) =>
  answers.byFastener
    .get(f.id)
    ?.fails.map((x) => `${x.end === 'far' ? texts.farEnd : ''}${view.inWords(x.fail.message)}`)
    .join('; ') ?? '';
const by = (f: Fastener) =>
  answers.byFastener
    .get(f.id)
    ?.best.map((c) => c.links.map((l) => l.piece.name).join(' + '))
    .join(texts.andFarEnd) ?? '';
</script>

<template>
  <div class="stage">
    <section class="picture" aria-labelledby="title">
      <div class="stage-head" role="group">
        <h1 id="title">{{ texts.whatYourToolsReach }}</h1>
        <p v-if="chosen.length === 0">{{ texts.noFastenerIsMeasuredYet }}</p>
        <p v-else-if="answers.figures">
          <strong class="num">{{ answers.figures.reached }}</strong> {{ texts.of2 }}
          <span class="num">{{ answers.figures.chosen }}</span>
          {{ gaps.length > 0 ? texts.fasteners : texts.fasteners2 }}
          <span v-if="gaps.length > 0" class="gap"
            ><strong class="gap num">{{ gaps.length }}</strong> {{ texts.outOfReach }}</span
          >
        </p>
        <p v-else>{{ texts.calculating }}</p>
        <v-btn variant="plain" v-if="chosen.length > 0" @click="against = !against">
          {{ against ? texts.showTheFastenersAlone : texts.showFastenersAgainstTools }}
        </v-btn>
        <NextStage />
      </div>
      <EmptyStage
        v-if="chosen.length === 0"
        stage="match"
        :act="{ label: texts.measureTheFirstFastener, to: '/walk' }"
      />
      <CoveragePicture v-else-if="against" />
      <ul v-else class="heads" :aria-label="texts.allFastenersByShapeAnd">
        <li v-for="{ f, all } in glyphs" :key="f.id">
          <v-btn
            variant="text"
            class="head-button"
            :class="{ on: all.some((x) => x.id === picked?.id), out: isGap(f) }"
            :aria-pressed="all.some((x) => x.id === picked?.id)"
            :title="`${f.name}: ${printShape(f.head)}`"
            :aria-label="glyphName(f, all)"
            @click="view.fastenerId = f.id"
          >
            <HeadGlyph :head="f.head" :tone="toneOf(f)" :size="30" :label="' '" aria-hidden="true" />
            <span v-if="all.length > 1" class="num many" aria-hidden="true">×{{ all.length }}</span>
            <svg v-if="isGap(f)" class="cross" viewBox="0 0 10 10" width="10" height="10" aria-hidden="true">
              <path d="M1 1l8 8M9 1L1 9" />
            </svg>
          </v-btn>
        </li>
      </ul>
      <ChainCard v-if="picked" :key="picked.id" :fastener="picked" />
    </section>
    <section class="sheet" :aria-label="texts.fastenersAndTools">
      <v-tabs v-model="tab" class="tabs">
        <v-tab value="heads">{{ texts.fasteners3(chosen.length) }}</v-tab>
        <v-tab value="drawer"> {{ texts.toolbox(garage.doc?.pieces.length ?? 0) }} </v-tab>
        <v-tab value="try">{{ texts.dryRun }}</v-tab>
        <v-tab value="why">{{ texts.whatAddsWeight }}</v-tab>
        <v-tab value="bikes">{{ texts.bikes }}</v-tab>
        <v-tab value="buy">{{ texts.buy }}</v-tab>
      </v-tabs>
      <template v-if="tab === 'heads'">
        <template v-if="gaps.length > 0">
          <div class="sheet-head">
            <h2>{{ texts.outOfReach2 }}</h2>
            <span class="num soft">{{ gaps.length }}</span>
          </div>
          <v-btn
            variant="text"
            v-for="f in gaps"
            :key="f.id"
            class="row head-row"
            :class="{ picked: f.id === picked?.id }"
            @click="view.fastenerId = f.id"
          >
            <HeadGlyph :head="f.head" tone="gap" />
            <span
              ><span class="title">{{ f.name }}</span
              ><span class="sub why">{{ whyNot(f) }}</span>
              <span v-if="cureOf(f)" class="cure"
                >{{
                  texts.wouldReachIt(
                    present(cureOf(f))
                      .buy.map((p) => p.name)
                      .join(texts.andMore),
                  )
                }}
                <span class="num">{{ massText(view.units, present(cureOf(f)).mass) }}</span></span
              >
              <span v-else class="cure">{{ texts.nothingInTheCatalogueCures }}</span></span
            >
          </v-btn>
        </template>
        <WaitingPart v-if="!known && chosen.length > 0 && !answers.failed" of="rows" :says="texts.calculating" />
        <div v-if="known" class="sheet-head">
          <h2>{{ texts.reached }}</h2>
          <span class="num soft">{{ rest.length }}</span>
        </div>
        <v-btn
          variant="text"
          v-for="f in rest"
          :key="f.id"
          class="row head-row"
          :class="{ picked: f.id === picked?.id }"
          @click="view.fastenerId = f.id"
        >
          <HeadGlyph :head="f.head" tone="proven" />
          <span
            ><span class="title">{{ f.name }}</span
            ><span class="sub">{{ by(f) }}</span></span
          >
        </v-btn>
      </template>
      <DrawerSheet v-else-if="tab === 'drawer'" />
      <TrySheet v-else-if="tab === 'try'" />
      <WeighSheet v-else-if="tab === 'why'" />
      <BikesSheet v-else-if="tab === 'bikes'" />
      <BuySheet v-else />
    </section>
  </div>
</template>

<style scoped>
.heads {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 3px;
  padding: 0;
  margin: 12px 0 14px;
}
.head-button {
  position: relative;
  padding: 3px;
  display: block;
  border: 1px solid transparent;
}
.head-button.on {
  border-color: var(--ink);
  background: var(--sheet);
}
.many {
  display: block;
  text-align: center;
  font-size: 12px;
  line-height: 1;
}
.cross {
  position: absolute;
  right: 0;
  top: 0;
  background: var(--ground);
}
.cross path {
  stroke: var(--gap);
  stroke-width: 2.4;
}
.head-row {
  grid-template-columns: 34px minmax(0, 1fr);
  width: 100%;
  align-items: start;
  padding-top: 7px;
  padding-bottom: 7px;
}
.head-row:focus-visible {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
.head-row :is(.title, .sub, .cure) {
  display: block;
}
.picked {
  background: var(--picked);
  box-shadow: inset 4px 0 0 var(--ink);
}
.why {
  color: var(--gap) !important;
}
.cure {
  font-size: 13.5px;
}
@media (max-width: 760px) {
  .head-button {
    padding: 7px 7px 4px;
  }
}
</style>
