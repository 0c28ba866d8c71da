<script setup lang="ts">
/** The kit, by trouble, by piece, by place, what of it is to buy, and what stays at home. While the limit is dragged the kit of that limit. */
import { computed, ref } from 'vue';
import { byTrouble, sourceWords, type CurvePoint, type Kit, type KitPiece, type KitSpare } from '@necessaire/core';
import { reasonOf, spareReason } from '@necessaire/words';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { useTab } from '../../ui/useTab';
import { massText, percent } from '../../ui/words';
import LackWords from '../../ui/LackWords.vue';
import TermQuestion from '../../ui/TermQuestion.vue';
import DraggedKit from './DraggedKit.vue';
import GradeMark from './GradeMark.vue';
import HomeList from './HomeList.vue';
import { timeText } from './hours';
import MissingList from './MissingList.vue';
import { useMoney } from '../../ui/useMoney';
import * as texts from '../../words/kit/kitLists';

const { money } = useMoney();
const props = defineProps<{ kit: Kit; point: CurvePoint | null; picked: string | null }>();
const emit = defineEmits<{ pick: [pieceId: string]; mend: [troubleId: string] }>();
const answers = useAnswer();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const tab = useTab(['trouble', 'piece', 'place', 'buy', 'home'], 'list');

/** Savings under half a minute stand at the end, folded, unless the trip has no greater. */
const LITTLE = 1 / 120;
const pieces = computed(() =>
  [...props.kit.pieces].sort((a, b) => b.hours - a.hours || b.piece.mass * b.count - a.piece.mass * a.count),
);
const spares = computed(() => [...props.kit.spares].sort((a, b) => b.hours - a.hours));

/** Troubles that the kit helps against or should, the most hours first, with what serves each. */
const helped = computed(() => {
  const bike = garage.bike;
  if (!bike) return [];
  const sums = byTrouble(props.kit, bike.id);
  return (answers.answer?.exposures ?? [])
    .flatMap((e) => {
      const s = sums.get(e.trouble.id);
      if (!s || (s.hoursSaved <= 0 && !s.below)) return [];
      return [{ e, s, way: s.wayName }];
    })
    .sort(
      (a, b) =>
        Number(b.s.below && b.s.parts === b.s.partsBelow) - Number(a.s.below && a.s.parts === a.s.partsBelow) ||
        b.s.hoursSaved - a.s.hoursSaved,
    );
});
const all = ref(false);
const troubles = computed(() => {
  const much = helped.value.filter(({ s }) => s.below || s.hoursSaved >= LITTLE);
  return all.value || much.length === 0 ? helped.value : much;
});
const hasLegs = computed(() => (garage.trip?.legs.length ?? 0) > 0);
const isFor = (list: readonly { id: string }[], troubleId: string) => list.some((t) => t.id === troubleId);
const served = (troubleId: string) => pieces.value.filter((p) => isFor(p.serves, troubleId));
/** What turns the heads of its mend, where that is all the piece is there for. */
const turning = (troubleId: string) =>
  pieces.value.filter((p) => isFor(p.turnsFor, troubleId) && !isFor(p.serves, troubleId)).map((p) => p.piece.name);
const stocked = (troubleId: string) => spares.value.filter((s) => s.for.some((f) => f.troubleId === troubleId));

/** Everything packed, by the place that Stow gave it. */
const places = computed(() => {
  const stowed = answers.answer?.packing.stowed ?? [];
  const known = garage.places.map((p) => ({ id: p.id as string | null, name: p.name, tier: p.tier as string }));
  return [...known, { id: null, name: texts.noPlaceYet, tier: '' }].flatMap((p) => {
    const items = stowed.filter((s) => s.placeId === p.id);
    return items.length > 0 ? [{ ...p, items, mass: items.reduce((s, i) => s + i.item.mass, 0) }] : [];
  });
});
const buyPieces = computed(() => pieces.value.filter((p) => p.toBuy));
const buySpares = computed(() => spares.value.filter((s) => s.buy > 0));
const left = computed(() => {
  const carried = new Set(props.kit.pieces.map((p) => p.piece.id));
  return (garage.doc?.pieces ?? []).filter((p) => !carried.has(p.id));
});

