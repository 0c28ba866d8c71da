<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import {
  figure,
  fitsNowhere,
  frontShare,
  nothingHeld,
  slotCount,
  unitOf,
  usableVolume,
  withUnit,
  type At,
  type Packing,
  type Place,
  type Stowed,
} from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { usePacking } from '../../stores/packing';
import { useTab } from '../../ui/useTab';
import { useView } from '../../stores/view';
import BikeDrawing from '../../ui/BikeDrawing.vue';
import { newPlaceRows } from '../../garages/newRows';
import PlaceTicks from '../../garages/PlaceTicks.vue';
import NextStage from '../../shell/NextStage.vue';
import AddPlace from './AddPlace.vue';
import BehindDrawing from './BehindDrawing.vue';
import BoxPicture from './BoxPicture.vue';
import { useTouchDrops } from '../../ui/places/dragging';
import { held, over } from '../../ui/places/held';
import FaultList from './FaultList.vue';
import { useLoadChange } from './loadChange';
import { usePins } from './pins';
import GoalSheet from './GoalSheet.vue';
import KeptPackings from './KeptPackings.vue';
import LoadSheet from './LoadSheet.vue';
import PlaceForm from './PlaceForm.vue';
import PlaceMarks from '../../ui/places/PlaceMarks.vue';
import PlaceSection from './PlaceSection.vue';
import RollPicture from './RollPicture.vue';
import StowRow from './StowRow.vue';
import * as texts from '../../words/stow/stowView';
import * as edits from '../../words/edits';

const answers = useAnswer();
const garage = useGarage();
const view = useView();
const search = usePacking();
const MODES = { inside: texts.inside2, load: texts.load, goals: texts.priorities, kept: texts.savedLayouts } as const;
const mode = useTab(Object.keys(MODES) as (keyof typeof MODES)[]);
const look = ref<'side' | 'behind'>('side');
const movable = ref(false);
const placeId = ref<string | null>(null);
const editing = ref<string | null>(null);
search.want(true);
onBeforeUnmount(() => {
  search.want(false);
  held.value = null;
  over.value = null;
});

/** While something is held the packing stays as it is: a row that moved away under the hand could not be put down any more. */
const packing = shallowRef<Packing | null>(null);
watch(
  [() => answers.answer?.packing ?? null, held] as const,
  ([now, holding]) => {
    if (holding === null) packing.value = now;
  },
  { immediate: true, flush: 'sync' },
);
/** Where a place is while it is dragged. */
const shifted = shallowRef<{ id: string; at: At } | null>(null);
const places = computed<Place[]>(() =>
  garage.places.map((p) => (p.id === shifted.value?.id ? { ...p, at: shifted.value.at } : p)),
);
const at = (id: string | null): Stowed[] =>
  (packing.value?.stowed ?? [])
    .filter((s) => s.placeId === id)
    .sort((a, b) => (a.slot ?? 99) - (b.slot ?? 99) || b.item.mass - a.item.mass);
const loose = computed(() => (packing.value ? fitsNowhere(packing.value) : []));
const faults = computed(() => packing.value?.faults ?? []);
const placeName = (id: string) => garage.places.find((p) => p.id === id)?.name ?? '';
const heldIn = (p: Place) => packing.value?.places.find((l) => l.placeId === p.id)?.held ?? nothingHeld(p);
const litPlace = computed(() => packing.value?.stowed.find((s) => s.item.key === view.itemKey)?.placeId ?? null);
const marks = computed(() =>
  places.value.map((p) => {
    const h = heldIn(p);
    const share =
      p.kind === 'roll'
        ? h.slots.reduce((s, n) => s + n, 0) / Math.max(1, slotCount(p))
        : h.room / Math.max(1, usableVolume(p));
    return {
      place: p,
      share: Math.min(1, share),
      broken: faults.value.some((f) => f.placeId === p.id),
      picked: p.id === placeId.value,
      lit: p.id === litPlace.value,
    };
  }),
);

const mm = (v: number) => `${figure(view.units, 'length', Math.abs(v))} ${unitOf(view.units, 'length')}`;
const { load, trial, now, says } = useLoadChange({
  packing,
  places,
  placeName,
  shifting: () => shifted.value !== null,
});
const { pinsHere, pinned, move, split, mend, freeAll } = usePins(packing, placeName);
useTouchDrops(move);

