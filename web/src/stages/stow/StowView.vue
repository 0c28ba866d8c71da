<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { newPlace, figure, unitOf, usableVolume, type Place, type Stowed } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import BikeDrawing from '../../ui/BikeDrawing.vue';
import { massText } from '../../ui/words';
import PlaceForm from './PlaceForm.vue';
import PlaceMarks from './PlaceMarks.vue';
import PlaceSection from './PlaceSection.vue';
import StowRow from './StowRow.vue';

const answers = useAnswer();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const placeId = ref<string | null>(null);
const editing = ref<string | null>(null);

const packing = computed(() => answers.answer?.packing ?? null);
const at = (id: string | null): Stowed[] =>
  (packing.value?.stowed ?? []).filter((s) => s.placeId === id).sort((a, b) => b.item.mass - a.item.mass);
const loose = computed(() => at(null));
const broken = computed(() => (packing.value?.stowed ?? []).filter((s) => s.placeId && s.broken.length > 0));
const placeName = (id: string) => garage.places.find((p) => p.id === id)?.name ?? '';
const loadOf = (p: Place) =>
  packing.value?.loads.find((l) => l.placeId === p.id)?.load ?? { mass: 0, volume: 0, items: 0 };
const fill = computed(() =>
  garage.places.map((p) => {
    const load = loadOf(p);
    const share = p.kind === 'roll' ? load.items / (p.slots?.count ?? 1) : load.volume / Math.max(1, usableVolume(p));
    return { place: p, share: Math.min(1, share), over: load.mass > p.limit, picked: p.id === placeId.value };
  }),
);
const centre = computed(() => packing.value?.centre ?? null);

/** Puts an item where the rider says; an item put back to "let the rules choose" loses its pin. */
function move(key: string, to: string | null) {
  const bike = garage.bike;
  if (!bike) return;
  const item = packing.value?.stowed.find((s) => s.item.key === key);
  const pin = garage.doc?.pins.find((p) => p.bikeId === bike.id && p.item === key);
  const name = item?.item.name ?? 'it';
  if (to === null) {
    if (pin) garage.remove(`let the rules place ${name}`, { table: 'pins', id: pin.id });
    notice.say(`${name}: the rules choose`);
    return;
  }
  garage.put(`move ${name}`, 'pins', { id: pin?.id ?? crypto.randomUUID(), bikeId: bike.id, placeId: to, item: key });
  notice.say(`${name} goes to ${placeName(to).toLowerCase()}`);
}
const pinned = (key: string) => garage.doc?.pins.some((p) => p.bikeId === garage.bike?.id && p.item === key) ?? false;

watch(
  () => view.itemKey,
  async (key) => {
    const place = packing.value?.stowed.find((s) => s.item.key === key)?.placeId;
    if (place) placeId.value = place;
    await nextTick();
    document.querySelector(`[data-item="${CSS.escape(key ?? '')}"]`)?.scrollIntoView({ block: 'center' });
  },
  { immediate: true },
);
function addPlace() {
  const id = crypto.randomUUID();
  garage.put('add a place', 'places', newPlace(id, garage.bike!));
  editing.value = id;
}
</script>