const reason = (p: KitPiece) => reasonOf(p, garage.doc?.bikes ?? [], garage.bike?.id ?? null);
/** Cautions of the mends that a piece is there for. */
function cautionsOf(p: KitPiece): string[] {
  const ways = (answers.answer?.exposures ?? [])
    .filter((e) => isFor(p.serves, e.trouble.id))
    .flatMap((e) =>
      e.trouble.ways.filter((w) => props.kit.mends.some((m) => m.troubleId === e.trouble.id && m.wayName === w.name)),
    );
  return [...new Set(ways.map((w) => w.caution).filter(Boolean))].slice(0, 2);
}
function explainPiece(p: KitPiece) {
  explain.show({
    title: p.piece.name,
    value: texts.savedByOneCopy(massText(view.units, p.piece.mass * p.count), timeText(p.hours)),
    formula: texts.hoursWhatTheKitSaves,
    inputs: [
      { name: texts.fastenersThatNothingElseTurns, value: String(p.needed.length) },
      ...p.without.slice(0, 5).map((w) => ({
        name: w.trouble,
        value: `${w.instead ? `${w.instead} (${w.grade})` : texts.noRepair}, −${timeText(w.hours)}`,
      })),
      { name: texts.expectedUses, value: p.uses.toFixed(2) },
      { name: texts.price, value: money(p.piece.price) },
      ...cautionsOf(p).map((value) => ({ name: texts.mind, value })),
    ],
    source: texts.massRatesAndHoursTypical(sourceWords(p.piece.source)),
    to: { path: '/match', label: texts.seeWhatTurnsIt },
  });
}
function explainSpare(s: KitSpare) {
  explain.show({
    title: s.name,
    value: texts.numberMassSaved(s.quantity, massText(view.units, s.mass), timeText(s.hours)),
    formula: spareReason(s),
    inputs: [
      { name: texts.ownedNow, value: String(s.owned) },
      { name: texts.alreadyFittedOnTheBike2, value: String(s.fitted) },
      { name: texts.toBuy3, value: String(s.buy) },
      { name: texts.expectedUse, value: s.expected.toFixed(2) },
    ],
    source: texts.ratesAndMassesTypicalValues,
    to: { path: '/trip', label: texts.seeTheOdds },
  });
}
const TABS = {
  trouble: texts.byProblem,
  piece: texts.byItem,
  place: texts.byPlace,
  buy: texts.toBuy2,
  home: texts.atHome,
} as const;
const count = (key: keyof typeof TABS) =>
  key === 'buy' ? buyPieces.value.length + buySpares.value.length : key === 'home' ? left.value.length : null;
</script>

