<script setup lang="ts">
/** The chosen head: its chain drawn as linked pieces with margin and effort, or why none reaches it and what would. */
import { computed, ref, shallowRef, watch } from 'vue';
import {
  at,
  present,
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
import * as texts from '../../words/match/chainCard';

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
  garage.put(texts.torqueOf(props.fastener.name), 'fasteners', {
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
    title: chains.length === 1 ? '' : i === 0 ? texts.thisEnd : texts.theFarEndHeld,
    chain,
    far: i === 1,
  }));
});
const ways = computed(() => (found.value?.reached ? [found.value.best, ...found.value.others] : []));
/** Ways are told apart by the end that turns. */
const choices = computed(() => ways.value.map((w) => at(w, 0)));
const headOf = (s: Shown) => (s.far ? present(props.fastener.far) : props.fastener.head);
const accessOf = (s: Shown) => (s.far ? props.fastener.farAccess : props.fastener.access);
const torque = (v: number) => `${figure(view.units, 'torque', v)} ${unitOf(view.units, 'torque')}`;
const effort = (c: Chain) =>
  c.effort === null
    ? texts.byHand
    : c.effort <= 250
      ? texts.oneHand
      : c.effort <= 400
        ? texts.twoHands
        : 'a foot on the bar';
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
  if (!before) return texts.theFirstChoice;
  const rank = [texts.oneHand, texts.byHand, texts.twoHands, 'a foot on the bar'];
  if (rank.indexOf(effort(c)) > rank.indexOf(effort(before)) && effort(before) !== effort(c))
    return texts.takes(effort(c));
  if (c.links.length > before.links.length) return texts.pieces(c.links.length);
  if (c.mass > before.mass) return texts.ofPieces(massText(view.units, c.mass));
  return texts.equalByName;
}
function explainWay(a: Alternative) {
  explain.show({
    title: a.chain.join(' + '),
    value: massText(view.units, a.set),
    formula: texts.gramsOfTheLeastSet,
    inputs: [
      { name: texts.itsPiecesAlone, value: massText(view.units, a.own) },
      { name: texts.againstTheSetAsIt, value: signed(-a.grams) },
      {
        name: texts.priceOfTheSetAgainst,
        value: `${a.euros > 0 ? '−' : '+'}${money(Math.abs(a.euros))}`,
      },
      { name: texts.leaves, value: a.leaves.join(', ') || texts.nothing },
      { name: texts.comes, value: a.comes.join(', ') || texts.nothing },
    ],
    source: texts.differenceOfTwoOptimaMasses,
  });
}
const signed = (grams: number) =>
  Math.abs(grams) < 0.05 ? texts.noMore : `${grams > 0 ? '+' : '−'}${massText(view.units, Math.abs(grams))}`;

function explainChain(c: Chain) {
  const weak = at(c.links, c.weakest);
  explain.show({
    title: texts.marginOn(props.fastener.name),
    value: c.margin === null ? texts.noTorqueKnown2 : `${c.margin.toFixed(2)} ×`,
    formula: texts.leastOfWeakestToolBreak,
    inputs: [
      { name: texts.breakLooseTorque, value: need.value ? need.value.source : texts.notKnown },
      { name: texts.weakestPiece(weak.piece.name), value: torque(weak.mode.bears) },
      { name: texts.arm, value: `${figure(view.units, 'length', c.arm)} ${unitOf(view.units, 'length')}` },
      { name: texts.allowedForce, value: `${figure(view.units, 'force', c.force)} ${unitOf(view.units, 'force')}` },
      { name: texts.handGives, value: torque(c.handGives) },
      { name: texts.fitOnTheHead, value: c.fit.reason },
      {
        name: texts.lengthAgainstRecess,
        value: texts.against(
          figure(view.units, 'length', c.length),
          figure(view.units, 'length', props.fastener.access.recess),
          unitOf(view.units, 'length'),
        ),
      },
    ],
    source: texts.limitsArmsAndForcesTypical,
  });
}
function buy() {
  const pieces = found.value?.cure?.buy ?? [];
  if (pieces.length === 0) return;
  garage.put(
    texts.addToTheToolbox(pieces.map((p) => p.name).join(texts.andMore)),
    'pieces',
    ...pieces.map((p) => ({ ...p, id: crypto.randomUUID(), count: 1, note: texts.toBuy2 })),
  );
}
</script>

