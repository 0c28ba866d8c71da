<script setup lang="ts">
/** A head drawn by its own outline, with the size inside: the form is a shape, the state a colour. */
import { computed } from 'vue';
import { glyphSize, isInch, printShape, type Head } from '@necessaire/core';
import * as texts from '../words/ui/headGlyph';

const props = withDefaults(
  defineProps<{
    head: Head;
    tone?: 'proven' | 'measured' | 'assumed' | 'gap' | 'ink';
    size?: number;
    label?: string;
  }>(),
  { tone: 'ink', size: 34, label: '' },
);

const points = (n: number, radius: number, turn = -90, inner = radius) =>
  Array.from({ length: n }, (_, i) => {
    const r = i % 2 === 0 ? radius : inner;
    const a = ((turn + (360 / n) * i) * Math.PI) / 180;
    return `${(20 + r * Math.cos(a)).toFixed(2)},${(20 + r * Math.sin(a)).toFixed(2)}`;
  }).join(' ');
const HEX = points(6, 17.5);
const HEX_TURNED = points(6, 17.5, -60);
const HEX_IN = points(6, 13);
/** A six-lobe as a smooth closed curve. */
const LOBE = (() => {
  const steps = 48;
  return `M${Array.from({ length: steps }, (_, i) => {
    const a = (i / steps) * Math.PI * 2;
    const r = 13.6 + 1.5 * Math.cos(6 * a);
    return `${(20 + r * Math.cos(a)).toFixed(2)} ${(20 + r * Math.sin(a)).toFixed(2)}`;
  }).join('L')}Z`;
})();
const LOBE_OUT = (() => {
  const steps = 60;
  return `M${Array.from({ length: steps }, (_, i) => {
    const a = (i / steps) * Math.PI * 2;
    const r = 16 + 1.8 * Math.cos(6 * a);
    return `${(20 + r * Math.cos(a)).toFixed(2)} ${(20 + r * Math.sin(a)).toFixed(2)}`;
  }).join('L')}Z`;
})();
const NOTCHED = (() => {
  const parts: string[] = [];
  for (let i = 0; i < 8; i++) {
    const at = (d: number, r: number) => {
      const a = ((i * 45 + d) * Math.PI) / 180;
      return `${(20 + r * Math.cos(a)).toFixed(2)} ${(20 + r * Math.sin(a)).toFixed(2)}`;
    };
    parts.push(`${at(0, 17.5)}L${at(32, 17.5)}L${at(32, 14)}L${at(45, 14)}`);
  }
  return `M${parts.join('L')}Z`;
})();
const inch = computed(() => isInch(props.head.size));
const text = computed(() => glyphSize(props.head).replace('in', ''));
const filled = computed(() => ['key', 'lobe', 'lobe-pin', 'ph', 'jis', 'square'].includes(props.head.form));
const small = computed(() => text.value.length > 3);
</script>

<template>
  <svg
    class="head"
    :class="tone"
    :width="size"
    :height="size"
    viewBox="0 0 40 40"
    role="img"
    :aria-label="label || printShape(head)"
  >
    <polygon v-if="head.form === 'hex' || head.form === 'plug' || head.form === 'spoke'" class="out" :points="HEX" />
    <template v-if="head.form === 'hex12'">
      <polygon class="out" :points="HEX" />
      <polygon class="out" :points="HEX_TURNED" />
    </template>
    <path v-if="head.form === 'plug'" class="out" d="M20 1v6M20 33v6" />
    <path v-if="head.form === 'spoke'" class="out" d="M14 20h-5M31 20h-5" />
    <circle v-if="filled || head.form === 'slot'" class="out" cx="20" cy="20" r="17.5" />
    <polygon v-if="head.form === 'key'" class="fill" :points="HEX_IN" />
    <path v-if="head.form === 'lobe' || head.form === 'lobe-pin'" class="fill" :d="LOBE" />
    <path v-if="head.form === 'lobe-out'" class="out" :d="LOBE_OUT" />
    <path v-if="head.form === 'ph' || head.form === 'jis'" class="fill" d="M15 7h10v8h8v10h-8v8h-10v-8h-8v-10h8z" />
    <circle v-if="head.form === 'jis'" class="out-fill" cx="31" cy="9" r="2.6" />
    <rect v-if="head.form === 'square'" class="fill" x="10" y="10" width="20" height="20" />
    <path v-if="head.form === 'slot'" class="out" d="M4 14h32M4 26h32" />
    <path v-if="head.form === 'hook'" class="out" :d="NOTCHED" />
    <template v-if="head.form === 'valve'">
      <circle class="out" cx="20" cy="20" r="17.5" />
      <path class="out" d="M20 8v24M14 14h12M14 26h12" />
    </template>
    <template v-if="head.form === 'clip'"><path class="out" d="M9 10h16a9 9 0 0 1 0 20H9M9 20h14" /></template>
    <text
      v-if="text"
      x="20"
      :y="inch ? 21.5 : 24.8"
      :class="{ light: filled, small, inch, lobe: head.form.startsWith('lobe') && filled }"
      text-anchor="middle"
    >
      {{ text }}
    </text>
    <text v-if="inch" x="20" y="30" class="unit" :class="{ light: filled }" text-anchor="middle">{{ texts.in2 }}</text>
  </svg>
</template>

<style scoped>
.head {
  color: var(--ink);
  flex: none;
}
.proven {
  color: var(--proven);
}
.measured {
  color: var(--measured);
}
.assumed {
  color: var(--assumed);
}
.gap {
  color: var(--gap);
}
.out {
  fill: none;
  stroke: currentColor;
  stroke-width: 2;
}
.fill,
.out-fill {
  fill: currentColor;
}
text {
  font-family: var(--figures);
  font-weight: 600;
  font-size: 14px;
  fill: currentColor;
}
text.small {
  font-size: 10.5px;
  letter-spacing: -0.5px;
}
text.unit {
  font-size: 9px;
}
text.inch.small {
  font-size: 10px;
  letter-spacing: -0.8px;
}
text.light {
  fill: var(--sheet);
}
text.light:not(.unit, .inch) {
  font-size: 12px;
}
text.lobe:not(.unit, .inch) {
  font-size: 10.5px;
  letter-spacing: -0.4px;
}
text.light.inch,
text.light.unit {
  font-size: 8.5px;
  letter-spacing: -0.8px;
}
</style>
