<script setup lang="ts">
import { useRoute, useRouter } from 'vue-router';
import { computed, defineAsyncComponent, onBeforeUnmount, ref, watch } from 'vue';
import { figure, LEVEL_NAMES, neededWords, withUnit, type CurvePoint, type KeptKit } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useFrontier } from '../../stores/frontier';
import { useGarage } from '../../stores/garage';
import { useTab } from '../../ui/useTab';
import { useView } from '../../stores/view';
import { today } from '../../ui/day';
import NumberField from '../../ui/NumberField.vue';
import { massText, percent, weightStep } from '../../ui/words';
import NextStage from '../../shell/NextStage.vue';
import TermWord from '../../ui/TermWord.vue';
import FitSheet from './FitSheet.vue';
import FrontierChart from './FrontierChart.vue';
import KeptKits from './KeptKits.vue';
import KitLists from './KitLists.vue';
import KitQuestion from './KitQuestion.vue';
import MassStrip from './MassStrip.vue';
import MendCard from './MendCard.vue';
import HowSure from './HowSure.vue';
import MendsBrowser from './MendsBrowser.vue';
import PracticeSwitches from './PracticeSwitches.vue';
import PreventionSheet from './PreventionSheet.vue';
import StepsBeside from './StepsBeside.vue';
import { useMoney } from '../../ui/useMoney';
import WorkBar from '../../ui/WorkBar.vue';

/** Only where there is nothing to show yet. */
const EmptyStage = defineAsyncComponent(() => import('../../ui/EmptyStage.vue'));

const { money } = useMoney();
const answers = useAnswer();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const curve = useFrontier();

const MODES = {
  enough: 'How much',
  grams: 'By weight',
  mends: 'Repairs',
  fit: 'Part specs',
  practice: 'Preferences',
  kept: 'Saved kits',
} as const;
const mode = useTab(Object.keys(MODES) as (keyof typeof MODES)[]);
const route = useRoute();
const router = useRouter();
const mend = ref<string | null>(null);
watch(
  () => route.query['problem'],
  (id) => {
    if (typeof id === 'string') mend.value = id;
  },
  { immediate: true },
);
const picked = ref<string | null>(null);
const kit = computed(() => answers.answer?.kit ?? null);
const pieces = computed(() =>
  [...(kit.value?.pieces ?? [])].sort((a, b) => b.piece.mass * b.count - a.piece.mass * a.count),
);
const chosen = computed(() => pieces.value.find((p) => p.piece.id === picked.value) ?? pieces.value[0] ?? null);
const hasTrip = computed(() => (garage.trip?.legs.length ?? 0) > 0);

watch(mode, (m) => curve.want(m === 'enough'), { immediate: true });
answers.takeHints((mass) => curve.hintFor(mass));
onBeforeUnmount(() => {
  curve.want(false);
  curve.dragged = null;
  answers.preview = null;
});

/** The limit follows the finger at once; what hangs on it is asked when the finger is lifted. */
function settle(grams: number) {
  const trip = garage.trip;
  const knee = handle.value === 'knee' ? curve.kneeOf(grams) : null;
  curve.dragged = null;
  if (!trip) return;
  if (knee !== null) {
    garage.put('change what weight must save', 'trips', {
      ...trip,
      kit: { ...trip.kit, ask: 'worth', knee, use: null },
    });
    return;
  }
  garage.put(`carry at most ${massText(view.units, grams)}`, 'trips', {
    ...trip,
    kit: { ...trip.kit, ask: 'most', mass: grams, use: null },
  });
}
const dragPoint = computed<CurvePoint | null>(() => (curve.dragged === null ? null : curve.point));
// The readout follows the finger as well.
watch(dragPoint, (p) => {
  const all = (kit.value?.saved ?? 0) + (kit.value?.atStake ?? 0);
  answers.preview = p ? { mass: p.mass, bulk: p.bulk, home: p.home, atStake: Math.max(0, all - p.hours) } : null;
});

