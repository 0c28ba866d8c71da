<script setup lang="ts">
/** The chosen head: its chain drawn as linked pieces with margin and effort, or why none reaches it and what would. */
import { computed, ref, watch } from 'vue';
import { breakLoose, figure, printShape, unitOf, type Chain, type Fastener } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import ChainDrawing from '../../ui/chain/ChainDrawing.vue';
import { accessWords, massText } from '../../ui/words';

const props = defineProps<{ fastener: Fastener }>();
const answers = useAnswer();
const garage = useGarage();
const explain = useExplain();
const view = useView();
const other = ref(0);
watch(
  () => props.fastener.id,
  () => (other.value = 0),
);

const found = computed(() => answers.byFastener.get(props.fastener.id) ?? null);
const need = computed(() => breakLoose(props.fastener));
interface Shown {
  title: string;
  chain: Chain;
  far: boolean;
}
const shown = computed<Shown[]>(() => {
  const f = found.value;
  if (!f) return [];
  const chains = f.reached ? f.best : (f.cure?.chains ?? []);
  const near = other.value > 0 ? f.others[other.value - 1] : undefined;
  return chains.map((chain, i) => ({
    title: chains.length === 1 ? '' : i === 0 ? 'This end' : 'The far end, held',
    chain: i === 0 && near ? near : chain,
    far: i === 1,
  }));
});
const choices = computed(() =>
  found.value?.reached && !props.fastener.far ? [found.value.best[0]!, ...found.value.others] : [],
);
const headOf = (s: Shown) => (s.far ? props.fastener.far! : props.fastener.head);
const accessOf = (s: Shown) => (s.far ? props.fastener.farAccess : props.fastener.access);
const torque = (v: number) => `${figure(view.units, 'torque', v)} ${unitOf(view.units, 'torque')}`;
const effort = (c: Chain) =>
  c.effort === null ? 'by hand' : c.effort <= 250 ? 'one hand' : c.effort <= 400 ? 'two hands' : 'a foot on the bar';
const bought = computed(() => new Set(found.value?.cure?.buy.map((p) => p.id) ?? []));

function explainChain(c: Chain) {
  const weak = c.links[c.weakest]!;
  explain.show({
    title: `Margin on ${props.fastener.name}`,
    value: c.margin === null ? 'no torque known' : `${c.margin.toFixed(2)} ×`,
    formula: 'least of (weakest piece ÷ break-loose torque) and (arm × allowed force ÷ break-loose torque)',
    inputs: [
      { name: 'break-loose torque', value: need.value ? need.value.source : 'not known' },
      { name: `weakest piece: ${weak.piece.name}`, value: torque(weak.mode.bears) },
      { name: 'arm', value: `${figure(view.units, 'length', c.arm)} ${unitOf(view.units, 'length')}` },
      { name: 'allowed force', value: `${figure(view.units, 'force', c.force)} ${unitOf(view.units, 'force')}` },
      { name: 'hand gives', value: torque(c.handGives) },
      { name: 'fit on the head', value: c.fit.reason },
      {
        name: 'length against recess',
        value: `${figure(view.units, 'length', c.length)} against ${figure(view.units, 'length', props.fastener.access.recess)} ${unitOf(view.units, 'length')}`,
      },
    ],
    source:
      'limits, arms and forces: planning values unless you changed the piece. The manual’s torque is the one to tighten to.',
  });
}
function buy() {
  const pieces = found.value?.cure?.buy ?? [];
  if (pieces.length === 0) return;
  garage.put(
    `add ${pieces.map((p) => p.name).join(' and ')} to the drawer`,
    'pieces',
    ...pieces.map((p) => ({ ...p, id: crypto.randomUUID(), count: 1, note: 'to buy' })),
  );
}
</script>

