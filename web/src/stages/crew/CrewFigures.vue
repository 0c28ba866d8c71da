<script setup lang="ts">
/** The whole ride: chance of getting home, hours, fuel and first aid, bike by bike and for all. */
import { computed, shallowRef, watch } from 'vue';
import {
  at,
  present,
  dueOn,
  figure,
  unitOf,
  withUnit,
  type Crew,
  type CrewAnswer,
  type RiderStow,
} from '@necessaire/core';
import { whyRules } from '@necessaire/words';
import { useCrew } from '../../stores/crew';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { today } from '../../ui/day';
import { counted, massText, percent } from '../../ui/words';
import * as texts from '../../words/crew/crewFigures';

const props = defineProps<{ answer: CrewAnswer; of: Crew }>();
const garage = useGarage();
const view = useView();
const explain = useExplain();
const crew = useCrew();
const riders = computed(() => props.answer.names.flatMap((n, i) => (n.bike ? [{ ...n, i }] : [])));
const hoursOf = (bikeId: string) => props.answer.bikes.find((b) => b.bikeId === bikeId);
/** With everybody waiting an hour counts for each. */
const times = computed(() => (props.of.waits ? riders.value.length : 1));
/** Problems of any of the bikes by chance × hours, the worst first. */
const worst = computed(() =>
  [...props.answer.asks].sort((a, b) => b.odds * b.without - a.odds * a.without).slice(0, 8),
);
const smallest = computed(() =>
  riders.value
    .filter((r) => (r.needs?.range ?? null) !== null)
    .sort((x, y) => (present(x.needs).range ?? 0) - (present(y.needs).range ?? 0))
    .at(0),
);
const water = computed(() => riders.value.reduce((sum, r) => sum + (r.needs?.water ?? 0), 0));
const short = computed(() => riders.value.filter((r) => (r.needs?.spareFuel ?? 0) > 0));
const litres = (l: number) => withUnit(view.units, 'capacity', l);
const distance = (km: number) => `${figure(view.units, 'distance', km)} ${unitOf(view.units, 'distance')}`;
const kits = computed(() =>
  props.answer.carriers.flatMap((c) =>
    c.tokens.some((t) => /first-aid|dressing/iu.test(t.name)) ? [at(props.answer.names, c.number).name] : [],
  ),
);
const trained = computed(() => riders.value.filter((r) => r.firstAid).map((r) => r.name));
const stows = shallowRef<(RiderStow | null)[]>([]);
watch(
  () => [props.answer, crew.busy] as const,
  async () => {
    const goals = garage.doc?.garage.goals;
    if (crew.busy || !goals) return;
    stows.value = (await crew.ask((w) => w.stow(JSON.parse(JSON.stringify(goals)) as typeof goals))) ?? [];
  },
  { immediate: true },
);
const goesIn = (s: RiderStow | null) =>
  !s?.known
    ? texts.placesNotKnown
    : s.loose.length > 0
      ? texts.nowhere(s.loose.length)
      : s.broken.length > 0
        ? counted(s.broken.length, texts.ruleBroken, texts.rulesBroken)
        : texts.allGoIn;
const axle = (grams: number | undefined, share: number | undefined) =>
  grams === undefined ? '' : `${massText(view.units, grams)} · ${percent(share ?? 0)}`;
const bikeOf = (id: string | undefined) =>
  [...(garage.doc?.bikes ?? []), ...(garage.doc?.companions ?? []).flatMap((c) => c.bikes)].find((b) => b.id === id);
const services = computed(() =>
  riders.value.flatMap((r) => {
    const { trip } = garage;
    const bike = bikeOf(r.bike?.id);
    const list = bike && trip ? dueOn(bike, trip, today()).filter((d) => d.times > 0) : [];
    return list.length > 0
      ? [{ who: r.name, list: list.map((d) => ({ name: d.service.name.toLowerCase(), overdue: d.overdue })) }]
      : [];
  }),
);
const aloneMean = computed(() => {
  const known = crew.alone.filter((x) => x !== null);
  return known.length > 0 ? known.reduce((s, x) => s + x, 0) / known.length : null;
});
function showHome() {
  explain.show({
    title: texts.allBikesHomeByOwnMeans,
    value: percent(props.answer.home, 1),
    formula: texts.productOverAllBikesAnd,
    inputs: props.answer.bikes.map((b) => ({
      name: riders.value.find((r) => r.bike?.id === b.bikeId)?.name ?? '',
      value: percent(b.home, 1),
    })),
    source: texts.ratesAreTypicalValuesUntil,
  });
}
</script>