/** Lists that the rider wrote for this bike, as points of the same picture. */
const own = ref<{ name: string; point: CurvePoint }[]>([]);
watch(
  () => [garage.doc?.kits, garage.bike?.id, garage.trip?.id, curve.now?.done] as const,
  async () => {
    const { doc, bike, trip } = garage;
    if (!doc || !bike || !trip) return;
    const lists = doc.kits.filter((k) => k.bikeId === null || k.bikeId === bike.id).slice(-4);
    const made: { name: string; point: CurvePoint }[] = [];
    for (const k of lists) {
      const plain = JSON.parse(JSON.stringify(k)) as KeptKit;
      const point = await answers.ask((w) =>
        w.ownList(doc, { bikeId: bike.id, tripId: trip.id, today: today() }, plain),
      );
      if (point) made.push({ name: k.name, point });
    }
    own.value = made;
  },
  { immediate: true },
);
const nowDot = computed(() =>
  kit.value
    ? {
        mass: kit.value.mass,
        value: kit.value.value,
        name: kit.value.as === 'kept' ? kit.value.keptName! : 'lightest kit',
      }
    : null,
);
/** Only a kit that follows a handle shows one. */
const handle = computed(() => {
  const q = garage.trip?.kit;
  return !q || q.use !== null || q.ask === 'lightest'
    ? null
    : q.ask === 'most'
      ? ('limit' as const)
      : ('knee' as const);
});
/** Nothing is known that a kit could be for: no figure stands there, and no proof. */
const nothingYet = computed(
  () => answers.answer?.unknown.mass !== null || (kit.value?.pieces.length === 0 && !hasTrip.value),
);
/** The curve speaks of the very kit that is shown. */
watch(
  () => (handle.value === 'knee' && kit.value ? Math.ceil(kit.value.mass) : null),
  (mass) => (curve.settled = mass),
  { immediate: true },
);
/** What a kit needs first: something to turn, then somewhere to ride. */
const firstAct = computed(() =>
  garage.fasteners.length === 0
    ? { label: 'Measure the first fastener', to: '/walk' }
    : { label: garage.trip ? 'Add legs to the trip' : 'Plan a trip', to: '/trip' },
);
const inMoney = computed(() => garage.trip?.kit.value === 'money');
/** What the kit is the least in, where it is made least. */
const LEAST = { mass: 'lighter', bulk: 'smaller', price: 'cheaper', blend: 'handier' } as const;
const proof = computed(() =>
  kit.value?.as === 'lightest'
    ? `nothing ${LEAST[garage.doc?.garage.practice.least ?? 'mass']} does it`
    : kit.value?.as === 'worth'
      ? 'no other kit is better for its weight'
      : 'nothing saves more',
);
const toBuyPrice = computed(() => pieces.value.reduce((s, p) => s + (p.toBuy ? p.piece.price * p.count : 0), 0));
/** Minutes that a hundred grams more save where the limit is. */
const marginal = computed(() => {
  const p = curve.point;
  const up = curve.pointAt((p?.limit ?? 0) + 400);
  return p && up && up.limit > p.limit ? ((up.hours - p.hours) * 60 * 100) / (up.limit - p.limit) : null;
});
const marginalWords = computed(() => {
  const m = marginal.value ?? 0;
  return m < 1 ? `${Math.round(Number(figure(view.units, 'worth', m, 6)) * 60)} s` : withUnit(view.units, 'worth', m);
});
function explainCurve() {
  const p = curve.picture;
  if (!p) return;
  explain.show({
    title: 'The best kit of every weight',
    value: p.proven ? 'proven' : `within ${(p.gap * 60).toFixed(0)} min of proven`,
    formula:
      'most over kits of that weight of Σ over problems, Σ over repairs j of P(N ≥ j) × (hours without − hours of the repair) × worth of the grade; tools are exact at each price of a gram, stocks an exact knapsack on top, what is between is branched on',
    inputs: [
      { name: 'exact problems solved', value: String(p.solves) },
      { name: 'kits on the curve', value: String(p.points.length) },
      { name: 'widest distance to the bound', value: `${p.gap.toFixed(3)} h` },
      {
        name: 'saved by what weighs nothing',
        value: `${(p.points[0]?.hours ?? 0).toFixed(1)} h at ${massText(view.units, p.points[0]?.mass ?? 0)}`,
      },
    ],
    source:
      'worth of a grade: full 1, ride-out 0.8, limp 0.4; rates, minutes and masses: typical values until you change them',
  });
}
function explainLevel(i: number) {
  const l = curve.levels[i];
  if (!l) return;
  explain.show({
    title: `${LEVEL_NAMES[i]}, at most ${massText(view.units, l.limit)}`,
    value: `${massText(view.units, l.mass)}, ${l.value.toFixed(1)} saved`,
    formula: 'the best kit of its limit that holds all of the level before it',
    inputs: [
      { name: 'the best of that limit without that', value: l.free.toFixed(2) },
      { name: 'what nesting costs', value: (l.free - l.value).toFixed(2) },
      { name: 'tools', value: String(l.point.pieces.length) },
      { name: 'kinds of spares', value: String(l.point.supplies.length) },
      { name: 'proven', value: l.proven ? 'yes' : 'to the band' },
    ],
    source: 'limits are yours',
  });
}
function setLevel(i: number, grams: number) {
  const trip = garage.trip;
  if (!trip) return;
  const limits = [...trip.kit.levels] as typeof trip.kit.levels;
  limits[i] = grams;
  limits.sort((a, b) => a - b);
  garage.put('move a level', 'trips', { ...trip, kit: { ...trip.kit, levels: limits } });
}
/** What a level adds to the one before, in words. */
function adds(i: number): string {
  const [now, before] = [curve.levels[i], curve.levels[i - 1]];
  if (!now) return '';
  const has = new Map(before?.point.pieces ?? []);
  const fresh = now.point.pieces.filter(([id, n]) => n > (has.get(id) ?? 0));
  const names = fresh.map(([id]) => garage.doc?.pieces.find((p) => p.id === id)?.name ?? '');
  return `${names.slice(0, 4).join(', ')}${names.length > 4 ? ` and ${names.length - 4} more tools` : ''}`;
}
</script>

