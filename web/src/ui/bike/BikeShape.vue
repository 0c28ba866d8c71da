<script setup lang="ts">
/** The side view itself: wheels, frame, engine, drive and bodywork, drawn from the bike's numbers. */
import { computed } from 'vue';
import type { Bike } from '@necessaire/core';
import { bikeOutlines } from './outlines';

const props = defineProps<{ bike: Bike; s: number; ox: number; ground: number; faint?: boolean }>();
const d = computed(() => bikeOutlines(props.bike, props));
const touring = computed(() => props.bike.mass > 190_000);
const wheels = computed(() => {
  const { geometry: g, X, Y } = d.value;
  return [g.front, g.rear].map((w, i) => ({
    x: X(w.at.x),
    y: Y(w.at.z),
    tyre: w.radius * props.s - 2,
    rim: w.rim * props.s,
    disc: (i === 0 ? 128 : 108) * props.s,
    spokes: d.value.spokes[i],
  }));
});
</script>

<template>
  <g class="bike" :class="{ faint }" aria-hidden="true">
    <g v-for="(w, i) in wheels" :key="i">
      <circle class="tyre" :class="{ knobs: d.spoked }" :cx="w.x" :cy="w.y" :r="w.tyre" />
      <circle class="thin" :cx="w.x" :cy="w.y" :r="w.rim + 14 * s" />
      <circle class="thin" :cx="w.x" :cy="w.y" :r="w.rim - 8 * s" />
      <path :class="d.spoked ? 'hair' : 'cast'" :d="w.spokes" />
      <circle class="thin" :cx="w.x" :cy="w.y" :r="w.disc" />
      <circle class="solid" :cx="w.x" :cy="w.y" :r="40 * s" />
    </g>
    <path v-for="(f, i) in d.frame" :key="`frame ${i}`" class="thin" :d="f" />
    <path class="shock" :d="d.shock" />
    <path class="pipe" :d="d.header" />
    <path v-for="(c, i) in d.cylinders" :key="`cylinder ${i}`" class="solid" :d="c" />
    <path v-if="d.fins" class="thin" :d="d.fins" />
    <path class="solid" :d="d.crankcase" />
    <circle class="solid" :cx="d.X(d.geometry.crank.at.x)" :cy="d.Y(d.geometry.crank.at.z)" :r="84 * s" />
    <circle class="thin" :cx="d.smallSprocket.x" :cy="d.smallSprocket.y" :r="d.smallSprocket.r" />
    <template v-if="d.flat">
      <path class="solid" :d="d.flatHead" />
      <path class="thin" :d="d.flatFins" />
    </template>
    <path v-if="bike.cooling === 'liquid'" class="solid" :d="d.radiator" />
    <path class="solid" :d="d.skidPlate" />
    <path class="solid" :d="d.silencer" />
    <path class="solid" :d="d.swingarm" />
    <path v-if="bike.drive !== 'shaft'" :class="bike.drive" :d="d.runs" />
    <circle
      :class="bike.drive === 'shaft' ? 'solid' : 'thin'"
      :cx="wheels[1]!.x"
      :cy="wheels[1]!.y"
      :r="bike.drive === 'shaft' ? 82 * s : d.sprocket"
    />
    <circle class="solid" :cx="wheels[1]!.x" :cy="wheels[1]!.y" :r="22 * s" />
    <path class="fork wide" :d="d.forkLower" />
    <path class="fork inner" :d="d.forkLower" />
    <path class="fork" :d="d.forkUpper" />
    <circle class="solid" :cx="wheels[0]!.x" :cy="wheels[0]!.y" :r="22 * s" />
    <path class="solid" :d="d.tank" />
    <path class="solid" :d="d.seat" />
    <path class="solid" :d="d.tail" />
    <path class="solid" :d="d.mudguard" />
    <path class="thin" :d="d.rack" />
    <template v-if="touring">
      <path class="thin" :d="d.screen" />
      <path class="solid" :d="d.fairing" />
    </template>
    <path v-else class="solid" :d="d.lamp" />
    <path class="bar" :d="d.bars" />
  </g>
</template>

<style scoped>
.bike {
  fill: none;
  stroke: var(--ink);
  stroke-linejoin: round;
  stroke-linecap: round;
}
.faint {
  opacity: 0.45;
}
.tyre {
  stroke-width: 2.6;
}
.tyre.knobs {
  stroke-width: 4.5;
  stroke-dasharray: 5 3.2;
  stroke-linecap: butt;
}
.thin {
  stroke-width: 1.3;
}
.hair {
  stroke-width: 0.6;
  stroke: var(--soft);
}
.cast {
  stroke-width: 4;
  stroke: var(--soft);
}
.solid {
  fill: var(--sheet);
  stroke-width: 1.5;
}
.pipe {
  stroke: var(--soft);
  stroke-width: 6;
}
.shock {
  stroke-width: 7;
  stroke: var(--soft);
  stroke-dasharray: 2 2.4;
  stroke-linecap: butt;
}
.chain {
  stroke-width: 2;
  stroke-dasharray: 3 2.4;
  stroke-linecap: butt;
}
.belt {
  stroke-width: 3;
}
.fork {
  stroke-width: 4.5;
}
.fork.wide {
  stroke-width: 9;
}
.fork.inner {
  stroke-width: 6;
  stroke: var(--sheet);
}
.bar {
  stroke-width: 5;
}
</style>
