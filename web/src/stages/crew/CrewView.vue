<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, shallowRef, watch } from 'vue';
import { present, ME, type Effect } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useCrew } from '../../stores/crew';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import NextStage from '../../shell/NextStage.vue';
import { useTouchDrops } from '../../ui/places/dragging';
import { held, over } from '../../ui/places/held';
import { useTab } from '../../ui/useTab';
import { counted, massText, percent } from '../../ui/words';
import { gapsText } from '../../words/crew';
import CommonSheet from './CommonSheet.vue';
import CrewColumn from './CrewColumn.vue';
import CrewLists from './CrewLists.vue';
import CrewFigures from './CrewFigures.vue';
import LentSheet from './LentSheet.vue';
import PeopleSheet from './PeopleSheet.vue';
import RulesSheet from './RulesSheet.vue';
import WhatIfSheet from './WhatIfSheet.vue';
import './crew.css';
import WorkBar from '../../ui/WorkBar.vue';
import WaitingPart from '../../ui/WaitingPart.vue';
import * as texts from '../../words/crew/crewView';

/** Only where there is nothing to show yet. */
const EmptyStage = defineAsyncComponent(() => import('../../ui/EmptyStage.vue'));

const crew = useCrew();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const TABS = {
  'what-if': texts.whatIf,
  people: texts.people,
  rules: texts.rules,
  common: texts.inCommon,
  ride: texts.theRide,
  lists: texts.lists,
  lent: texts.lent,
} as const;
const tab = useTab(Object.keys(TABS) as (keyof typeof TABS)[]);
crew.want(true);
onBeforeUnmount(() => {
  crew.want(false);
  held.value = null;
  over.value = null;
});
const answer = computed(() => crew.answer);
// Whoever is taken out by a press on their name: what follows from it is told beside.
watch(
  () => crew.gone,
  (i) => {
    if (i !== null) tab.value = 'what-if';
  },
);
const bikeOf = (key: string) => {
  const m = crew.crew?.members.find((x) => x.who === key);
  const list = key === ME ? garage.doc?.bikes : garage.doc?.companions.find((c) => c.id === key)?.bikes;
  return list?.find((b) => b.id === m?.bikeId) ?? list?.[0] ?? null;
};
const alone = computed(() => {
  const known = crew.alone.filter((x) => x !== null);
  return known.length > 0 && known.length === answer.value?.names.filter((n) => n.bike).length
    ? known.reduce((s, x) => s + x, 0)
    : null;
});
const gaps = computed(() => answer.value?.judged.gaps.length ?? 0);
/** What a drop would do, worked out while a thing is held over somebody. */
const effect = shallowRef<{ text: string } | null>(null);
const parse = (key: string) => {
  const at = key.indexOf(' ');
  return { from: Number(key.slice(0, at)), item: key.slice(at + 1) };
};
watch([held, over] as const, async ([key, to]) => {
  effect.value = null;
  const a = answer.value;
  if (!a || !key || to === null) return;
  const { from, item } = parse(key);
  const target = Number(to);
  if (!Number.isInteger(target) || target === from) return;
  const made = await crew.ask((w) => w.effect(item, from, target));
  if (!made || held.value !== key || over.value !== to) return;
  effect.value = { text: effectText(made, item, from, target) };
});
function effectText(e: Effect, item: string, from: number, to: number): string {
  const a = present(answer.value);
  const token = a.carriers[from]?.tokens.find((t) => t.item === item);
  const parts = [
    Math.abs(e.mass) < 0.5
      ? texts.theSameWeightInAll
      : texts.inAll(massText(view.units, Math.abs(e.mass)), e.mass > 0 ? texts.more : texts.less),
    texts.greatestSharePoints(e.share >= 0 ? '+' : '−', Math.abs(e.share * 100).toFixed(1)),
    e.lost.length > 0 ? texts.noLonger(gapsText(a, e.lost)) : '',
    e.won.length > 0 ? texts.again(gapsText(a, e.won)) : '',
    e.over.length > 0 ? texts.isOverTheLimit(a.names[to]?.name) : '',
  ].filter(Boolean);
  return texts.ifTakes(a.names[to]?.name, token?.name.toLowerCase() ?? texts.something, parts.join('; '));
}
function give(item: string, from: number, to: number | 'home' | null) {
  const a = answer.value;
  if (!a) return;
  held.value = null;
  over.value = null;
  const token = a.carriers[from]?.tokens.find((t) => t.item === item);
  const name = token?.name ?? texts.it;
  const key = to === null ? null : to === 'home' ? 'home' : (a.names[to]?.key ?? null);
  crew.fix(item, key, token?.count ?? 1);
  const who =
    to === null ? texts.isPlacedAutomatically : to === 'home' ? texts.staysAtHome : texts.goesTo(a.names[to]?.name);
  notice.done(`${name} ${who}.`);
}
function drop(key: string, to: number) {
  const { from, item } = parse(key);
  if (from !== to) give(item, from, to);
}
useTouchDrops((key, to) => drop(key, Number(to)));
</script>