<template>
  <article class="chain-card" :aria-label="texts.chainFor(fastener.name)">
    <header>
      <h2>{{ fastener.name }}</h2>
      <span class="soft"
        >{{ printShape(fastener.head)
        }}<template v-if="fastener.far"> {{ ' ' }}{{ texts.and(printShape(fastener.far)) }}</template
        ><template v-for="w in accessWords(fastener.access, view.units)" :key="w"> · {{ w }}</template></span
      >
    </header>
    <p v-if="!found" class="soft">{{ texts.calculating }}</p>
    <template v-else>
      <div v-if="!found.reached" class="refusal">
        <p v-for="(x, i) in found.fails" :key="i" class="gap">
          <strong>{{ x.end === 'far' ? texts.farEnd : '' }}{{ view.inWords(x.fail.message) }}</strong>
        </p>
        <div v-if="hangsOnTorque" class="planned">
          <p>
            {{ texts.theTorqueIsNotKnown(torque(present(planned).value), view.inWords(present(planned).source)) }}
            <strong>{{ texts.enterTheValueFromYour }}</strong>
          </p>
          <OptionalNumber
            :label="texts.torqueFromTheManual"
            quantity="torque"
            :min="0.1"
            :max="1000"
            :empty="texts.notLookedUp"
            :model-value="null"
            @update:model-value="takeTorque"
          />
        </div>
        <p v-if="found.loose">
          {{ texts.goesOnLooselyItSpins(found.loose) }}
        </p>
        <p v-if="found.barred.length > 0">
          {{ texts.yourOwnWouldReachIt(found.barred.join(texts.andMore)) }}
        </p>
        <p v-if="found.cure">
          {{ texts.buyThisToReachIt }}
          <strong>{{ found.cure.buy.map((p) => p.name).join(texts.andMore) }}</strong>,
          <span class="num">{{ massText(view.units, found.cure.mass) }}</span>.
          <v-btn variant="tonal" @click="buy">{{ texts.addItToTheToolbox }}</v-btn>
        </p>
        <p v-else>{{ texts.nothingInTheCatalogueReaches }}</p>
      </div>
      <p v-if="shown.some((s) => isHooked(s.chain))" class="caution">{{ HOOKED_CAUTION }}</p>
      <p v-if="found.cure?.warning" class="caution">{{ view.inWords(found.cure.warning) }}</p>
      <div v-for="(s, i) in shown" :key="i" class="end">
        <h3 v-if="s.title">{{ s.title }}: {{ printShape(headOf(s)) }}</h3>
        <div class="pair">
          <ChainDrawing :chain="s.chain" :head="headOf(s)" :access="accessOf(s)" :most="shown.length > 1 ? 170 : 250" />
          <ol class="links">
            <li v-for="(k, j) in s.chain.links" :key="j">
              <span :class="{ gap: bought.has(k.piece.id) }"
                >{{ k.piece.name }}<template v-if="bought.has(k.piece.id)"> {{ ' ' }}{{ texts.toBuy }}</template></span
              >
              <span class="soft num bears">{{ texts.bears(torque(k.mode.bears)) }}</span>
            </li>
            <li class="verdict">
              <v-btn variant="plain" @click="explainChain(s.chain)">
                <template v-if="s.chain.margin !== null"
                  >{{ texts.margin }} <span class="num">{{ s.chain.margin.toFixed(1) }} ×</span>,
                  {{ effort(s.chain) }}</template
                ><template v-else>{{ texts.noTorqueKnown(effort(s.chain)) }}</template>
              </v-btn>
            </li>
          </ol>
        </div>
      </div>
      <div v-if="choices.length > 1" class="others" role="group" :aria-label="texts.otherOptionsBestFirst">
        <h3>{{ texts.otherOptionsBestFirst }}</h3>
        <div role="list">
          <div v-for="(c, i) in choices" :key="i" class="way-row" role="listitem">
            <v-btn variant="plain" class="way" :aria-pressed="other === i" @click="other = i">
              {{ c.links.map((k) => k.piece.name).join(' + ') }}
              <span class="soft num">{{ c.margin === null ? '' : `${c.margin.toFixed(1)} ×, ` }}{{ effort(c) }}</span
              >{{ ' ' }}<span v-if="i > 0" class="soft">· {{ why(c, i) }}</span>
            </v-btn>
            <v-btn variant="plain" v-if="costOf(c)" class="num" @click="explainWay(present(costOf(c)))">
              {{ signed(-present(costOf(c)).grams)
              }}<small class="soft">{{ texts.kit(massText(view.units, present(costOf(c)).set)) }}</small>
            </v-btn>
          </div>
        </div>
        <p v-if="!priced">
          <v-btn variant="tonal" :disabled="pricing" @click="price">
            {{ pricing ? texts.calculatingEach : texts.compareKitWeightForEach }}
          </v-btn>
        </p>
      </div>
    </template>
    <p class="caution">
      {{ texts.theTorqueInTheManual }}
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
