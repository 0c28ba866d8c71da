<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  bears,
  figure,
  longestPiece,
  slotCount,
  unitOf,
  usableVolume,
  type Held,
  type Place,
  withUnit,
} from '@necessaire/core';
import { useExplain } from '../../stores/explain';
import { useView } from '../../stores/view';
import { useDropTarget } from '../../ui/places/dragging';
import { over } from '../../ui/places/held';
import * as texts from '../../words/stow/placeSection';

const props = defineProps<{ place: Place; held: Held; rough: boolean; picked: boolean; editing: boolean }>();
const emit = defineEmits<{ pick: []; edit: []; drop: [key: string, to: string] }>();
const view = useView();
const explain = useExplain();
const section = ref<HTMLElement>();
useDropTarget(
  section,
  () => props.place.id,
  (key) => emit('drop', key, props.place.id),
);
const room = computed(() => {
  const { place, held } = props;
  if (place.kind === 'roll') {
    const slots = slotCount(place);
    const taken = held.slots.reduce((sum, n) => sum + n, 0);
    return { text: texts.slotsTaken(taken, slots), share: taken / Math.max(1, slots) };
  }
  const all = usableVolume(place);
  const text = `${figure(view.units, 'volume', held.room)}/${figure(view.units, 'volume', all)} ${unitOf(view.units, 'volume')}`;
  return { text, share: held.room / Math.max(1, all) };
});
const weight = computed(() => {
  const limit = bears(props.place, props.rough);
  return {
    text: `${figure(view.units, 'weight', props.held.mass)}/${figure(view.units, 'weight', limit, 1)} ${unitOf(view.units, 'weight')}`,
    share: props.held.mass / Math.max(1, limit),
  };
});
const unit = (q: 'volume' | 'weight' | 'length') => unitOf(view.units, q);
function explainRoom() {
  const { place, held } = props;
  const { length, width, height } = place.inside;
  explain.show(
    place.kind === 'roll'
      ? {
          title: texts.slotsOf(place.name),
          value: room.value.text,
          formula: texts.onePieceASlotIts,
          inputs: (place.slots ?? []).map((s, i) => ({
            name: texts.slotsOf2(
              s.count,
              figure(view.units, 'length', s.width),
              figure(view.units, 'length', s.length),
              unit('length'),
            ),
            value: texts.taken(held.slots[i] ?? 0),
          })),
          source: texts.measuresAreYours,
        }
      : {
          title: texts.roomIn(place.name),
          value: room.value.text,
          formula: texts.fillWhatClothesAndFood(place.kind === 'tube' ? texts.n4Bore2Length : texts.lengthWidthHeight),
          inputs: [
            {
              name: texts.inside,
              value: `${figure(view.units, 'length', length)} × ${figure(view.units, 'length', width)} × ${figure(view.units, 'length', height)} ${unit('length')}`,
            },
            { name: texts.usableShare, value: String(place.fill) },
            { name: texts.clothesAndFood, value: withUnit(view.units, 'volume', place.taken * 1000) },
          ],
          source: texts.fill065ForOdd,
        },
  );
}
function explainWeight() {
  const { place } = props;
  const kg = (grams: number) => `${figure(view.units, 'weight', grams)} ${unit('weight')}`;
  explain.show({
    title: texts.weightIn(place.name),
    value: weight.value.text,
    formula: texts.whatItsMountBearsOn,
    inputs: [
      { name: texts.mountBears, value: kg(place.limit) },
      { name: texts.onTracks, value: place.roughLimit === null ? texts.theSame : kg(place.roughLimit) },
      { name: texts.clothesAndFood, value: kg(place.takenMass) },
      { name: texts.thisTripRidesTracks, value: props.rough ? texts.yes : texts.no },
    ],
    source: texts.limitsOfTheUsualPlaces,
  });
}
const facts = computed(() =>
  [
    props.place.tier,
    props.place.stays ? texts.staysOnTheBike : texts.leavesWithTheLuggage,
    texts.longest(withUnit(view.units, 'length', longestPiece(props.place))),
    props.place.dry ? texts.dry : '',
    props.place.lockable ? texts.lockable : '',
    props.place.wiring ? texts.nextToWiring : '',
    props.place.hot ? texts.hot : '',
    props.place.onRack ? texts.onTheRack : '',
  ]
    .filter(Boolean)
    .join(' · '),
);
</script>

<template>
  <section
    ref="section"
    class="place"
    :class="{ over: over === place.id, picked }"
    :data-place="place.id"
    :aria-label="place.name"
  >
    <header>
      <v-btn variant="text" class="name" :aria-pressed="picked" @click="emit('pick')">
        <h2>{{ place.name }}</h2>
        <span class="soft facts">{{ facts }}</span>
      </v-btn>
      <v-btn variant="text" class="meter" :aria-label="texts.room(place.name, room.text)" @click="explainRoom">
        <span class="num">{{ room.text }}</span><span class="bar"
          ><span :class="{ full: room.share > 1 }" :style="{ width: `${Math.min(100, room.share * 100)}%` }"
        /></span>
      </v-btn>
      <v-btn variant="text" class="meter" :aria-label="texts.weight(place.name, weight.text)" @click="explainWeight">
        <span class="num">{{ weight.text }}</span><span class="bar"
          ><span :class="{ full: weight.share > 1 }" :style="{ width: `${Math.min(100, weight.share * 100)}%` }"
        /></span>
      </v-btn>
      <v-btn
        variant="plain"
        class="change"
        :aria-expanded="editing"
        :aria-label="texts.change(place.name)"
        @click="emit('edit')"
      >
        {{ texts.change2 }}
      </v-btn>
    </header>
    <slot />
  </section>
</template>

<style scoped>
.place {
  border-bottom: 2px solid var(--line);
}
.over {
  background: var(--picked);
  outline: 2px dashed var(--ink);
  outline-offset: -3px;
}
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 96px 112px auto;
  gap: 2px 12px;
  padding: 10px 16px 8px;
  align-items: start;
}
h2 {
  color: var(--ink);
  font-weight: 600;
  text-transform: none;
  letter-spacing: 0;
  font-size: 17px;
}
.facts {
  font-size: 12.5px;
  display: block;
  line-height: 1.25;
}
.picked h2 {
  text-decoration: underline;
  text-decoration-thickness: 3px;
  text-underline-offset: 4px;
  padding-bottom: 4px;
}
.meter {
  cursor: pointer;
  text-align: right;
  font-size: 12.5px;
  white-space: nowrap;
}
.bar {
  display: block;
  height: 7px;
  background: var(--hair);
  margin-top: 3px;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--ink);
}
.bar span.full {
  background: var(--gap);
}
.change {
  font-size: 13px;
}
@media (max-width: 760px) {
  header {
    grid-template-columns: 1fr 1fr auto;
  }
  .name {
    grid-column: 1 / 3;
  }
  .change {
    grid-row: 1;
    grid-column: 3;
    min-height: 40px;
  }
}
</style>