<template>
  <v-tabs v-model="tab" class="tabs">
    <v-tab v-for="(name, key) in TABS" :key="key" :value="key">
      {{ name }}<template v-if="count(key) !== null"> ({{ count(key) }})</template>
    </v-tab>
  </v-tabs>
  <DraggedKit v-if="point" :point="point" :troubles="tab === 'trouble'" />
  <template v-else-if="tab === 'trouble'">
    <p v-if="troubles.length === 0" class="empty">
      <template v-if="!hasLegs"
        >{{ texts.addLegsIn }} <router-link to="/trip">{{ texts.trip }}</router-link> {{ texts.toSeeThis }}</template
      >
      <template v-else
        >{{ texts.thisKitFixesNoneOf }} <router-link to="/match">{{ texts.match }}</router-link>.</template
      >
    </p>
    <section v-for="{ e, s, way } in troubles" :key="e.trouble.id" class="trouble">
      <v-btn variant="text" class="sheet-head opens" @click="emit('mend', e.trouble.id)">
        <h2>{{ texts.here(e.trouble.name, percent(e.odds)) }}</h2>
        <span class="num">{{ timeText(s.hoursSaved) }}</span>
      </v-btn>
      <p class="chosen">
        <GradeMark :grade="s.grade" /><span v-if="way">{{ way }}</span>
        <span v-if="s.below" class="gap"
          ><template v-if="s.parts > 1">{{ texts.ofKindsOfIt(s.partsBelow, s.parts) }}{{ ' ' }} </template
          ><LackWords v-if="s.lacks.length > 0" :lacks="s.lacks.slice(0, 2)" /><template v-else>{{
            texts.notAtTheGradeYou
          }}</template></span
        >
      </p>
      <p v-if="turning(e.trouble.id).length > 0" class="turning">
        {{ texts.fastenersTurnedBy(turning(e.trouble.id).slice(0, 5).join(' · '))
        }}<template v-if="turning(e.trouble.id).length > 5">
          {{ ' ' }}{{ texts.andMore(turning(e.trouble.id).length - 5) }}</template
        >
      </p>
      <div v-for="p in served(e.trouble.id)" :key="p.piece.id" class="row line3">
        <span class="title"
          >{{ p.piece.name }}<span v-if="p.count > 1" class="num soft"> ×{{ p.count }}</span></span
        >
        <span class="num">{{ massText(view.units, p.piece.mass * p.count) }}</span>
        <v-btn variant="plain" class="num good" :aria-label="texts.why(p.piece.name)" @click="explainPiece(p)">
          {{ timeText(p.hours) }}
        </v-btn>
      </div>
      <div v-for="x in stocked(e.trouble.id)" :key="x.kind" class="row line3">
        <span class="title"
          >{{ x.name }}<span class="num soft"> ×{{ x.quantity }}</span></span
        >
        <span class="num">{{ massText(view.units, x.mass) }}</span>
        <v-btn variant="plain" class="num good" :aria-label="texts.why(x.name)" @click="explainSpare(x)">
          {{ timeText(x.hours) }}
        </v-btn>
      </div>
    </section>
    <TermQuestion class="note" term="full" :label="texts.grades" several />
    <p v-if="helped.length > troubles.length" class="note">
      <v-btn variant="plain" @click="all = true">
        {{ texts.moreEachUnderHalfA(helped.length - troubles.length) }}
      </v-btn>
    </p>
  </template>
  <template v-else-if="tab === 'piece'">
    <div class="sheet-head">
      <h2>{{ texts.toolsTheMostHoursFirst }}</h2>
      <span class="num">{{ massText(view.units, kit.toolMass) }}</span>
    </div>
    <div role="list" :aria-label="texts.toolsTheMostHoursFirst">
      <div
        v-for="p in pieces"
        :key="p.piece.id"
        role="listitem"
        class="row line3"
        :class="{ picked: p.piece.id === picked }"
      >
        <v-btn variant="text" class="open" :aria-pressed="p.piece.id === picked" @click="emit('pick', p.piece.id)">
          <span class="title"
            >{{ p.piece.name }}<span v-if="p.count > 1" class="num soft"> ×{{ p.count }}</span></span
          ><span class="sub"
            ><strong v-if="p.toBuy">{{ texts.toBuy(money(p.piece.price)) }}{{ ' ' }} </strong>{{ reason(p) }}</span
          ><span v-if="p.lighter" class="sub">{{
            texts.aboutDoesTheSameAnd(p.lighter.name, money(p.lighter.price), massText(view.units, p.lighter.saves))
          }}</span>
        </v-btn>
        <span class="num">{{ massText(view.units, p.piece.mass * p.count) }}</span>
        <v-btn variant="plain" class="num good" :aria-label="texts.why(p.piece.name)" @click="explainPiece(p)">
          {{ timeText(p.hours) }}
        </v-btn>
      </div>
    </div>
    <div class="sheet-head">
      <h2>{{ texts.spares }}</h2>
      <span class="num">{{ massText(view.units, kit.spareMass) }}</span>
    </div>
    <p v-if="spares.length === 0" class="empty">{{ texts.noSparesAskedFor }}</p>
    <div role="list" :aria-label="texts.spares">
      <div v-for="s in spares" :key="s.kind" role="listitem" class="row line3">
        <span
          ><span class="title"
            >{{ s.name }}<span class="num soft"> ×{{ s.quantity }}</span></span
          ><span class="sub" :class="{ gap: s.buy > 0 }"
            >{{ s.fitted > 0 ? texts.alreadyFittedOnTheBike(s.fitted) : ''
            }}{{ s.buy > 0 ? texts.buy(s.buy) : texts.owned(s.owned) }} ·
            {{
              s.for
                .map((f) => f.trouble.toLowerCase())
                .slice(0, 2)
                .join(', ')
            }}</span
          ></span
        >
        <span class="num">{{ massText(view.units, s.mass) }}</span>
        <v-btn variant="plain" class="num good" :aria-label="texts.why(s.name)" @click="explainSpare(s)">{{
          timeText(s.hours)
        }}</v-btn>
      </div>
    </div>
    <template v-if="kit.prevention.length > 0">
      <div class="sheet-head">
        <h2>{{ texts.doneBeforeLeaving }}</h2>
        <span class="num">{{ massText(view.units, kit.preventionMass) }}</span>
      </div>
      <div v-for="p in kit.prevention" :key="p.id" class="row line">
        <span class="title">{{ p.name }}</span><span class="num">{{ massText(view.units, p.mass) }}</span>
      </div>
    </template>
  </template>
  <template v-else-if="tab === 'place'">
    <section v-for="p in places" :key="p.name">
      <div class="sheet-head">
        <h2>
          {{ p.name }}<template v-if="p.tier"> · {{ p.tier }}</template>
        </h2>
        <span class="num">{{ massText(view.units, p.mass) }}</span>
      </div>
      <div v-for="s in p.items" :key="s.item.key" class="row line">
        <span class="title">{{ s.item.name }}</span><span class="num">{{ massText(view.units, s.item.mass) }}</span>
      </div>
    </section>
    <p class="note">
      <router-link to="/stow">{{ texts.stow }}</router-link> {{ texts.saysWhyEachIsThere }}
    </p>
  </template>
  <MissingList v-else-if="tab === 'buy'" :pieces="buyPieces" :spares="buySpares" />
  <HomeList v-else :left="left" :carried="kit.pieces" />
</template>

<style scoped>
.line3 {
  grid-template-columns: minmax(0, 1fr) 72px 62px;
}
.line3 .num {
  text-align: right;
}
.sub,
.title {
  display: block;
}
.open {
  padding: 3px 0;
}
.picked {
  background: var(--picked);
  box-shadow: inset 4px 0 0 var(--ink);
}
.opens {
  width: 100%;
  box-sizing: border-box;
}
.opens h2 {
  text-decoration: underline;
  text-decoration-color: var(--line);
  text-underline-offset: 4px;
}
.opens:focus-visible {
  outline: 2px solid var(--ink);
  outline-offset: -3px;
}
.chosen {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  padding: 5px 16px 2px;
  font-size: 14px;
}
.turning {
  padding: 2px 16px 4px;
  font-size: 13px;
  color: var(--soft);
}
.trouble .row {
  min-height: 34px;
}
.note {
  padding: 12px 16px;
  color: var(--soft);
  font-size: 14px;
}
.line3 .v-btn--variant-plain {
  font-size: 14px;
}
@media (max-width: 760px) {
  .line3 .v-btn--variant-plain {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
    justify-content: end;
  }
}
</style>