<template>
  <div class="stage">
    <section
      class="picture crew"
      aria-labelledby="title"
      :aria-busy="crew.busy || crew.first || (crew.crew !== null && !answer)"
    >
      <div class="stage-head" role="group">
        <h1 id="title">{{ texts.whoCarriesWhat }}</h1>
        <p v-if="!garage.trip">{{ texts.planATripFirstA }}</p>
        <p v-else-if="!crew.crew && garage.trip.companions > 0">
          {{ texts.alongButNobodyIsNamed(counted(garage.trip.companions, texts.companionRides, texts.companionsRide)) }}
          <strong>{{ texts.sayWhoTheyAre }}</strong>{{ texts.andTheKitIsShared }}
        </p>
        <p v-else-if="!crew.crew">
          {{ texts.youRideAloneOnThis }} <strong>{{ texts.addWhoRidesAlong }}</strong>{{ texts.andTheKitIsShared }}
        </p>
        <p v-else-if="answer" role="status">
          <strong v-if="effect" class="says">{{ effect.text }}</strong>
          <template v-else>
            <strong class="num">{{ massText(view.units, answer.mass) }}</strong>
            {{ texts.for2(counted(answer.names.filter((n) => n.bike).length, 'rider'))
            }}<template v-if="alone !== null && alone > answer.mass">
              {{ ' ' }}{{ texts.insteadOf }} <strong class="num">{{ massText(view.units, alone) }}</strong>
              {{ texts.ifEachPackedAlone }}</template
            >;
            <strong v-if="gaps > 0" class="gap">{{ counted(gaps, 'gap') }}.</strong>
            <template v-else>{{ texts.everyBikeGetsHomeApart }}</template>
            <span v-if="answer.proven"> {{ ' ' }}{{ texts.provenTheBest }}</span>
            <span v-else-if="answer.gap < 0.5"> {{ ' ' }}{{ texts.withinOfTheBest(percent(answer.gap, 1)) }}</span>
            <span v-else-if="crew.halted"> {{ ' ' }}{{ texts.notProvenTheBestYou }}</span>
            <span v-else> {{ ' ' }}{{ texts.notProvenTheBestThere }}</span>
          </template>
        </p>
        <p v-else-if="crew.failed" class="gap" role="alert">{{ crew.failed }}</p>
        <NextStage />
      </div>
      <div v-if="crew.crew" class="work">
        <WorkBar
          v-if="crew.busy"
          slim
          :says="answer ? texts.lookingForABetterShare : texts.sharingOut"
          :share="null"
          :keeps="!crew.first"
          @stop="crew.halt()"
        />
      </div>
      <template v-if="crew.crew && answer">
        <div class="fair">
          <span class="label">{{ texts.leastWeight }}</span>
          <v-slider
            :model-value="crew.crew.fair"
            :min="0"
            :max="1"
            :step="0.05"
            hide-details
            :aria-label="texts.leastWeightOrFairest"
            @end="crew.set(texts.changeHowItIsShared, { fair: $event })"
          />
          <span class="label">{{ texts.fairest }}</span>
        </div>
        <p class="legend soft">
          <i class="mark own" /> {{ texts.theirOwn }} <i class="mark others" /> {{ texts.fromSomebodyElseOrTo }}
        </p>
        <div class="columns" :class="{ stale: crew.busy && !crew.first }">
          <CrewColumn
            v-for="c in answer.carriers"
            :key="present(answer.names[c.number]).key"
            :told="c"
            :answer="answer"
            :bike="bikeOf(present(answer.names[c.number]).key)"
            @give="give"
            @drop="drop"
          />
        </div>
        <p class="caution">
          {{ texts.whoeverTurnsABoltMust }}
        </p>
      </template>
      <WaitingPart v-else-if="crew.crew && !crew.failed" of="picture" :says="texts.sharingOut" />
      <EmptyStage
        v-else-if="!crew.crew"
        stage="crew"
        :act="garage.trip ? null : { label: texts.planATrip, to: '/trip' }"
      />
    </section>
    <section class="sheet crew-sheet" :aria-label="texts.theCrew">
      <template v-if="garage.trip && garage.bike">
        <v-tabs v-if="crew.crew" v-model="tab" class="tabs" show-arrows :aria-label="texts.whatToLookAt">
          <v-tab v-for="(name, key) in TABS" :key="key" :value="key">{{ name }}</v-tab>
        </v-tabs>
        <PeopleSheet v-if="!crew.crew || tab === 'people'" />
        <LentSheet v-else-if="tab === 'lent'" />
        <template v-else-if="answer">
          <WhatIfSheet v-if="tab === 'what-if'" :answer="answer" />
          <RulesSheet v-else-if="tab === 'rules'" :of="crew.crew" :answer="answer" />
          <CommonSheet v-else-if="tab === 'common'" :answer="answer" />
          <CrewFigures v-else-if="tab === 'ride'" :answer="answer" :of="crew.crew" />
          <CrewLists v-else :answer="answer" />
        </template>
        <WaitingPart v-else of="rows" />
      </template>
    </section>
  </div>
</template>

<style scoped>
/* Its room stays when the work is done: nothing moves under a hand. */
.work {
  min-height: 40px;
}
.legend {
  font-size: 13px;
  margin-bottom: 6px;
}
.mark {
  display: inline-block;
  width: 4px;
  height: 12px;
  margin: 0 3px -1px 8px;
  background: var(--line);
}
.mark.own {
  margin-left: 0;
}
.mark.others {
  background: var(--proven);
}
.fair {
  display: grid;
  grid-template-columns: auto minmax(120px, 1fr) auto;
  gap: 14px;
  align-items: center;
  margin: 6px 0 10px;
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 0 12px;
}
.columns.stale {
  opacity: 0.55;
}
.says {
  color: var(--ink);
}
.tabs {
  border-bottom: 1px solid var(--line);
}
@media (max-width: 760px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
