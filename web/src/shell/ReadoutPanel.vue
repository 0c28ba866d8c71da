<script setup lang="ts">
import { computed, ref } from 'vue';
import { figure, unitOf, WORTH_CARRYING, type Quantity } from '@necessaire/core';
import { useAnswer, type Figures } from '../stores/answer';
import { useExplain } from '../stores/explain';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';

const answers = useAnswer();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const opened = ref(false);

interface Cell {
  key: keyof Figures;
  label: string;
  value: string;
  unit: string;
  diff: string;
  good: boolean;
  bad?: boolean;
  explain: () => void;
}

/** Difference of a figure as text; empty when it did not move by what is shown. */
function difference(key: keyof Figures, quantity: Quantity | null, digits?: number): string {
  const [was, now] = [answers.shownBefore?.[key], answers.shown?.[key]];
  if (was === undefined || now === undefined || was === now) return '';
  const text = quantity ? figure(view.units, quantity, Math.abs(now - was), digits) : String(Math.abs(now - was));
  return Number(text) === 0 ? '' : `${now > was ? '+' : '−'}${text}`;
}

const cells = computed<Cell[]>(() => {
  const f = answers.shown;
  const a = answers.answer;
  const u = view.units;
  const q = (quantity: Quantity, value: number) => figure(u, quantity, value);
  const rose = (key: keyof Figures) => (f && answers.shownBefore ? f[key] > answers.shownBefore[key] : false);
  const value = (text: string) => (f ? text : '–');
  const kitBy = (mass: number) => `${q('weight', mass)} ${unitOf(u, 'weight')}`;
  return [
    {
      key: 'reached',
      label: 'Reached',
      value: value(String(f?.reached)),
      unit: f ? `/${f.chosen}` : '',
      diff: difference('reached', null),
      good: rose('reached'),
      explain: () =>
        explain.show({
          title: 'Fasteners reached',
          value: `${f?.reached} of ${f?.chosen}`,
          formula:
            'A fastener is reached when at each end a chain of pieces goes from the hand to the head: every coupling fits by free play, length ≥ recess, width ≤ what is free, every piece bears the break-loose torque, and arm × allowed force gives it. Both ends at once share no piece.',
          inputs: [
            { name: 'chosen fasteners', value: String(f?.chosen) },
            { name: 'left out, with a reason', value: String(garage.fasteners.length - (f?.chosen ?? 0)) },
            { name: 'pieces in the drawer', value: String(garage.doc?.pieces.length ?? 0) },
          ],
          source: 'your drawer and your survey; limits of pieces are planning values unless you changed them',
          to: { path: '/match', label: 'See each one in Match' },
        }),
    },
    {
      key: 'gaps',
      label: 'Gaps',
      value: value(String(f?.gaps)),
      unit: '',
      diff: difference('gaps', null),
      good: !rose('gaps'),
      bad: (f?.gaps ?? 0) > 0,
      explain: () =>
        explain.show({
          title: 'Gaps',
          value: String(f?.gaps),
          formula: 'chosen − reached',
          inputs: [
            { name: 'chosen', value: String(f?.chosen) },
            { name: 'reached', value: String(f?.reached) },
          ],
          source: 'your drawer and your survey',
          to: { path: '/match', label: 'See why, and what would cure each' },
        }),
    },
    {
      key: 'mass',
      label: 'Kit',
      value: value(q('weight', f?.mass ?? 0)),
      unit: unitOf(u, 'weight'),
      diff: difference('mass', 'mass'),
      good: !rose('mass'),
      explain: () =>
        explain.show({
          title: 'Mass of the kit',
          value: kitBy(f?.mass ?? 0),
          formula:
            'tools + spares. Tools: the lightest set of your drawer that reaches every fastener that the drawer reaches and has the functions that likely troubles ask for, found by exact integer programming; ties go to fewer pieces, then to the lower price.',
          inputs: [
            { name: 'tools', value: kitBy(a?.kit.toolMass ?? 0) },
            { name: 'spares', value: kitBy(a?.kit.spareMass ?? 0) },
            {
              name: 'proof',
              value: a?.kit.proven ? 'proven lightest' : `within ${((a?.kit.gap ?? 0) * 100).toFixed(1)} % of proven`,
            },
            { name: 'a trouble asks for tools from', value: `${WORTH_CARRYING * 100} % of trips (planning value)` },
          ],
          source: 'masses: planning values by size unless you weighed them',
          to: { path: '/kit', label: 'See each piece and why' },
        }),
    },
    {
      key: 'bulk',
      label: 'Bulk',
      value: value(q('volume', f?.bulk ?? 0)),
      unit: unitOf(u, 'volume'),
      diff: difference('bulk', 'volume'),
      good: !rose('bulk'),
      explain: () =>
        explain.show({
          title: 'Bulk',
          value: `${q('volume', f?.bulk ?? 0)} ${unitOf(u, 'volume')}`,
          formula: 'Σ length × width × height of every piece and spare ÷ 0.65 fill',
          inputs: [{ name: 'fill of odd pieces', value: '0.65 (planning value)' }],
          source: 'measures: planning values by size',
          to: { path: '/stow', label: 'See where it goes' },
        }),
    },
    {
      key: 'home',
      label: 'Home by own means',
      value: value(q('share', f?.home ?? 0)),
      unit: '%',
      diff: difference('home', 'share'),
      good: rose('home'),
      explain: () =>
        explain.show({
          title: 'Home by own means',
          value: `${q('share', f?.home ?? 0)} %`,
          formula: 'Π over troubles that end the ride of P(N ≤ mends at ride-out or better), N Poisson with mean Λ',
          inputs: (a?.kit.mends ?? [])
            .filter((m) => m.covered < 0.995)
            .sort((x, y) => x.covered - y.covered)
            .slice(0, 8)
            .map((m) => ({
              name: m.name,
              value: `${(m.covered * 100).toFixed(1)} %`,
            })),
          source: 'rates per 1000 km: planning values. Exact for stocks that no two troubles share.',
          to: { path: '/trip', label: 'See each trouble' },
        }),
    },
    {
      key: 'atStake',
      label: 'Hours at stake',
      value: value(q('hours', f?.atStake ?? 0)),
      unit: 'h',
      diff: difference('atStake', 'hours'),
      good: !rose('atStake'),
      explain: () =>
        explain.show({
          title: 'Hours still at stake',
          value: `${q('hours', f?.atStake ?? 0)} h`,
          formula: 'Σ over troubles of Λ × the most that any way saves, less what this kit’s ways save',
          inputs: [
            { name: 'at stake without any kit', value: `${q('hours', (a?.kit.atStake ?? 0) + (a?.kit.saved ?? 0))} h` },
            { name: 'saved by this kit', value: `${q('hours', a?.kit.saved ?? 0)} h` },
          ],
          source: 'rates and hours stranded: planning values and your legs',
          to: { path: '/trip', label: 'See each trouble' },
        }),
    },
    {
      key: 'sure',
      label: 'Measured or better',
      value: value(q('share', f?.sure ?? 0).replace(/\.\d$/, '')),
      unit: '%',
      diff: difference('sure', 'share', 0),
      good: rose('sure'),
      explain: () =>
        explain.show({
          title: 'Sizes that are known',
          value: `${((f?.sure ?? 0) * 100).toFixed(0)} %`,
          formula: '(measured + tried + proven) ÷ chosen',
          inputs: a ? Object.entries(a.evidence).map(([name, n]) => ({ name, value: String(n) })) : [],
          source: 'your survey',
          to: { path: '/walk', label: 'Go round the bike' },
        }),
    },
  ];
});
const folded = computed(() =>
  opened.value ? cells.value : cells.value.filter((c) => c.key === 'gaps' || c.key === 'mass'),
);
</script>

