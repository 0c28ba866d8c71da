<script setup lang="ts">
/** The chosen head: its chain drawn as linked pieces with margin and effort, or why none reaches it and what would. */
import { computed, ref, shallowRef, watch } from 'vue';
import {
  breakLoose,
  figure,
  HOOKED_CAUTION,
  isHooked,
  isPlanned,
  planningTorque,
  printShape,
  unitOf,
  type Alternative,
  type Chain,
  type Fastener,
} from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import ChainDrawing from '../../ui/chain/ChainDrawing.vue';
import { accessWords, massText } from '../../ui/words';
import { useMoney } from '../../ui/useMoney';

const { money } = useMoney();
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
const planned = computed(() => (isPlanned(props.fastener) ? planningTorque(props.fastener) : null));
/** Whether what stops it is torque, which a typical value may overstate. */
const hangsOnTorque = computed(
  () =>
    planned.value !== null &&
    planned.value.value > 0 &&
    (found.value?.fails ?? []).some((x) => x.fail.code === 'bears' || x.fail.code === 'arm'),
);
function takeTorque(value: number | null) {
  if (value === null) return;
  garage.put(`torque of ${props.fastener.name}`, 'fasteners', {
    ...props.fastener,
    torque: { value, source: 'manual' },
  });
}
interface Shown {
  title: string;
  chain: Chain;
  far: boolean;
}
const shown = computed<Shown[]>(() => {
  const f = found.value;
  if (!f) return [];
  const chains = f.reached ? (ways.value[other.value] ?? f.best) : (f.cure?.chains ?? []);
  return chains.map((chain, i) => ({
    title: chains.length === 1 ? '' : i === 0 ? 'This end' : 'The far end, held',
    chain,
    far: i === 1,
  }));
});
const ways = computed(() => (found.value?.reached ? [found.value.best, ...found.value.others] : []));
/** Ways are told apart by the end that turns. */
const choices = computed(() => ways.value.map((w) => w[0]!));
const headOf = (s: Shown) => (s.far ? props.fastener.far! : props.fastener.head);
const accessOf = (s: Shown) => (s.far ? props.fastener.farAccess : props.fastener.access);
const torque = (v: number) => `${figure(view.units, 'torque', v)} ${unitOf(view.units, 'torque')}`;
const effort = (c: Chain) =>
  c.effort === null ? 'by hand' : c.effort <= 250 ? 'one hand' : c.effort <= 400 ? 'two hands' : 'a foot on the bar';
const bought = computed(() => new Set(found.value?.cure?.buy.map((p) => p.id) ?? []));

/** What each way costs in the whole set, solved when asked for. */
const priced = shallowRef<Alternative[] | null>(null);
const pricing = ref(false);
watch(
  () => [garage.version, props.fastener.id] as const,
  () => (priced.value = null),
);
async function price() {
  const { doc, bike, trip } = garage;
  if (!doc || !bike) return;
  pricing.value = true;
  const id = props.fastener.id;
  const made = await answers.ask((w) => w.alternatives(doc, { bikeId: bike.id, tripId: trip?.id ?? null }, id));
  pricing.value = false;
  if (made && garage.doc === doc && props.fastener.id === id) priced.value = made;
}
const costOf = (c: Chain): Alternative | null =>
  priced.value?.find((a) => a.chain.join() === c.links.map((k) => k.piece.name).join()) ?? null;
/** What puts a way behind the one before it, in the order in which ways are ranked. */
function why(c: Chain, i: number): string {
  const before = choices.value[i - 1];
  if (!before) return 'the first choice';
  const rank = ['one hand', 'by hand', 'two hands', 'a foot on the bar'];
  if (rank.indexOf(effort(c)) > rank.indexOf(effort(before)) && effort(before) !== effort(c))
    return `takes ${effort(c)}`;
  if (c.links.length > before.links.length) return `${c.links.length} pieces`;
  if (c.mass > before.mass) return `${massText(view.units, c.mass)} of pieces`;
  return 'equal: by name';
}
function explainWay(a: Alternative) {
  explain.show({
    title: a.chain.join(' + '),
    value: massText(view.units, a.set),
    formula:
      'grams of the least set in which this head is turned by just this way; everything else is chosen again around it',
    inputs: [
      { name: 'its pieces alone', value: massText(view.units, a.own) },
      { name: 'against the set as it is', value: signed(-a.grams) },
      {
        name: 'price of the set, against as it is',
        value: `${a.euros > 0 ? '−' : '+'}${money(Math.abs(a.euros))}`,
      },
      { name: 'leaves', value: a.leaves.join(', ') || 'nothing' },
      { name: 'comes', value: a.comes.join(', ') || 'nothing' },
    ],
    source: 'difference of two optima; masses and prices are typical values until you weigh and pay',
  });
}
const signed = (grams: number) =>
  Math.abs(grams) < 0.05 ? 'no more' : `${grams > 0 ? '+' : '−'}${massText(view.units, Math.abs(grams))}`;