<template>
  <article class="chain-card" :aria-label="`Chain for ${fastener.name}`">
    <header>
      <h2>{{ fastener.name }}</h2>
      <span class="soft"
        >{{ printShape(fastener.head) }}<template v-if="fastener.far"> and {{ printShape(fastener.far) }}</template
        ><template v-for="w in accessWords(fastener.access, view.units)" :key="w"> · {{ w }}</template></span
      >
    </header>
    <p v-if="!found" class="soft">Working it out …</p>
    <template v-else>
      <div v-if="!found.reached" class="refusal">
        <p v-for="(x, i) in found.fails" :key="i" class="gap">
          <strong>{{ x.end === 'far' ? 'Far end: ' : '' }}{{ x.fail.message }}</strong>
        </p>
        <p v-if="found.loose">
          {{ found.loose }} goes on loosely: it spins the head once it is free, and rounds it under load.
        </p>
        <p v-if="found.cure">
          Would reach it, lightest of the catalogue:
          <strong>{{ found.cure.buy.map((p) => p.name).join(' and ') }}</strong>,
          <span class="num">{{ massText(view.units, found.cure.mass) }}</span>.
          <button class="tool-button quiet" @click="buy">Put it in the drawer</button>
        </p>
        <p v-else>
          Nothing in the catalogue reaches it with the drawer: check its access and torque, or alter a piece.
        </p>
      </div>
      <div v-for="(s, i) in shown" :key="i" class="end">
        <h3 v-if="s.title">{{ s.title }}: {{ printShape(headOf(s)) }}</h3>
        <div class="pair">
          <ChainDrawing :chain="s.chain" :head="headOf(s)" :access="accessOf(s)" :most="shown.length > 1 ? 170 : 250" />
          <ol class="links">
            <li v-for="(k, j) in s.chain.links" :key="j">
              <span :class="{ gap: bought.has(k.piece.id) }"
                >{{ k.piece.name }}<template v-if="bought.has(k.piece.id)"> (to buy)</template></span
              >
              <span class="soft num bears">bears {{ torque(k.mode.bears) }}</span>
            </li>
            <li class="verdict">
              <button class="link" @click="explainChain(s.chain)">
                <template v-if="s.chain.margin !== null"
                  >margin <span class="num">{{ s.chain.margin.toFixed(1) }} ×</span>, {{ effort(s.chain) }}</template
                ><template v-else>no torque known, {{ effort(s.chain) }}</template>
              </button>
            </li>
          </ol>
        </div>
      </div>
      <div v-if="choices.length > 1" class="others">
        <h3>Other ways, in order</h3>
        <button v-for="(c, i) in choices" :key="i" class="link way" :aria-pressed="other === i" @click="other = i">
          {{ c.links.map((k) => k.piece.name).join(' + ') }}
          <span class="soft num">{{ c.margin === null ? '' : `${c.margin.toFixed(1)} ×, ` }}{{ effort(c) }}</span>
        </button>
      </div>
    </template>
    <p class="caution">
      Torque from the manual wins. After axle, brake, steering or wheel work by the road: check by hand before riding,
      re-torque at the first chance.
    </p>
  </article>
</template>

<style scoped>
.chain-card {
  border-top: 1px solid var(--line);
  padding-top: 12px;
  display: grid;
  gap: 10px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
}
h2 {
  color: var(--ink);
  text-transform: none;
  font-size: 18px;
  font-weight: 600;
  letter-spacing: 0;
}
h3 {
  font-size: 15px;
  color: var(--soft);
  font-weight: 500;
}
.refusal {
  display: grid;
  gap: 6px;
  font-size: 15px;
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 230px;
  gap: 16px;
  align-items: center;
}
.links {
  list-style: none;
  margin: 0;
  padding: 0;
}
.links li {
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.bears {
  display: block;
  font-size: 12.5px;
}
.verdict {
  font-size: 15px;
}
.others {
  display: grid;
  gap: 2px;
}
.way {
  font-size: 14px;
  text-decoration: none;
  padding: 3px 0 3px 10px;
  border-left: 3px solid var(--hair);
}
.way[aria-pressed='true'] {
  border-left-color: var(--ink);
  font-weight: 500;
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: 1fr;
  }
  .way {
    min-height: 40px;
  }
}
</style>
