<script setup lang="ts">
import { computed, ref } from 'vue';
import { figure, unitOf, type KitPiece, type KitSpare } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { massText, percent } from '../../ui/words';
import MassStrip from './MassStrip.vue';
import PracticeSwitches from './PracticeSwitches.vue';

const answers = useAnswer();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const tab = ref<'pieces' | 'spares' | 'home'>('pieces');

const kit = computed(() => answers.answer?.kit ?? null);
const pieces = computed(() =>
  [...(kit.value?.pieces ?? [])].sort((a, b) => b.piece.mass * b.count - a.piece.mass * a.count),
);
const spares = computed(() => [...(kit.value?.spares ?? [])].sort((a, b) => b.mass - a.mass));
const toBuyPrice = computed(() => pieces.value.reduce((s, p) => s + (p.toBuy ? p.piece.price * p.count : 0), 0));
const toBuy = computed(() => spares.value.filter((s) => s.buy > 0));
const left = computed(() => {
  const carried = new Set(pieces.value.map((p) => p.piece.id));
  return (garage.doc?.pieces ?? []).filter((p) => !carried.has(p.id));
});
/** A head's name, with its bike's where that is another one's. */
function nameOf(id: string): string {
  const f = garage.doc?.fasteners.find((x) => x.id === id);
  if (!f) return '';
  const bike = f.bikeId === garage.bike?.id ? null : garage.doc?.bikes.find((b) => b.id === f.bikeId);
  return bike ? `${f.name.toLowerCase()} of ${bike.name}` : f.name.toLowerCase();
}
const picked = ref<string | null>(null);
const chosen = computed(() => pieces.value.find((p) => p.piece.id === picked.value) ?? pieces.value[0] ?? null);

function reason(p: KitPiece): string {
  const parts: string[] = [];
  if (p.needed.length > 0)
    parts.push(
      p.needed.length === 1 ? `only for ${nameOf(p.needed[0]!)}` : `${p.needed.length} heads are lost without it`,
    );
  if (p.serves.length > 0) parts.push(`for ${p.serves.map((s) => s.toLowerCase()).join(', ')}`);
  if (p.piece.mark === 'always' || p.piece.mark === 'twice') parts.push(`you marked it ${p.piece.mark}`);
  if (p.standsInFor.length > 0)
    parts.push(
      p.standsInFor.every((name) => name === p.piece.name)
        ? 'a second one, should one be lost or break'
        : `stands in for ${p.standsInFor.join(', ')}, should it be lost or break`,
    );
  return parts.join(' · ') || 'shares its heads with another piece';
}
function explainPiece(p: KitPiece) {
  explain.show({
    title: p.piece.name,
    value: massText(view.units, p.piece.mass * p.count),
    formula: 'needed by = heads that no chain of the rest of the kit reaches when one copy stays at home',
    inputs: [
      { name: 'heads lost without it', value: String(p.needed.length) },
      { name: 'copies', value: String(p.count) },
      { name: 'expected uses for troubles', value: p.uses.toFixed(2) },
      { name: 'price', value: `${p.piece.price.toFixed(2)} EUR` },
    ],
    source: `mass: ${p.piece.source}`,
    to: { path: '/match', label: 'See the chains' },
  });
}
function explainSpare(s: KitSpare) {
  explain.show({
    title: s.name,
    value: `${s.quantity}, ${massText(view.units, s.mass)}`,
    formula: s.formula,
    inputs: [
      { name: 'owned', value: String(s.owned) },
      { name: 'to buy', value: String(s.buy) },
      { name: 'expected use', value: s.expected.toFixed(2) },
    ],
    source: 'rates and masses: planning values',
    to: { path: '/trip', label: 'See the odds' },
  });
}
/** The kit is the least in what the practice says. */
const WORDS = {
  mass: ['lightest', 'lighter'],
  bulk: ['smallest', 'smaller'],
  price: ['cheapest', 'cheaper'],
  blend: ['handiest', 'handier'],
} as const;
const superlative = computed(() => WORDS[garage.doc?.garage.practice.least ?? 'mass'][0]);
const comparative = computed(() => WORDS[garage.doc?.garage.practice.least ?? 'mass'][1]);
const lost = computed(() => chosen.value?.needed.map((id) => nameOf(id)).filter(Boolean) ?? []);
</script>

