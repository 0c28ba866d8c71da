<script setup lang="ts">
import { useRoute, useRouter } from 'vue-router';
import { computed, defineAsyncComponent, onBeforeUnmount, ref, watch } from 'vue';
import { present, figure, withUnit, type CurvePoint, type KeptKit } from '@necessaire/core';
import { neededWords } from '@necessaire/words';
import { useAnswer } from '../../stores/answer';
import { useExplain } from '../../stores/explain';
import { useFrontier } from '../../stores/frontier';
import { useGarage } from '../../stores/garage';
import { useTab } from '../../ui/useTab';
import { useView } from '../../stores/view';
import { today } from '../../ui/day';
import { massText, percent, weightStep } from '../../ui/words';
import NextStage from '../../shell/NextStage.vue';
import TermWord from '../../ui/TermWord.vue';
import FitSheet from './FitSheet.vue';
import FrontierChart from './FrontierChart.vue';
import KeptKits from './KeptKits.vue';
import KitLists from './KitLists.vue';
import KitQuestion from './KitQuestion.vue';
import LevelRows from './LevelRows.vue';
import MassStrip from './MassStrip.vue';
import MendCard from './MendCard.vue';
import HowSure from './HowSure.vue';
import MendsBrowser from './MendsBrowser.vue';
import PracticeSwitches from './PracticeSwitches.vue';
import PreventionSheet from './PreventionSheet.vue';
import StepsBeside from './StepsBeside.vue';
import { useMoney } from '../../ui/useMoney';
import WorkBar from '../../ui/WorkBar.vue';
import WaitingPart from '../../ui/WaitingPart.vue';
import { LESS } from '../../words/practice';
import * as texts from '../../words/kit/kitView';

/** Only where there is nothing to show yet. */
const EmptyStage = defineAsyncComponent(() => import('../../ui/EmptyStage.vue'));

const { money } = useMoney();
const answers = useAnswer();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const curve = useFrontier();

const MODES = {
  enough: texts.howMuch,
  grams: texts.byWeight,
  mends: texts.repairs,
  fit: texts.partSpecs,
  practice: texts.preferences,
  kept: texts.savedKits,
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
    garage.put(texts.changeWhatWeightMustSave, 'trips', {
      ...trip,
      kit: { ...trip.kit, ask: 'worth', knee, use: null },
    });
    return;
  }
  garage.put(texts.carryAtMost(massText(view.units, grams)), 'trips', {
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
        name: kit.value.as === 'kept' ? present(kit.value.keptName) : texts.lightestKit,
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
    ? { label: texts.measureTheFirstFastener, to: '/walk' }
    : { label: garage.trip ? texts.addLegsToTheTrip : texts.planATrip, to: '/trip' },
);
const proof = computed(() =>
  kit.value?.as === 'lightest'
    ? texts.nothingDoesIt(LESS[garage.doc?.garage.practice.least ?? 'mass'])
    : kit.value?.as === 'worth'
      ? texts.noOtherKitIsBetter
      : texts.nothingSavesMore,
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
    title: texts.theBestKitOfEvery,
    value: p.proven ? texts.provenValue : texts.withinMinOfProven((p.gap * 60).toFixed(0)),
    formula: texts.mostOverKitsOfThat,
    inputs: [
      { name: texts.exactProblemsSolved, value: String(p.solves) },
      { name: texts.kitsOnTheCurve, value: String(p.points.length) },
      { name: texts.widestDistanceToTheBound, value: `${p.gap.toFixed(3)} h` },
      {
        name: texts.savedByWhatWeighsNothing,
        value: texts.hAt((p.points[0]?.hours ?? 0).toFixed(1), massText(view.units, p.points[0]?.mass ?? 0)),
      },
    ],
    source: texts.worthOfAGradeFull,
  });
}
</script>