<template>
  <div>
    <section>
      <h2>{{ texts.homeByOwnMeans }}</h2>
      <v-btn variant="text" class="big num" :aria-label="texts.allBikesHomeByOwn" @click="showHome">
        {{ percent(answer.home, 1) }}
      </v-btn>
      <span class="soft"> {{ ' ' }}{{ texts.ofSuchRidesAllWith(counted(riders.length, 'bike')) }}</span>
      <v-table density="compact" class="table">
        <thead>
          <tr>
            <th scope="col">{{ texts.bike }}</th>
            <th scope="col">{{ texts.home }}</th>
            <th scope="col">{{ texts.hoursSaved }}</th>
            <th scope="col">{{ texts.atStake }}</th>
            <th scope="col">{{ texts.fullTank }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in riders" :key="r.key">
            <th scope="row">{{ r.name }}</th>
            <td class="num">{{ percent(hoursOf(present(r.bike).id)?.home ?? 1, 1) }}</td>
            <td class="num">{{ ((hoursOf(present(r.bike).id)?.saved ?? 0) * times).toFixed(1) }}</td>
            <td class="num">{{ ((hoursOf(present(r.bike).id)?.left ?? 0) * times).toFixed(1) }}</td>
            <td class="num">{{ r.needs?.range ? distance(r.needs.range) : '' }}</td>
          </tr>
          <tr>
            <th scope="row">{{ texts.all }}</th>
            <td class="num">{{ percent(answer.home, 1) }}</td>
            <td class="num">{{ (answer.saved * times).toFixed(1) }}</td>
            <td class="num">{{ (answer.left * times).toFixed(1) }}</td>
            <td class="num">{{ smallest ? distance(present(present(smallest.needs).range)) : '' }}</td>
          </tr>
        </tbody>
      </v-table>
      <p v-if="of.waits" class="soft">{{ texts.hoursCountForAllWho(riders.length) }}</p>
    </section>
    <section>
      <h2>{{ texts.whatIsLikeliestToCost }}</h2>
      <v-table density="compact" class="table">
        <thead>
          <tr>
            <th scope="col">{{ texts.problem }}</th>
            <th scope="col">{{ texts.bike2 }}</th>
            <th scope="col">{{ texts.onSuchTrips }}</th>
            <th scope="col">{{ texts.hoursWithoutARepair }}</th>
            <th scope="col">{{ texts.whoCanDoIt }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="a in worst" :key="`${a.bikeId} ${a.name}`">
            <th scope="row">{{ a.name }}</th>
            <td>{{ riders.find((r) => r.bike?.id === a.bikeId)?.name }}</td>
            <td class="num">{{ percent(a.odds, 1) }}</td>
            <td class="num">{{ (a.without * times).toFixed(1) }}</td>
            <td>{{ a.who.map((i) => answer.names[i]?.name).join(', ') || texts.nobody }}</td>
          </tr>
        </tbody>
      </v-table>
    </section>
    <section v-if="stows.length > 0">
      <h2>{{ texts.onEachBike }}</h2>
      <v-table density="compact" class="table">
        <thead>
          <tr>
            <th scope="col">{{ texts.bike }}</th>
            <th scope="col">{{ texts.goesIn }}</th>
            <th scope="col">{{ texts.frontAxle }}</th>
            <th scope="col">{{ texts.rearAxle }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in riders" :key="r.key">
            <th scope="row">{{ r.name }}</th>
            <td>{{ goesIn(stows[r.i] ?? null) }}</td>
            <td class="num">{{ axle(stows[r.i]?.front, stows[r.i]?.frontPacked) }}</td>
            <td class="num">{{ axle(stows[r.i]?.rear, 1 - (stows[r.i]?.frontPacked ?? 1)) }}</td>
          </tr>
        </tbody>
      </v-table>
      <ul class="plain">
        <template v-for="r in riders" :key="r.key">
          <li v-for="w in stows[r.i]?.warnings ?? []" :key="w.rule" class="gap">
            {{ r.name }}: {{ view.inWords(w.message) }}: {{ whyRules([w.rule]) }}.
          </li>
          <li v-if="(stows[r.i]?.loose.length ?? 0) > 0" class="gap">
            {{ texts.noPlaceFor(r.name, present(stows[r.i]).loose.join(', ')) }}
          </li>
        </template>
      </ul>
    </section>
    <section v-if="smallest">
      <h2>{{ texts.fuelWaterAir }}</h2>
      <p>
        <strong>{{ smallest.name }}</strong> {{ texts.decidesTheStopsAbout }}
        <strong class="num">{{ distance(present(present(smallest.needs).range)) }}</strong>
        {{ texts.withAFullTankReserve }}
      </p>
      <p v-for="r in short" :key="r.key" class="gap">
        {{ texts.needs(r.name) }} <span class="num">{{ litres(present(present(r.needs).spareFuel)) }}</span>
        {{ texts.moreForTheLongestWay }}
      </p>
      <p>
        {{ texts.waterOnTheWarmestLongest }} <strong class="num">{{ litres(water) }}</strong> {{ texts.forAll }}
      </p>
      <p v-for="r in riders" :key="`air ${r.key}`" class="soft">
        {{ texts.sRearTyreFromFlat(r.name) }}
        <span class="num">{{ Math.round(r.needs?.rear.strokes ?? 0) }}</span> {{ texts.strokesOfAHandPump }}
        <span class="num">{{ Math.ceil(r.needs?.rear.cartridges ?? 0) }}</span> {{ texts.cartridges }}
      </p>
    </section>
    <section v-if="services.length > 0">
      <h2>{{ texts.fallsDueOnTheRide }}</h2>
      <p v-for="s in services" :key="s.who">
        <strong>{{ s.who }}:</strong>
        {{ s.list.map((d) => (d.overdue ? texts.beforeLeaving(d.name) : d.name)).join(', ') }}.
      </p>
    </section>
    <section>
      <h2>{{ texts.firstAid }}</h2>
      <p>
        {{ texts.trained }} <strong>{{ trained.join(', ') || texts.nobody }}</strong>{{ texts.kitsWith }}
        <strong>{{ kits.join(', ') || texts.nobody }}</strong>.
      </p>
      <p class="caution">{{ texts.firstCallTheLocalEmergency }}</p>
    </section>
    <section v-if="aloneMean !== null">
      <h2>{{ texts.whatRidingTogetherSaves }}</h2>
      <p>
        {{ texts.eachRiderTakes }} <strong class="num">{{ massText(view.units, answer.mass / riders.length) }}</strong>
        {{ texts.onAverageWithTheSame }} <strong class="num">{{ massText(view.units, aloneMean) }}</strong>.
      </p>
    </section>
  </div>
</template>

<style scoped>
.big {
  font-size: 30px;
  padding: 0;
}
.table {
  background: transparent;
}
p {
  margin: 4px 0;
}
</style>