<template>
  <footer class="readout panel" aria-label="Readout" :data-working="answers.busy ? 'yes' : 'no'">
    <div class="cells wide">
      <button v-for="c in cells" :key="c.key" class="plain cell" :data-figure="c.key" @click="c.explain">
        <span class="name">{{ c.label }}</span>
        <span class="value num"
          ><span class="big" :class="{ bad: c.bad }">{{ c.value }}</span
          ><span class="unit">{{ c.unit }}</span>
          <span v-if="c.diff" class="diff" :class="c.good ? 'up' : 'down'">{{ c.diff }}</span></span
        >
      </button>
    </div>
    <div class="cells narrow">
      <button v-for="c in folded" :key="c.key" class="plain cell" @click="c.explain">
        <span class="name">{{ c.label }}</span>
        <span class="value num"
          ><span class="big" :class="{ bad: c.bad }">{{ c.value }}</span
          ><span class="unit">{{ c.unit }}</span>
          <span v-if="c.diff" class="diff" :class="c.good ? 'up' : 'down'">{{ c.diff }}</span></span
        >
      </button>
      <button class="plain fold" :aria-expanded="opened" @click="opened = !opened">
        {{ opened ? 'fewer' : 'all' }}
      </button>
    </div>
    <p v-if="answers.draftShown" class="state">as typed, not added yet</p>
    <p v-else-if="answers.slow" class="state" role="status">working: {{ answers.phase }} …</p>
  </footer>
</template>

<style scoped>
.readout {
  background: var(--panel);
  color: var(--panel-ink);
  position: relative;
  min-width: 0;
}
.cells {
  display: grid;
  height: 100%;
}
.wide {
  grid-template-columns: 1.25fr 0.8fr 1.5fr 1fr 1.35fr 1.25fr 1.3fr;
}
.narrow {
  display: none;
}
.cell {
  padding: 9px 10px 0 20px;
  border-right: 1px solid var(--panel-line);
  min-width: 0;
}
.cell:last-child {
  border-right: 0;
}
.name {
  display: block;
  font-family: var(--v-font-heading);
  font-size: 13px;
  letter-spacing: 0.05em;
  text-transform: uppercase;
  color: var(--panel-soft);
  white-space: nowrap;
}
.value {
  white-space: nowrap;
  display: block;
  line-height: 1.2;
}
.big {
  font-size: 24px;
}
.big.bad {
  color: var(--panel-bad);
}
.unit {
  font-size: 14px;
  color: var(--panel-soft);
  margin-left: 4px;
}
.diff {
  font-size: 14px;
  margin-left: 8px;
}
.diff.up {
  color: var(--panel-good);
}
.diff.down {
  color: var(--panel-bad);
}
.state {
  position: absolute;
  right: 12px;
  top: -24px;
  background: var(--panel);
  padding: 2px 10px;
  font-size: 13px;
}
@media (max-width: 1180px) {
  .cell {
    padding-left: 10px;
  }
  .big {
    font-size: 20px;
  }
  .name {
    font-size: 12px;
    letter-spacing: 0.02em;
  }
}
@media (max-width: 760px) {
  .wide {
    display: none;
  }
  .narrow {
    display: grid;
    grid-template-columns: 1fr 1fr auto;
  }
  .cell {
    padding: 5px 6px 6px 14px;
    border-bottom: 1px solid var(--panel-line);
  }
  .fold {
    padding: 0 16px;
    min-height: 44px;
    display: grid;
    place-items: center;
    font-family: var(--v-font-heading);
    text-decoration: underline;
  }
  .big {
    font-size: 20px;
  }
}
</style>
