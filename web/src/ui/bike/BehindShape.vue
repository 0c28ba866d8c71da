<script setup lang="ts">
/** The bike from behind, drawn from its numbers: tyre, swingarm, seat, tank, bars. Left of the picture is the bike's left. */
import { computed } from 'vue';
import { layoutOf, tyreMeasures, type Bike } from '@necessaire/core';

const props = defineProps<{ bike: Bike; x: (mm: number) => number; y: (mm: number) => number; s: number }>();
const BARS = 400;
const parts = computed(() => {
  const { x, y, bike, s } = props;
  const rear = tyreMeasures(bike.tyreRear);
  const tyre = rear.width / 2;
  const high = rear.radius * 2;
  const seat = bike.seatHeight;
  const flat = layoutOf(bike.engine) === 'flat';
  const box = (half: number, from: number, to: number, r: number) =>
    `M${x(half)} ${y(from)}V${y(to) + r}Q${x(half)} ${y(to)} ${x(half) + r} ${y(to)}H${x(-half) - r}Q${x(-half)} ${y(to)} ${x(-half)} ${y(to) + r}V${y(from)}z`;
  const path = (points: [number, number][], close = true) =>
    `M${points.map(([a, b]) => `${x(a)} ${y(b)}`).join('L')}${close ? 'z' : ''}`;
  return {
    tyre: `M${x(tyre)} ${y(0) - tyre * s}V${y(high) + tyre * s}A${tyre * s} ${tyre * s} 0 0 1 ${x(-tyre)} ${y(high) + tyre * s}V${y(0) - tyre * s}A${tyre * s} ${tyre * s} 0 0 1 ${x(tyre)} ${y(0) - tyre * s}z`,
    tread: [0.2, 0.4, 0.6, 0.8]
      .map((t) =>
        path(
          [
            [-tyre, high * t],
            [0, high * t + 22],
            [tyre, high * t],
          ],
          false,
        ),
      )
      .join(''),
    arm:
      path([
        [tyre + 45, rear.radius - 30],
        [tyre + 45, seat - 190],
        [tyre + 15, seat - 190],
        [tyre + 15, rear.radius - 30],
      ]) +
      path([
        [-tyre - 45, rear.radius - 30],
        [-tyre - 45, seat - 190],
        [-tyre - 15, seat - 190],
        [-tyre - 15, rear.radius - 30],
      ]),
    engine: flat
      ? path([
          [330, rear.radius + 40],
          [330, rear.radius + 180],
          [-330, rear.radius + 180],
          [-330, rear.radius + 40],
        ])
      : '',
    tank: box(150, seat - 40, seat + 165, 22),
    seat: box(135, seat - 80, seat + 30, 14),
    bars: path(
      [
        [-BARS, seat + 235],
        [-230, seat + 215],
        [-70, seat + 200],
        [70, seat + 200],
        [230, seat + 215],
        [BARS, seat + 235],
      ],
      false,
    ),
    pegs:
      path(
        [
          [-240, rear.radius + 60],
          [-tyre - 45, rear.radius + 60],
        ],
        false,
      ) +
      path(
        [
          [240, rear.radius + 60],
          [tyre + 45, rear.radius + 60],
        ],
        false,
      ),
  };
});
</script>

<template>
  <g class="behind" aria-hidden="true">
    <path :d="parts.bars" class="thick" />
    <path :d="parts.tank" class="plane" />
    <path v-if="parts.engine" :d="parts.engine" class="plane" />
    <path :d="parts.pegs" class="thick" />
    <path :d="parts.tyre" class="plane" />
    <path :d="parts.tread" />
    <path :d="parts.arm" class="plane" />
    <path :d="parts.seat" class="plane" />
  </g>
</template>

<style scoped>
.behind {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
  opacity: 0.45;
}
.plane {
  fill: var(--ground);
}
.thick {
  stroke-width: 3.5;
  stroke-linecap: round;
}
</style>
