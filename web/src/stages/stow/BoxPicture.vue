<script setup lang="ts">
/** How the rigid pieces of a box or tube lie: from above and from the side, to scale; soft goods fill what is left. */
import { computed } from 'vue';
import { figure, shadow, unitOf, type Packing, type Place, type Pose, withUnit } from '@necessaire/core';
import { useView } from '../../stores/view';
import * as texts from '../../words/stow/boxPicture';

const props = defineProps<{ place: Place; packing: Packing }>();
const emit = defineEmits<{ pick: [key: string] }>();
const view = useView();
const inside = computed(() => props.place.inside);
const contents = computed(() => props.packing.places.find((p) => p.placeId === props.place.id));
const nameOf = (key: string) => props.packing.stowed.find((s) => s.item.key === key)?.item.name ?? '';
const numbers = computed(() => new Map((contents.value?.poses ?? []).map((p, i) => [p.key, i + 1])));
const soft = computed(() =>
  props.packing.stowed.filter((s) => s.placeId === props.place.id && s.on === null && s.item.traits.includes('soft')),
);
const with_ = (key: string) => props.packing.stowed.filter((s) => s.on?.key === key).map((s) => s.item.name);
interface Look {
  name: string;
  across: Parameters<typeof shadow>[1];
  depth: number;
  width: number;
  height: number;
}
const looks = computed<Look[]>(() => {
  const { length, width, height } = inside.value;
  return [
    { name: texts.fromAbove, across: [0, 1], depth: 2, width: length, height: width ?? 0 },
    { name: texts.fromTheSide, across: [0, 2], depth: 1, width: length, height },
  ];
});
/** What is nearer to the eye is drawn later. */
const drawn = (look: Look) =>
  [...(contents.value?.poses ?? [])]
    .sort((a, b) => (look.depth === 2 ? a.middle[2] - b.middle[2] : b.middle[1] - a.middle[1]))
    .map((pose) => ({ pose, points: outline(pose, look), at: centre(pose, look) }));
const flip = (look: Look, y: number) => look.height - y;
const outline = (pose: Pose, look: Look) =>
  shadow(pose, look.across)
    .map(([x, y]) => `${x.toFixed(1)},${flip(look, y).toFixed(1)}`)
    .join(' ');
const centre = (pose: Pose, look: Look) => ({
  x: pose.middle[look.across[0]],
  y: flip(look, pose.middle[look.across[1]]),
});
const PX = 1.05;
const scale = computed(() => Math.min(PX, 360 / Math.max(inside.value.length, 1)));
const mm = (v: number) => `${figure(view.units, 'length', v)}`;
</script>

<template>
  <div class="box">
    <div class="head">
      <h2>{{ texts.inside(place.name.toLowerCase()) }}</h2>
      <span class="soft num"
        >{{ mm(inside.length) }} × {{ mm(inside.width) }} × {{ mm(inside.height) }}
        {{ unitOf(view.units, 'length') }}</span
      >
    </div>
    <p v-if="contents && contents.poses === null" class="gap">
      <strong>{{ texts.itDoesNotGoIn }}</strong>
      {{ texts.theseDoNotFitTogether(contents.inTheWay.map(nameOf).join(', ')) }}
    </p>
    <p v-else-if="place.kind === 'tie-on'" class="soft">
      {{ texts.tiedAlongItLongSide }}
    </p>
    <p v-else-if="contents && contents.held.units === 0" class="soft">{{ texts.nothingLiesHere }}</p>
    <div v-if="contents?.poses && contents.poses.length > 0" class="looks">
      <figure v-for="look in looks" :key="look.name">
        <svg
          :width="look.width * scale + 4"
          :height="look.height * scale + 4"
          :viewBox="`-2 -2 ${look.width + 4} ${look.height + 4}`"
          role="img"
          :aria-label="`${place.name} ${look.name}`"
        >
          <rect class="wall" x="0" y="0" :width="look.width" :height="look.height" />
          <g
            v-for="d in drawn(look)"
            :key="d.pose.key"
            class="piece"
            :class="{ lit: view.itemKey === d.pose.key }"
            @click="emit('pick', d.pose.key)"
          >
            <title>{{ nameOf(d.pose.key) }}</title>
            <polygon :points="d.points" />
            <text :x="d.at.x" :y="d.at.y + 4" text-anchor="middle" :font-size="11 / scale">
              {{ numbers.get(d.pose.key) }}
            </text>
          </g>
        </svg>
        <figcaption>{{ look.name }}</figcaption>
      </figure>
      <ol class="names" :aria-label="texts.inside(place.name.toLowerCase())">
        <li v-for="p in contents.poses" :key="p.key" :class="{ lit: view.itemKey === p.key }">
          <v-btn variant="text" @click="emit('pick', p.key)">{{ nameOf(p.key) }}</v-btn>
          <span v-if="with_(p.key).length > 0" class="soft"> {{ ' ' }}{{ texts.with2(with_(p.key).join(', ')) }}</span>
        </li>
      </ol>
    </div>
    <p v-if="soft.length > 0" class="soft">{{ texts.inTheRoomThatIs(soft.map((s) => s.item.name).join(', ')) }}</p>
    <p v-if="place.taken > 0" class="soft">
      {{ texts.clothesAndFoodTakeOf(withUnit(view.units, 'volume', place.taken * 1000)) }}
    </p>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  gap: 16px;
  align-items: baseline;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.looks {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 22px;
  padding-top: 6px;
}
figure {
  margin: 0;
}
figcaption {
  font-size: 12.5px;
  color: var(--soft);
}
svg {
  max-width: 100%;
  height: auto;
}
.wall {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2;
}
.piece {
  cursor: pointer;
}
polygon {
  fill: var(--hair);
  stroke: var(--ink);
  stroke-width: 1;
}
.piece:hover polygon,
.piece.lit polygon {
  fill: var(--assumed);
}
text {
  font-family: var(--figures);
  fill: var(--ink);
}
.names {
  margin: 0;
  padding-left: 24px;
  columns: 2 200px;
  font-size: 13px;
  flex: 1 1 320px;
}
.names .lit {
  background: var(--picked);
}
.names button {
  cursor: pointer;
}
</style>