function explainChain(c: Chain) {
  const weak = c.links[c.weakest]!;
  explain.show({
    title: `Margin on ${props.fastener.name}`,
    value: c.margin === null ? 'no torque known' : `${c.margin.toFixed(2)} ×`,
    formula: 'least of (weakest tool ÷ break-loose torque) and (arm × allowed force ÷ break-loose torque)',
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
      'limits, arms and forces: typical values unless you changed the tool. The manual’s torque is the one to tighten to.',
  });
}
function buy() {
  const pieces = found.value?.cure?.buy ?? [];
  if (pieces.length === 0) return;
  garage.put(
    `add ${pieces.map((p) => p.name).join(' and ')} to the toolbox`,
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
    <p v-if="!found" class="soft">Calculating …</p>
    <template v-else>
      <div v-if="!found.reached" class="refusal">
        <p v-for="(x, i) in found.fails" :key="i" class="gap">
          <strong>{{ x.end === 'far' ? 'Far end: ' : '' }}{{ view.inWords(x.fail.message) }}</strong>
        </p>
        <div v-if="hangsOnTorque" class="planned">
          <p>
            The torque is not known: {{ torque(planned!.value) }} is a {{ view.inWords(planned!.source) }}.
            <strong>Enter the value from your manual.</strong>
          </p>
          <OptionalNumber
            label="Torque from the manual"
            quantity="torque"
            :min="0.1"
            :max="1000"
            empty="not looked up"
            :model-value="null"
            @update:model-value="takeTorque"
          />
        </div>
        <p v-if="found.loose">
          {{ found.loose }} goes on loosely: it spins the head once it is free, and rounds it under load.
        </p>
        <p v-if="found.barred.length > 0">
          Your own {{ found.barred.join(' and ') }} would reach it. Remove its “never” mark in the toolbox.
        </p>
        <p v-if="found.cure">
          Buy this to reach it:
          <strong>{{ found.cure.buy.map((p) => p.name).join(' and ') }}</strong>,
          <span class="num">{{ massText(view.units, found.cure.mass) }}</span>.
          <v-btn variant="tonal" @click="buy">Add it to the toolbox</v-btn>
        </p>
        <p v-else>Nothing in the catalogue reaches it with the toolbox: check its access and torque, or edit a tool.</p>
      </div>
      <p v-if="shown.some((s) => isHooked(s.chain))" class="caution">{{ HOOKED_CAUTION }}</p>
      <p v-if="found.cure?.warning" class="caution">{{ found.cure.warning }}</p>
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
              <v-btn variant="plain" @click="explainChain(s.chain)">
                <template v-if="s.chain.margin !== null"
                  >margin <span class="num">{{ s.chain.margin.toFixed(1) }} ×</span>, {{ effort(s.chain) }}</template
                ><template v-else>no torque known, {{ effort(s.chain) }}</template>
              </v-btn>
            </li>
          </ol>
        </div>
      </div>
      <div v-if="choices.length > 1" class="others">
        <h3>Other options, best first</h3>
        <div v-for="(c, i) in choices" :key="i" class="way-row">
          <v-btn variant="plain" class="way" :aria-pressed="other === i" @click="other = i">
            {{ c.links.map((k) => k.piece.name).join(' + ') }}
            <span class="soft num">{{ c.margin === null ? '' : `${c.margin.toFixed(1)} ×, ` }}{{ effort(c) }}</span>
            <span v-if="i > 0" class="soft">· {{ why(c, i) }}</span>
          </v-btn>
          <v-btn variant="plain" v-if="costOf(c)" class="num" @click="explainWay(costOf(c)!)">
            {{ signed(-costOf(c)!.grams) }}<small class="soft">kit {{ massText(view.units, costOf(c)!.set) }}</small>
          </v-btn>
        </div>
        <p v-if="!priced">
          <v-btn variant="tonal" :disabled="pricing" @click="price">
            {{ pricing ? 'Calculating each …' : 'Compare kit weight for each option' }}
          </v-btn>
        </p>
      </div>
    </template>
    <p class="caution">
      The torque in the manual comes first. After axle, brake, steering or wheel work by the road: check by hand before
      riding, and tighten with a torque wrench at the first chance.
    </p>
  </article>
</template>

<style scoped>
.planned {
  display: grid;
  grid-template-columns: 1fr minmax(140px, 200px);
  gap: 4px 14px;
  align-items: end;
}
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
.way-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  align-items: start;
}
.way-row small {
  display: block;
  font-size: 12px;
}
.way-row .num {
  text-align: right;
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