<template>
  <div class="stage">
    <section class="picture">
      <v-tabs v-model="mode" class="modes" aria-label="What to look at">
        <v-tab v-for="(name, key) in MODES" :key="key" :value="key">
          {{ name }}
        </v-tab>
      </v-tabs>
      <div v-if="mode === 'enough' || mode === 'grams'" class="stage-head">
        <h1>{{ mode === 'grams' ? 'What adds weight' : 'How much kit is enough' }}</h1>
        <p v-if="kit && nothingYet">Nothing to carry yet.</p>
        <p v-else-if="kit">
          <strong class="num big">{{ massText(view.units, kit.mass) }}</strong>
          <template v-if="kit.as === 'kept'"> as saved: {{ kit.keptName }};</template>
          {{ ' '
          }}<template v-if="answers.answer!.unknown.home === null"
            >saves <strong class="num">{{ kit.saved.toFixed(1) }} h</strong>, gets home unaided on
            <strong class="num">{{ percent(kit.home, 1) }}</strong> of such trips</template
          ><template v-else>. Add legs in Trip to see what it saves</template
          ><template v-if="kit.as === 'kept'">.</template>
          <template v-else-if="kit.proven">;{{ ' ' }}<TermWord term="proven" label="proven" />: {{ proof }}.</template>
          <template v-else>; at most {{ percent(kit.gap, 1) }} from proven.</template>
          <template v-if="kit.pieces.length > 0">
            Its tools are worth <span class="num">{{ money(kit.worth) }}</span><template v-if="toBuyPrice > 0"
              >, <span class="num">{{ money(toBuyPrice) }}</span> of it to buy</template
            >.</template
          >
          <strong v-if="!kit.withinWorth" class="gap">
            No set of tools keeps to your {{ money(garage.doc?.garage.practice.worth ?? 0) }} limit; this is the best
            without it.</strong
          >
          <strong v-if="!kit.served" class="gap"> No number of spares meets that service level.</strong>
        </p>
        <NextStage />
      </div>
      <p v-if="kit && kit.pieces.length > 0 && garage.doc?.pieces.length === 0" class="caution" role="status">
        Your toolbox is empty, so this is the best kit that you could buy:
        <strong class="num">{{ money(toBuyPrice) }}</strong>. Under
        <v-btn variant="plain" @click="void router.replace({ query: { ...route.query, list: 'buy' } })">To buy</v-btn>
        mark what you own already.
      </p>
      <EmptyStage v-if="kit && nothingYet && mode === 'enough'" stage="kit" :act="firstAct" />
      <template v-if="mode === 'enough'">
        <KitQuestion v-if="garage.trip" :trip="garage.trip" />
        <template v-if="hasTrip">
          <WorkBar
            v-if="!curve.picture && curve.running"
            says="Working out the best kit of every weight …"
            :share="curve.now?.share ?? 0"
            @stop="curve.halt()"
          />
          <p v-else-if="!curve.picture && curve.halted" class="empty">
            You stopped it before there was a curve.
            <v-btn variant="tonal" @click="curve.closeBand()">Work it out</v-btn>
          </p>
          <p v-if="curve.failed" class="gap">{{ curve.failed }}</p>
          <template v-if="curve.picture">
            <FrontierChart
              :class="{ stale: curve.stale }"
              :picture="curve.picture"
              :levels="curve.levels"
              :own="own"
              :now="nowDot"
              :limit="Math.round(curve.limit)"
              :value="garage.trip!.kit.value"
              :handle="handle"
              @drag="curve.dragged = $event"
              @settle="settle"
            />
            <p class="flat">
              <template v-if="(curve.settled ?? curve.knee) !== null"
                >Above <strong class="num">{{ massText(view.units, curve.settled ?? curve.knee ?? 0) }}</strong>,
                {{ weightStep(view.units) }} more would save less than
                {{ Number(figure(view.units, 'worth', garage.trip!.kit.knee, 2)) }} min.
              </template>
              <template v-if="handle !== null && marginal !== null">
                From here, {{ weightStep(view.units) }} more would save another
                <strong class="num">{{ marginalWords }}</strong>.
              </template>
              <v-btn variant="plain" @click="explainCurve">How this is calculated</v-btn>
            </p>
            <div class="work">
              <WorkBar
                v-if="curve.running"
                slim
                says="Narrowing the estimate …"
                :share="curve.now?.share ?? 0"
                @stop="curve.halt()"
              />
              <v-btn v-else-if="!curve.picture.proven" variant="plain" @click="curve.closeBand()"
                >Narrow the estimate further</v-btn
              >
            </div>
            <div v-if="handle" class="beside">
              <StepsBeside :title="`Dropped first below ${massText(view.units, curve.limit)}`" :steps="curve.leaves" />
              <StepsBeside title="Added next above it" :steps="curve.comes" />
            </div>
            <section class="levels">
              <h2>Three sizes of kit, each containing the smaller one</h2>
              <div v-for="(limit, i) in garage.trip!.kit.levels" :key="i" class="level">
                <strong>{{ LEVEL_NAMES[i] }}</strong>
                <NumberField
                  :label="`${LEVEL_NAMES[i]}, at most`"
                  quantity="mass"
                  hide-label
                  :model-value="limit"
                  :min="0"
                  :max="40000"
                  @update:model-value="setLevel(i, $event)"
                />
                <v-btn variant="plain" v-if="curve.levels[i]" class="num" @click="explainLevel(i)">
                  {{ inMoney ? money(curve.levels[i]!.value) : `${curve.levels[i]!.value.toFixed(1)} h` }}
                </v-btn>
                <span v-else class="soft">…</span>
                <span class="adds"
                  >{{ adds(i)
                  }}<template v-if="curve.levels[i] && curve.levels[i]!.free - curve.levels[i]!.value > 0.02"
                    >; containing the smaller kit costs
                    {{
                      inMoney
                        ? money(curve.levels[i]!.free - curve.levels[i]!.value)
                        : `${Math.round((curve.levels[i]!.free - curve.levels[i]!.value) * 60)} min`
                    }}</template
                  ></span
                >
              </div>
            </section>
          </template>
        </template>
        <p v-else-if="kit && kit.pieces.length > 0" class="empty">
          Tools only. Plan a trip with legs to see which spares pay for their weight:
          <router-link to="/trip">plan one</router-link>.
        </p>
        <HowSure v-if="kit && kit.mends.length > 0 && kit.as !== 'kept'" />
        <section v-if="kit && kit.missing.length > 0" class="missing">
          <h2>Missing from the toolbox</h2>
          <p class="gap">
            No tool for
            {{ kit.missing.map((m) => (m.count > 1 ? `${m.does} (${m.count} tools)` : m.does)).join(', ') }}. Add one in
            <router-link to="/match">the toolbox</router-link>.
          </p>
        </section>
      </template>
      <template v-else-if="mode === 'grams'">
        <template v-if="kit && kit.pieces.length > 0">
          <MassStrip :pieces="pieces" :spares="kit.spares" :picked="chosen?.piece.id ?? null" @pick="picked = $event" />
          <section v-if="chosen" class="without" aria-live="polite">
            <h2>Without {{ chosen.piece.name }}</h2>
            <p v-if="chosen.needed.length > 0">
              <strong class="gap num">{{ chosen.needed.length }}</strong>
              {{ chosen.needed.length === 1 ? 'fastener is' : 'fasteners are' }} out of reach:
              {{
                chosen.neededBy
                  .slice(0, 12)
                  .map((n) => neededWords(n, garage.doc?.bikes ?? [], garage.bike?.id ?? null))
                  .join(', ')
              }}<template v-if="chosen.neededBy.length > 12"> and {{ chosen.neededBy.length - 12 }} more</template>.
            </p>
            <ul v-if="chosen.without.length > 0" class="instead">
              <li v-for="w in chosen.without.slice(0, 8)" :key="w.trouble">
                {{ w.trouble }}: <strong>{{ w.instead ?? 'no repair' }}</strong><template v-if="w.grade">
                  ({{ w.grade }})</template
                >
                instead of {{ w.way.toLowerCase() }}, <span class="num gap">−{{ Math.round(w.hours * 60) }} min</span>
              </li>
            </ul>
            <p v-if="chosen.needed.length === 0 && chosen.without.length === 0">Nothing is lost without it.</p>
          </section>
        </template>
      </template>
      <template v-else-if="mode === 'mends'">
        <h1>What can go wrong, and every way to repair it</h1>
        <MendsBrowser @mend="mend = $event" />
      </template>
      <template v-else-if="mode === 'fit'">
        <h1>What spares must match</h1>
        <FitSheet />
      </template>
      <template v-else-if="mode === 'practice'">
        <h1>How you work, and what it changes</h1>
        <PracticeSwitches />
        <PreventionSheet v-if="garage.bike" :bike="garage.bike" />
      </template>
      <template v-else>
        <h1>Kits kept</h1>
        <KeptKits />
      </template>
    </section>
    <section class="sheet">
      <KitLists
        v-if="kit"
        :kit="kit"
        :point="dragPoint"
        :picked="chosen?.piece.id ?? null"
        @pick="((picked = $event), (mode = 'grams'))"
        @mend="mend = $event"
      />
    </section>
    <MendCard v-if="mend" :trouble-id="mend" @close="mend = null" />
  </div>