<template>
  <div class="stage">
    <section class="picture" aria-labelledby="title">
      <v-tabs v-model="mode" class="modes" :aria-label="texts.whatToLookAt">
        <v-tab v-for="(name, key) in MODES" :key="key" :value="key">
          {{ name }}
        </v-tab>
      </v-tabs>
      <div v-if="mode === 'enough' || mode === 'grams'" class="stage-head" role="group">
        <h1 id="title">{{ mode === 'grams' ? texts.whatAddsWeight : texts.howMuchKitIsEnough }}</h1>
        <p v-if="kit && nothingYet">{{ texts.nothingToCarryYet }}</p>
        <p v-else-if="kit">
          <strong class="num big">{{ massText(view.units, kit.mass) }}</strong>
          <template v-if="kit.as === 'kept'"> {{ ' ' }}{{ texts.asSaved(kit.keptName) }}</template>
          {{ ' '
          }}<template v-if="present(answers.answer).unknown.home === null"
            >{{ texts.saves }} <strong class="num">{{ kit.saved.toFixed(1) }} h</strong>{{ texts.getsHomeUnaidedOn }}
            <strong class="num">{{ percent(kit.home, 1) }}</strong> {{ texts.ofSuchTrips }}</template
          ><template v-else>{{ texts.addLegsInTripTo }}</template
          ><template v-if="kit.as === 'kept'">.</template>
          <template v-else-if="kit.proven"
            >;{{ ' ' }}<TermWord term="proven" :label="texts.proven" />: {{ proof }}.</template
          >
          <template v-else>{{ texts.atMostFromProven(percent(kit.gap, 1)) }}</template>
          <template v-if="kit.pieces.length > 0">
            {{ ' ' }}{{ texts.itsToolsAreWorth }} <span class="num">{{ money(kit.worth) }}</span><template
              v-if="toBuyPrice > 0"
              >, <span class="num">{{ money(toBuyPrice) }}</span> {{ texts.ofItToBuy }}</template
            >.</template
          >
          <strong v-if="!kit.withinWorth" class="gap">
            {{ ' ' }}{{ texts.noSetOfToolsKeeps(money(garage.doc?.garage.practice.worth ?? 0)) }}</strong
          >
          <strong v-if="!kit.served" class="gap"> {{ ' ' }}{{ texts.noNumberOfSparesMeets }}</strong>
        </p>
        <NextStage />
      </div>
      <p v-if="kit && kit.pieces.length > 0 && garage.doc?.pieces.length === 0" class="caution" role="status">
        {{ texts.yourToolboxIsEmptySo }}
        <strong class="num">{{ money(toBuyPrice) }}</strong>{{ texts.under }}
        <v-btn variant="plain" @click="void router.replace({ query: { ...route.query, list: 'buy' } })">{{
          texts.toBuy
        }}</v-btn>
        {{ texts.markWhatYouOwnAlready }}
      </p>
      <EmptyStage v-if="kit && nothingYet && mode === 'enough'" stage="kit" :act="firstAct" />
      <template v-if="mode === 'enough'">
        <KitQuestion v-if="garage.trip" :trip="garage.trip" />
        <template v-if="hasTrip">
          <WorkBar
            v-if="!curve.picture && curve.running"
            :says="texts.workingOutTheBestKit"
            :share="curve.now?.share ?? 0"
            @stop="curve.halt()"
          />
          <p v-else-if="!curve.picture && curve.halted" class="empty">
            {{ texts.youStoppedItBeforeThere }}
            <v-btn variant="tonal" @click="curve.closeBand()">{{ texts.workItOut }}</v-btn>
          </p>
          <p v-if="curve.failed" class="gap">{{ curve.failed }}</p>
          <WaitingPart
            v-else-if="!curve.picture && !curve.halted"
            of="picture"
            :says="curve.running ? '' : undefined"
          />
          <template v-if="curve.picture">
            <FrontierChart
              :class="{ stale: curve.stale }"
              :picture="curve.picture"
              :levels="curve.levels"
              :own="own"
              :now="nowDot"
              :limit="Math.round(curve.limit)"
              :value="present(garage.trip).kit.value"
              :handle="handle"
              @drag="curve.dragged = $event"
              @settle="settle"
            />
            <p class="flat">
              <template v-if="(curve.settled ?? curve.knee) !== null"
                >{{ texts.above }}
                <strong class="num">{{ massText(view.units, curve.settled ?? curve.knee ?? 0) }}</strong>{{
                  texts.moreWouldSaveLessThan(
                    weightStep(view.units),
                    Number(figure(view.units, 'worth', present(garage.trip).kit.knee, 2)),
                  )
                }}{{ ' ' }}
              </template>
              <template v-if="handle !== null && marginal !== null">
                {{ ' ' }}{{ texts.fromHereMoreWouldSave(weightStep(view.units)) }}
                <strong class="num">{{ marginalWords }}</strong>.
              </template>
              <v-btn variant="plain" @click="explainCurve">{{ texts.howThisIsCalculated }}</v-btn>
            </p>
            <div class="work">
              <WorkBar
                v-if="curve.running"
                slim
                :says="texts.narrowingTheEstimate"
                :share="curve.now?.share ?? 0"
                @stop="curve.halt()"
              />
              <v-btn v-else-if="!curve.picture.proven" variant="plain" @click="curve.closeBand()">{{
                texts.narrowTheEstimateFurther
              }}</v-btn>
            </div>
            <div v-if="handle" class="beside">
              <StepsBeside :title="texts.droppedFirstBelow(massText(view.units, curve.limit))" :steps="curve.leaves" />
              <StepsBeside :title="texts.addedNextAboveIt" :steps="curve.comes" />
            </div>
            <LevelRows :kit="present(garage.trip).kit" :levels="curve.levels" />
          </template>
        </template>
        <p v-else-if="kit && kit.pieces.length > 0" class="empty">
          {{ texts.toolsOnlyPlanATrip }}
          <router-link to="/trip">{{ texts.planOne }}</router-link>.
        </p>
        <HowSure v-if="kit && kit.mends.length > 0 && kit.as !== 'kept'" />
        <section v-if="kit && kit.missing.length > 0" class="missing">
          <h2>{{ texts.missingFromTheToolbox }}</h2>
          <p class="gap">
            {{
              texts.noToolForAddOne(
                kit.missing.map((m) => (m.count > 1 ? texts.tools(m.does, m.count) : m.does)).join(', '),
              )
            }}
            <router-link to="/match">{{ texts.theToolbox }}</router-link>.
          </p>
        </section>
      </template>
      <template v-else-if="mode === 'grams'">
        <template v-if="kit && kit.pieces.length > 0">
          <MassStrip :pieces="pieces" :spares="kit.spares" :picked="chosen?.piece.id ?? null" @pick="picked = $event" />
          <section v-if="chosen" class="without" aria-live="polite" :aria-label="texts.without(chosen.piece.name)">
            <h2>{{ texts.without(chosen.piece.name) }}</h2>
            <p v-if="chosen.needed.length > 0">
              <strong class="gap num">{{ chosen.needed.length }}</strong>
              {{
                texts.outOfReach(
                  chosen.needed.length === 1 ? texts.fastenerIs : texts.fastenersAre,
                  chosen.neededBy
                    .slice(0, 12)
                    .map((n) => neededWords(n, garage.doc?.bikes ?? [], garage.bike?.id ?? null))
                    .join(', '),
                )
              }}<template v-if="chosen.neededBy.length > 12">
                {{ ' ' }}{{ texts.andMore(chosen.neededBy.length - 12) }}</template
              >.
            </p>
            <ul v-if="chosen.without.length > 0" class="instead">
              <li v-for="w in chosen.without.slice(0, 8)" :key="w.trouble">
                {{ w.trouble }}: <strong>{{ w.instead ?? texts.noRepair }}</strong><template v-if="w.grade">
                  ({{ w.grade }})</template
                >
                {{ texts.insteadOf(w.way.toLowerCase()) }}
                <span class="num gap">{{ texts.min2(Math.round(w.hours * 60)) }}</span>
              </li>
            </ul>
            <p v-if="chosen.needed.length === 0 && chosen.without.length === 0">{{ texts.nothingIsLostWithoutIt }}</p>
          </section>
        </template>
      </template>
      <template v-else-if="mode === 'mends'">
        <h1 id="title">{{ texts.whatCanGoWrongAnd }}</h1>
        <MendsBrowser @mend="mend = $event" />
      </template>
      <template v-else-if="mode === 'fit'">
        <h1 id="title">{{ texts.whatSparesMustMatch }}</h1>
        <FitSheet />
      </template>
      <template v-else-if="mode === 'practice'">
        <h1 id="title">{{ texts.howYouWorkAndWhat }}</h1>
        <PracticeSwitches />
        <PreventionSheet v-if="garage.bike" :bike="garage.bike" />
      </template>
      <template v-else>
        <h1 id="title">{{ texts.kitsKept }}</h1>
        <KeptKits />
      </template>
    </section>
    <section class="sheet" :aria-label="texts.whatTheKitHolds">
      <KitLists
        v-if="kit"
        :kit="kit"
        :point="dragPoint"
        :picked="chosen?.piece.id ?? null"
        @pick="((picked = $event), (mode = 'grams'))"
        @mend="mend = $event"
      />
      <WaitingPart v-else-if="!answers.failed" of="rows" :says="texts.workingOutTheKit" />
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
.without h2,
.missing h2 {
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
}
.without h2 {
  text-transform: none;
  letter-spacing: 0;
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
}
</style>