<template>
  <div v-if="garage.bike" class="stage">
    <section class="picture stow">
      <div class="stage-head">
        <h1>A place for each piece</h1>
        <p v-if="packing">
          <template v-if="loose.length + broken.length === 0"
            ><strong>All {{ packing.stowed.length }} have one.</strong></template
          >
          <template v-else
            ><strong v-if="loose.length > 0" class="gap">{{ loose.length }} fit nowhere.</strong>
            <strong v-if="broken.length > 0" class="gap"
              >{{ broken.length }} {{ broken.length === 1 ? 'breaks' : 'break' }} a rule where you put
              {{ broken.length === 1 ? 'it' : 'them' }}.</strong
            ></template
          >
          <template v-if="centre">
            Their middle is
            <span class="num">{{ figure(view.units, 'length', centre.z) }} {{ unitOf(view.units, 'length') }}</span>
            high,
            <span class="num"
              >{{ figure(view.units, 'length', garage.bike.wheelbase - centre.x) }}
              {{ unitOf(view.units, 'length') }}</span
            >
            ahead of the rear axle.</template
          >
        </p>
      </div>
      <BikeDrawing :bike="garage.bike" class="bike-picture" faint>
        <template #default="{ x, y, s }"
          ><PlaceMarks :fill="fill" :x="x" :y="y" :s="s" :centre="centre" @pick="placeId = $event" @drop="move"
        /></template>
      </BikeDrawing>
      <section v-if="loose.length + broken.length > 0" class="rules">
        <h2>Rules that cannot be met</h2>
        <div v-for="s in broken" :key="s.item.key" class="rule">
          <strong>{{ s.item.name }}</strong> in {{ placeName(s.placeId!).toLowerCase() }}:
          <span class="gap">{{ s.broken[0]!.rules.map((r) => r.message).join('; ') }}</span>.
          <button class="link" @click="move(s.item.key, null)">Let the rules choose</button>
        </div>
        <details v-for="s in loose" :key="s.item.key" class="rule">
          <summary>
            <strong>{{ s.item.name }}</strong>, {{ massText(view.units, s.item.mass) }}:
            <span class="gap">{{
              s.broken[0]
                ? `${placeName(s.broken[0].placeId).toLowerCase()}: ${s.broken[0].rules.map((r) => r.message).join('; ')}`
                : 'this bike has no places yet'
            }}</span>
          </summary>
          <ul>
            <li v-for="b in s.broken.slice(1)" :key="b.placeId">
              {{ placeName(b.placeId) }}: {{ b.rules.map((r) => r.message).join('; ') }}
            </li>
          </ul>
        </details>
      </section>
      <p class="caution">
        Maker’s payload, rack and tyre limits come first; weight changes handling and braking. Hard or sharp things on
        the body injure in a fall.
      </p>
    </section>
    <section class="sheet" aria-label="Places">
      <template v-if="loose.length > 0">
        <div class="sheet-head">
          <h2 class="gap">Loose</h2>
          <span class="num soft">{{ loose.length }}</span>
        </div>
        <StowRow
          v-for="s in loose"
          :key="s.item.key"
          :stowed="s"
          :places="garage.places"
          :pinned="pinned(s.item.key)"
          @move="move"
        />
      </template>
      <template v-for="p in garage.places" :key="p.id">
        <PlaceSection
          :place="p"
          :load="loadOf(p)"
          :picked="p.id === placeId"
          :editing="editing === p.id"
          @pick="placeId = p.id === placeId ? null : p.id"
          @edit="editing = editing === p.id ? null : p.id"
          @drop="move"
        >
          <PlaceForm v-if="editing === p.id" :place="p" @close="editing = null" />
          <StowRow
            v-for="s in at(p.id)"
            :key="s.item.key"
            :stowed="s"
            :places="garage.places"
            :pinned="pinned(s.item.key)"
            @move="move"
          />
        </PlaceSection>
      </template>
      <p class="acts">
        <button class="tool-button" @click="addPlace">Add a place</button>
        <router-link class="tool-button quiet" to="/print">Print the list</router-link>
      </p>
    </section>
  </div>
</template>

<style scoped>
.stow {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.bike-picture {
  flex: 1 1 320px;
  min-height: 300px;
  max-height: 520px;
}
.rules {
  display: grid;
  gap: 5px;
}
.rule {
  font-size: 14.5px;
}
.rule ul {
  margin: 4px 0;
  padding-left: 20px;
  color: var(--soft);
}
summary {
  cursor: pointer;
}
.acts {
  padding: 14px 16px;
  display: flex;
  gap: 12px;
}
.acts a {
  text-decoration: none;
}
@media (max-width: 760px) {
  .bike-picture {
    flex: none;
    height: 250px;
    min-height: 0;
  }
}
</style>