</template>

<style scoped>
/* Its room stays when the work is done: nothing moves under a hand. */
.work {
  min-height: 40px;
}
.big {
  font-size: 22px;
}
.modes {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 4px;
  margin: -4px 0 8px -8px;
}
.stale {
  opacity: 0.5;
}
.flat {
  font-size: 14.5px;
  margin: 2px 0 12px;
}
.beside {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 26px;
}
.levels {
  margin-top: 18px;
}
.levels h2,
.without h2,
.missing h2 {
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}
.without h2 {
  text-transform: none;
  letter-spacing: 0;
}
.level {
  display: grid;
  grid-template-columns: 74px 96px 62px minmax(0, 1fr);
  gap: 4px 12px;
  align-items: center;
  border-bottom: 1px solid var(--hair);
  padding: 4px 0;
}
.adds {
  font-size: 13.5px;
  color: var(--soft);
}
.level .v-btn--variant-plain {
  text-align: right;
}
.without,
.missing {
  margin-top: 14px;
  font-size: 15px;
}
.instead {
  margin: 6px 0 0;
  padding-left: 20px;
}
@media (max-width: 760px) {
  .modes button {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
  .beside {
    grid-template-columns: 1fr;
  }
  .level {
    grid-template-columns: 66px 90px 60px;
  }
  .adds {
    grid-column: 1 / -1;
  }
  .level .v-btn--variant-plain {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