<template>
  <div class="stage">
    <section class="picture">
      <div class="stage-head">
        <h1>The {{ superlative }} kit that reaches all</h1>
        <p v-if="kit">
          <strong class="num big"
            >{{ figure(view.units, 'weight', kit.mass) }} {{ unitOf(view.units, 'weight') }}</strong
          >,
          <template v-if="kit.proven"
            >proven: no {{ comparative }} set
            {{
              garage.doc?.garage.practice.from === 'catalogue'
                ? 'of the catalogue'
                : garage.doc?.garage.practice.from === 'drawer first'
                  ? 'of this drawer and what completes it'
                  : 'of this drawer'
            }}
            does what it does.</template
          >
          <template v-else>not yet proven: at most {{ percent(kit.gap, 1) }} over the {{ superlative }}.</template>
          <template v-if="kit.pieces.length > 0">
            Its tools are worth <span class="num">{{ kit.worth.toFixed(0) }} €</span
            ><template v-if="toBuyPrice > 0"
              >, <span class="num">{{ toBuyPrice.toFixed(0) }} €</span> of it to buy</template
            >.</template
          >
          <strong v-if="!kit.withinWorth" class="gap">
            No set of tools keeps to your {{ garage.doc?.garage.practice.worth }} € limit; this is the
            {{ superlative }} without it.</strong
          >
        </p>
      </div>
      <p v-if="kit && kit.pieces.length === 0" class="empty">
        Nothing to carry yet: measure heads in <router-link to="/walk">Walk</router-link>, and put what you own into the
        drawer in <router-link to="/match">Match</router-link>.
      </p>
      <template v-if="kit && kit.pieces.length > 0">
        <MassStrip :pieces="pieces" :spares="spares" :picked="chosen?.piece.id ?? null" @pick="picked = $event" />
        <section v-if="chosen" class="without" aria-live="polite">
          <h2>Without {{ chosen.piece.name }}</h2>
          <p v-if="lost.length > 0">
            <strong class="gap num">{{ lost.length }}</strong> {{ lost.length === 1 ? 'head is' : 'heads are' }} lost:
            {{ lost.slice(0, 12).join(', ')
            }}<template v-if="lost.length > 12"> and {{ lost.length - 12 }} more</template>.
          </p>
          <p v-if="chosen.serves.length > 0">
            No means against {{ chosen.serves.map((s) => s.toLowerCase()).join(', ') }}.
          </p>
          <p v-if="lost.length === 0 && chosen.serves.length === 0">Nothing is lost at once: {{ reason(chosen) }}.</p>
        </section>
        <section v-if="kit.missing.length > 0" class="missing">
          <h2>Missing in the drawer</h2>
          <p class="gap">
            Nothing to
            {{
              kit.missing.map((m) => (m.count > 1 ? `${m.does} (${m.count} pieces)` : m.does)).join(', nothing to ')
            }}. Add one in <router-link to="/match">the drawer</router-link>.
          </p>
        </section>
        <PracticeSwitches />
      </template>
    </section>
    <section class="sheet">
      <div class="tabs" role="tablist">
        <button role="tab" :aria-selected="tab === 'pieces'" @click="tab = 'pieces'">
          Tools ({{ pieces.length }})
        </button>
        <button role="tab" :aria-selected="tab === 'spares'" @click="tab = 'spares'">
          Spares ({{ spares.length }})<template v-if="toBuy.length > 0">, {{ toBuy.length }} to buy</template>
        </button>
        <button role="tab" :aria-selected="tab === 'home'" @click="tab = 'home'">
          Left at home ({{ left.length }})
        </button>
      </div>
      <template v-if="tab === 'pieces'">
        <div class="sheet-head">
          <h2>Heaviest first</h2>
          <span class="num">{{ massText(view.units, kit?.toolMass ?? 0) }}</span>
        </div>
        <div
          v-for="p in pieces"
          :key="p.piece.id"
          class="row kit-row"
          :class="{ picked: p.piece.id === chosen?.piece.id }"
        >
          <button class="plain open" :aria-pressed="p.piece.id === chosen?.piece.id" @click="picked = p.piece.id">
            <span class="title"
              >{{ p.piece.name }}<span v-if="p.count > 1" class="num soft"> ×{{ p.count }}</span></span
            ><span class="sub"
              ><strong v-if="p.toBuy">to buy, {{ p.piece.price.toFixed(0) }} € · </strong>{{ reason(p) }}</span
            >
          </button>
          <button class="link num" :aria-label="`Why ${p.piece.name}`" @click="explainPiece(p)">
            {{ massText(view.units, p.piece.mass * p.count) }}
          </button>
        </div>
      </template>
      <template v-else-if="tab === 'spares'">
        <div class="sheet-head">
          <h2>Spares the odds ask for</h2>
          <span class="num">{{ massText(view.units, kit?.spareMass ?? 0) }}</span>
        </div>
        <p v-if="spares.length === 0" class="empty">
          No spares asked for. They follow from the <router-link to="/trip">trip</router-link>.
        </p>
        <div v-for="s in spares" :key="s.kind" class="row kit-row">
          <span
            ><span class="title"
              >{{ s.name }}<span class="num soft"> ×{{ s.quantity }}</span></span
            ><span class="sub" :class="{ gap: s.buy > 0 }"
              >{{ s.buy > 0 ? `buy ${s.buy}` : `owned ${s.owned}` }} · enough on {{ percent(s.enough, 1) }} of
              trips</span
            ></span
          >
          <button class="link num" :aria-label="`Why ${s.name}`" @click="explainSpare(s)">
            {{ massText(view.units, s.mass) }}
          </button>
        </div>
      </template>
      <template v-else>
        <div class="sheet-head">
          <h2>Left at home</h2>
          <span class="num soft">{{ left.length }}</span>
        </div>
        <div v-for="p in left" :key="p.id" class="row kit-row">
          <span
            ><span class="title">{{ p.name }}</span
            ><span v-if="p.mark === 'never'" class="sub">you marked it never</span></span
          ><span class="num soft">{{ massText(view.units, p.mass) }}</span>
        </div>
      </template>
    </section>
  </div>
</template>

<style scoped>
.big {
  font-size: 22px;
}
.without,
.missing {
  margin-top: 14px;
  font-size: 15px;
}
.without h2,
.missing h2 {
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
  margin-bottom: 6px;
  text-transform: none;
  letter-spacing: 0;
}
.kit-row {
  grid-template-columns: minmax(0, 1fr) auto;
  width: 100%;
}
.kit-row .sub,
.kit-row .title {
  display: block;
}
.open {
  padding: 3px 0;
}
.picked {
  background: var(--picked);
  box-shadow: inset 4px 0 0 var(--ink);
}
.kit-row .link {
  font-size: 15px;
}
@media (max-width: 760px) {
  .kit-row .link {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