function pickItem(key: string) {
  view.itemKey = view.itemKey === key ? null : key;
}
async function pick(id: string) {
  placeId.value = placeId.value === id ? null : id;
  if (!placeId.value) return;
  mode.value = 'inside';
  await nextTick();
  document.querySelector(`[data-place="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'nearest' });
}
watch(
  () => view.itemKey,
  async (key) => {
    const place = packing.value?.stowed.find((s) => s.item.key === key)?.placeId;
    if (place) placeId.value = place;
    await nextTick();
    document.querySelector(`[data-item="${CSS.escape(key ?? '')}"]`)?.scrollIntoView({ block: 'nearest' });
  },
  { immediate: true },
);
/** The place that is looked into: the one picked, else the roll, else the fullest. */
const inside = computed(() => {
  const list = garage.places;
  return (
    list.find((p) => p.id === placeId.value) ??
    list.find((p) => p.kind === 'roll' && heldIn(p).units > 0) ??
    [...list].sort((a, b) => heldIn(b).mass - heldIn(a).mass)[0] ??
    null
  );
});
function settlePlace() {
  const s = shifted.value;
  const place = garage.places.find((p) => p.id === s?.id);
  shifted.value = null;
  if (s && place) garage.put(edits.move(place.name), 'places', { ...place, at: s.at });
}
// A bike without a place: which there are, in one press each.
const ticked = ref<string[]>([]);
function addPlaces() {
  const bike = garage.bike;
  if (!bike || ticked.value.length === 0) return;
  const rows = newPlaceRows(bike, ticked.value);
  garage.edit(rows.length === 1 ? texts.addAPlace : texts.addPlaces3(rows.length), rows);
  ticked.value = [];
}
const broken = computed(() => faults.value.filter((f) => f.rule !== 'loose').length);
</script>

<template>
  <div v-if="garage.bike" class="stage">
    <section class="picture stow" aria-labelledby="title" :aria-busy="search.working">
      <div class="stage-head" role="group">
        <h1 id="title">{{ texts.aPlaceForEachItem }}</h1>
        <p v-if="garage.places.length === 0">
          {{ texts.thisBikeHasNoPlaces }} <strong>{{ texts.chooseTheOnesYouHave }}</strong>{{
            texts.thenEveryItemGetsOne
          }}
        </p>
        <p v-else-if="packing" role="status">
          <strong v-if="trial" class="says">{{ texts.if2(trial.name, says) }}</strong>
          <template v-else>
            <template v-if="packing.stowed.length === 0"
              >{{ texts.nothingToPackYet }} <router-link to="/kit">{{ texts.kit }}</router-link>
              {{ texts.decidesWhatToCarry }}</template
            >
            <template v-else-if="faults.length === 0"
              ><strong>{{ texts.allPlaced(packing.stowed.length) }}</strong
              >:
              {{
                packing.proven
                  ? texts.provenBest
                  : search.progress !== null
                    ? texts.stillImproving
                    : texts.pointsOffAtMost((packing.cost - packing.bound).toFixed(1))
              }}</template
            >
            <strong v-if="loose.length > 0" class="gap">{{
              loose.length === 1 ? texts.oneNowhere : texts.nowhere(loose.length)
            }}</strong>
            <strong v-if="broken > 0" class="gap">{{
              texts.broken(broken, broken === 1 ? texts.ruleIs : texts.rulesAre)
            }}</strong>
            <strong v-if="says" class="says">{{ texts.loadNow(says) }}</strong>
          </template>
        </p>
        <NextStage />
      </div>
      <div class="on-bike">
        <div class="looks">
          <v-btn variant="tonal" :aria-pressed="look === 'behind'" @click="look = look === 'side' ? 'behind' : 'side'">
            {{ look === 'side' ? texts.fromBehind : texts.fromTheSide }}
          </v-btn>
          <v-btn variant="tonal" :aria-pressed="movable" @click="movable = !movable">
            {{ movable ? texts.finishMoving : texts.movePlaces }}
          </v-btn>
          <span v-if="movable" class="soft">{{ texts.dragAPlaceOrUse }}</span>
        </div>
        <component :is="look === 'side' ? BikeDrawing : BehindDrawing" :bike="garage.bike" class="bike-picture" faint>
          <template #default="{ x, y, s, width, height }"
            ><PlaceMarks
              :marks="marks"
              :look="look"
              :x="x"
              :y="y"
              :s="s"
              :width="width"
              :height="height"
              :ridden="now?.ridden.centre ?? null"
              :packed="now?.packed.centre ?? null"
              :movable="movable"
              numbered
              @pick="pick"
              @drop="move"
              @shift="(id, to) => (shifted = { id, at: to })"
              @settle="settlePlace"
          /></template>
        </component>
      </div>
      <ol class="place-names" :aria-label="texts.placesOnThePicture">
        <li v-for="(m, i) in marks" :key="m.place.id">
          <v-btn variant="text" :class="{ on: m.picked }" @click="pick(m.place.id)"
            ><strong class="num">{{ i + 1 }}</strong> {{ m.place.name }}
            <span class="num soft">{{ Math.round(m.share * 100) }} %</span></v-btn
          >
        </li>
      </ol>
      <p v-if="now?.packed.centre" class="figures">
        <v-btn variant="text" @click="mode = 'load'">
          {{ texts.packed }} <strong class="num">{{ mm(now.packed.centre.z) }}</strong> {{ texts.high }}</v-btn
        ><v-btn variant="text" @click="mode = 'load'">
          <strong class="num">{{ (frontShare(now.packed) * 100).toFixed(1) }} %</strong> {{ texts.onTheFront }}
          <span class="num">{{ (frontShare(now.ridden) * 100).toFixed(1) }} %</span>
          {{ texts.withTheRiderAlone }}</v-btn
        ><v-btn variant="text" @click="mode = 'load'">
          <strong class="num">{{ withUnit(view.units, 'moment', Math.abs(now.packed.side)) }}</strong>
          {{
            Math.abs(now.packed.side) < 0.005
              ? texts.toEitherSide
              : now.packed.side > 0
                ? texts.toTheLeft
                : texts.toTheRight
          }}
        </v-btn>
        <span class="keys soft"
          ><span class="key" aria-hidden="true" /> {{ texts.howFull }}
          <svg width="14" height="14" viewBox="-7 -7 14 14" aria-hidden="true">
            <circle class="disc" r="6" />
            <path class="quarter" d="M0 0V-6A6 6 0 0 1 6 0ZM0 0V6A6 6 0 0 1-6 0Z" /></svg
          >{{ ' ' }}{{ texts.middleOfTheWeight }}</span
        >
      </p>
      <v-tabs v-model="mode" class="modes" :aria-label="texts.whatToLookAt">
        <v-tab v-for="(name, key) in MODES" :key="key" :value="key">
          {{ key === 'inside' && inside ? (inside.kind === 'roll' ? texts.theRoll : texts.inside(inside.name)) : name }}
        </v-tab>
      </v-tabs>
      <template v-if="packing && load">
        <template v-if="mode === 'inside'">
          <RollPicture v-if="inside?.slots" :place="inside" :packing="packing" @pick="pickItem" />
          <BoxPicture v-else-if="inside" :place="inside" :packing="packing" @pick="pickItem" />
        </template>
        <LoadSheet v-else-if="mode === 'load'" :bike="garage.bike" :load="load" :trial="trial" />
        <GoalSheet v-else-if="mode === 'goals'" :packing="packing" />
        <KeptPackings v-else :packing="packing" />
      </template>
      <p class="caution">
        {{ texts.theMakersPayloadRackAnd }}
      </p>
    </section>
    <section class="sheet" :aria-label="texts.places">
      <FaultList
        v-if="packing && garage.places.length > 0 && faults.length > 0"
        :faults="faults"
        :stowed="packing.stowed"
        :place-name="placeName"
        :pinned="pinned"
        @mend="mend"
        @free="move($event, null)"
        @pick="pickItem"
      />
      <form v-if="garage.places.length === 0" class="first" @submit.prevent="addPlaces">
        <PlaceTicks v-model="ticked" :bike="garage.bike" :label="texts.whereCanYouCarryThings" />
        <v-btn type="submit" variant="outlined" :disabled="ticked.length === 0">
          {{
            ticked.length === 1
              ? texts.add1Place
              : ticked.length > 1
                ? texts.addPlaces(ticked.length)
                : texts.addPlaces2
          }}
        </v-btn>
      </form>
      <template v-if="loose.length > 0">
        <div class="sheet-head">
          <h2 class="gap">{{ texts.loose }}</h2>
          <span class="num soft">{{ loose.length }}</span>
        </div>
        <div role="list">
          <StowRow
            v-for="s in loose"
            :key="s.item.key"
            :stowed="s"
            :places="garage.places"
            :pinned="pinned(s.item.key)"
            @move="move"
            @split="split"
            @pick="pickItem"
          />
        </div>
      </template>
      <template v-for="p in garage.places" :key="p.id">
        <PlaceSection
          :place="p"
          :held="heldIn(p)"
          :rough="answers.answer?.stow.rough ?? false"
          :picked="p.id === placeId"
          :editing="editing === p.id"
          @pick="pick(p.id)"
          @edit="editing = editing === p.id ? null : p.id"
          @drop="move"
        >
          <PlaceForm v-if="editing === p.id" :place="p" @close="editing = null" />
          <div v-if="at(p.id).length > 0" role="list">
            <StowRow
              v-for="s in at(p.id)"
              :key="s.item.key"
              :stowed="s"
              :places="garage.places"
              :pinned="pinned(s.item.key)"
              @move="move"
              @split="split"
              @pick="pickItem"
            />
          </div>
        </PlaceSection>
      </template>
      <p class="acts">
        <AddPlace :bike="garage.bike" @added="editing = $event" />
        <v-btn variant="tonal" to="/print">{{ texts.printTheList }}</v-btn>
        <v-btn variant="tonal" v-if="pinsHere.length > 0" @click="freeAll">{{ texts.placeAllAutomatically }}</v-btn>
      </p>
    </section>
  </div>
</template>

<style scoped>
.first {
  padding: 12px 16px;
  border-bottom: 1px solid var(--hair);
}
.stow {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.on-bike {
  position: relative;
}
.looks {
  position: absolute;
  z-index: 1;
  top: 4px;
  left: 0;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  max-width: 150px;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.looks .v-btn {
  padding: 3px 10px;
  font-size: 14px;
}
.bike-picture {
  flex: 0 0 auto;
  height: 300px;
}
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  font-size: 14.5px;
}
.keys {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-size: 13px;
}
.key {
  width: 14px;
  height: 10px;
  border: 1.4px solid var(--ink);
  background: var(--measured);
}
.keys svg {
  margin-left: 8px;
}
.disc {
  fill: var(--sheet);
  stroke: var(--ink);
}
.quarter {
  fill: var(--ink);
}
.figures button {
  cursor: pointer;
  text-decoration: underline;
  text-decoration-color: var(--line);
  text-underline-offset: 4px;
}
.figures button:focus-visible {
  outline: 2px solid var(--ink);
}
/* One line, whatever it says: what grew here would push the drawing away under a hand that drops something on it. */
.stow .stage-head {
  flex-wrap: nowrap;
}
.stow .stage-head h1 {
  flex: none;
}
.stow .stage-head p {
  flex: 1;
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.stage-head strong.gap {
  color: var(--gap);
  font-weight: 600;
}
.stage-head .says {
  margin-left: 10px;
  color: var(--measured);
}
.modes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.acts {
  padding: 14px 16px;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.acts a {
  text-decoration: none;
}
.place-names {
  display: none;
}
@media (max-width: 760px) {
  .place-names {
    display: flex;
    flex-wrap: wrap;
    gap: 0 14px;
    list-style: none;
    padding: 0;
  }
  .place-names .v-btn {
    min-height: 44px;
    gap: 6px;
  }
  .place-names .on {
    text-decoration: underline;
  }
  .stow .stage-head {
    flex-wrap: wrap;
  }
  .stow .stage-head p {
    flex: 1 1 100%;
    white-space: normal;
    height: 44px;
  }
  .bike-picture {
    flex: none;
    height: 250px;
    min-height: 0;
  }
  .looks {
    position: static;
    flex-direction: row;
    flex-wrap: wrap;
    max-width: none;
    padding-bottom: 6px;
  }
  .looks .v-btn,
  .modes button {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
  /* Not a flex box, which would swallow the spaces between words and figures. */
  .figures button {
    display: inline-block;
    padding: 11px 0;
    min-height: 44px;
  }
}
</style>
