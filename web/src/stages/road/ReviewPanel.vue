<script setup lang="ts">
/** Looking back on a trip: what was used, missed and never touched, what it says of rates and minutes; what is accepted is one edit. */
import { computed, ref } from 'vue';
import {
  daysOfTrip,
  figure,
  reviewOf,
  tripDays,
  unitOf,
  type CarriedThing,
  type Days,
  type ProveCase,
  type RateMoved,
  type ReviewRows,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { missedRows, reviewRows } from '../../stores/roadEdits';
import { useView } from '../../stores/view';
import { momentNow } from '../../sync/position';
import { dayOf, today } from '../../ui/day';
import LineField from '../../ui/LineField.vue';
import SelectField from '../../ui/SelectField.vue';
import { counted, massText } from '../../ui/words';
import { hoursText, minutesText } from '../../words/prove';
import { idleWords, usedWords } from '../../words/road';
import * as texts from '../../words/road/reviewPanel';
import * as edits from '../../words/edits';

const props = defineProps<{ of: ProveCase }>();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const explain = useExplain();
const mass = (grams: number) => massText(view.units, grams);
const km = (v: number) => `${figure(view.units, 'distance', v)} ${unitOf(view.units, 'distance')}`;

const rows = computed<ReviewRows>(() => ({
  bikes: garage.doc?.bikes ?? [],
  rides: garage.doc?.rides ?? [],
  drills: garage.doc?.drills ?? [],
  happened: garage.doc?.happened ?? [],
  // The one that is looked at again does not count against itself.
  reviews: (garage.doc?.reviews ?? []).filter((r) => r.id !== again.value),
  dayOf,
}));
/** The review that is done over; null for a new one. */
const again = ref<string | null>(null);
const days = ref<Days>(daysOfTrip(rows.value, props.of.bike.id, props.of.trip, today()));
/** Uses that the rider set right, by item. */
const used = ref(new Map<string, number>());
const r = computed(() => reviewOf(props.of, rows.value, days.value, used.value));
const was = computed(() => r.value.carried.filter((t) => t.used > 0));
const rest = computed(() => r.value.carried.filter((t) => t.used === 0));
const moved = computed(() =>
  r.value.rates.filter((m) => m.events > 0 || Math.abs(m.after / m.before - 1) >= 0.02).slice(0, 8),
);
const setUsed = (t: CarriedThing, n: number) => (used.value = new Map(used.value).set(t.item, n));
function addUsed(item: string) {
  const thing = rest.value.find((t) => t.item === item);
  if (thing) setUsed(thing, 1);
}
const wrongDays = ref<string | null>(null);
function setDay(which: keyof Days, text: string) {
  if (!/^\d{4}-\d{2}-\d{2}$/u.test(text)) return;
  const next = { ...days.value, [which]: text };
  if (next.from <= next.to) days.value = next;
  wrongDays.value = next.from <= next.to ? null : texts.theFirstDayHasTo;
}

const home = ref<string[]>([]);
const musts = ref<string[]>([]);
const bought = ref<string[]>([]);
/** The trip’s km are taken as ridden where these days are most of the trip’s. */
const spanned = (Date.parse(days.value.to) - Date.parse(days.value.from)) / 86_400_000 + 1;
const takeKm = ref(spanned >= (props.of.trip ? tripDays(props.of.trip) : 1) * 0.75);
const more = ref('');
function addMissed() {
  const name = more.value.trim();
  if (!name) return;
  // Noon by the rider's own clock: the same day wherever that is.
  const at = { ...momentNow(), now: new Date(`${days.value.to}T12:00:00`).toISOString() };
  if (garage.edit(edits.missing(name), missedRows(props.of, name, '', at))) more.value = '';
}
const asks = computed(() => r.value.missed.filter((m) => props.of.troubles.some((t) => t.id === m.trouble)));
const troubleName = (id: string) => props.of.troubles.find((t) => t.id === id)?.name ?? id;
const changes = computed(() =>
  [
    home.value.length > 0 ? texts.atHome(counted(home.value.length, texts.thingStays, texts.thingsStay)) : '',
    musts.value.length > 0 ? texts.theKitMustAllow(counted(musts.value.length, 'repair')) : '',
    bought.value.length > 0 ? texts.restocked(counted(bought.value.length, 'spare')) : '',
    r.value.ride && takeKm.value ? texts.distanceIntoRideLogAnd : '',
  ].filter(Boolean),
);
/** Label of the edit, by which the history knows it. */
const LABEL = texts.reviewOfTheTrip;
/** What was saved, in words, and the garage as it was then; null while it is looked at. */
const saved = ref<{ changes: string; version: number } | null>(null);
function accept() {
  const { doc } = garage;
  if (!doc) return;
  const said = changes.value.join('; ');
  const accepted = { home: home.value, musts: musts.value, bought: bought.value, km: takeKm.value };
  if (!garage.edit(LABEL, reviewRows(doc, props.of, r.value, accepted, momentNow(), again.value))) return;
  again.value = null;
  saved.value = { changes: said, version: garage.version };
}
function takeBack() {
  notice.undone(garage.undo(), false);
  saved.value = null;
}
const past = computed(() =>
  (garage.doc?.reviews ?? []).filter((x) => x.bikeId === props.of.bike.id).sort((a, b) => (a.to < b.to ? 1 : -1)),
);
function redo(id: string) {
  const row = past.value.find((x) => x.id === id);
  if (!row) return;
  again.value = id;
  days.value = { from: row.from, to: row.to };
  used.value = new Map(row.carried.map((t) => [t.item, t.used]));
  saved.value = null;
}
const why = (m: RateMoved) =>
  explain.show({
    title: m.name,
    value: `× ${m.before.toFixed(2)} → × ${m.after.toFixed(2)}`,
    formula: texts.factorOnTheTypicalRate,
    inputs: [
      { name: texts.happenedOnTheseDaysN, value: String(m.events) },
      { name: texts.expectedOverTheseDaysDistance, value: m.expected.toFixed(3) },
    ],
    source: texts.yourOwnRideLogWith,
  });
</script>

<template>
  <div class="review" role="group" :aria-label="texts.review">
    <template v-if="saved">
      <p class="big" role="status">{{ texts.saved(saved.changes ? `${saved.changes}.` : texts.nothingElseChanged) }}</p>
      <p class="acts">
        <v-btn v-if="saved.version === garage.version" variant="tonal" @click="takeBack">{{ texts.undoAllOfIt }}</v-btn>
        <v-btn variant="text" to="/kit">{{ texts.openKit }}</v-btn>
      </p>
    </template>
    <template v-else>
      <p class="big" role="status">{{ usedWords(r, mass) }}</p>
      <div class="days">
        <LineField
          :label="texts.firstDay"
          kind="date"
          :model-value="days.from"
          @change="setDay('from', ($event.target as HTMLInputElement).value)"
        />
        <LineField
          :label="texts.lastDay"
          kind="date"
          :model-value="days.to"
          :fault="wrongDays"
          @change="setDay('to', ($event.target as HTMLInputElement).value)"
        />
      </div>
      <section>
        <h2>{{ texts.used }}</h2>
        <p v-if="was.length === 0" class="soft">{{ texts.nothingSoFarAddWhat }}</p>
        <v-chip-group column :aria-label="texts.usedThings">
          <v-chip
            v-for="t in was"
            :key="t.item"
            closable
            :close-label="texts.wasNotUsed(t.name)"
            @click:close="setUsed(t, 0)"
          >
            {{ t.name }}<template v-if="t.used > 1"> ×{{ t.used }}</template>
          </v-chip>
        </v-chip-group>
        <SelectField
          :label="texts.addSomethingThatWasUsed"
          :items="[{ title: texts.choose, value: '' }, ...rest.map((t) => ({ title: t.name, value: t.item }))]"
          model-value=""
          @update:model-value="addUsed"
        />
      </section>
      <section>
        <h2>{{ texts.missingWhenYouNeededIt }}</h2>
        <ul v-if="r.missed.length > 0" class="plain">
          <li v-for="m in r.missed" :key="m.name">
            <strong>{{ m.name }}</strong> <span v-if="m.trouble" class="soft">{{ troubleName(m.trouble) }}</span>
          </li>
        </ul>
        <v-checkbox
          v-for="m in asks"
          :key="m.trouble"
          v-model="musts"
          :value="m.trouble"
          :label="texts.theKitMustBeAble(troubleName(m.trouble))"
        />
        <form class="line" @submit.prevent="addMissed">
          <LineField v-model="more" :label="texts.somethingElseThatWasMissing" maxlength="160" />
          <v-btn type="submit" variant="tonal" :disabled="!more.trim()">{{ texts.add }}</v-btn>
        </form>
      </section>
      <section>
        <h2>{{ texts.neverUsedOnThreeTrips }}</h2>
        <p v-if="r.idle.length === 0" class="soft">
          {{ texts.nothingYetThisNeedsThe(counted(past.length, 'review')) }}
        </p>
        <template v-else>
          <p class="soft">
            {{ texts.notUsedDoesNotMean }}
          </p>
          <v-checkbox
            v-for="t in r.idle"
            :key="t.item"
            v-model="home"
            :value="t.item"
            :label="
              texts.leaveAtHomeSaves(
                t.name,
                mass(t.mass),
                hoursText(t.guards),
                idleWords(t.idle),
                t.worthIt ? texts.worthItsWeight : '',
              )
            "
          />
        </template>
      </section>
      <section v-if="r.times.length > 0">
        <h2>{{ texts.minutes }}</h2>
        <v-table>
          <thead>
            <tr>
              <th scope="col">{{ texts.repair }}</th>
              <th scope="col">{{ texts.planned }}</th>
              <th scope="col">{{ texts.took }}</th>
              <th scope="col">{{ texts.nextTime }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="t in r.times" :key="t.drillId">
              <th scope="row">{{ t.name }}, {{ t.way }}</th>
              <td class="num">{{ minutesText(t.planned) }}</td>
              <td class="num">{{ minutesText(t.took) }}</td>
              <td class="num">{{ minutesText(t.next) }}</td>
            </tr>
          </tbody>
        </v-table>
      </section>
      <section>
        <h2>{{ texts.breakdownRates }}</h2>
        <v-checkbox
          v-if="r.ride"
          v-model="takeKm"
          :label="texts.theTripWasRiddenAs(km(r.ride.km.paved + r.ride.km.gravel + r.ride.km.track))"
        />
        <p v-if="moved.length === 0" class="soft">{{ texts.noRateMovesByThese }}</p>
        <v-table v-else>
          <thead>
            <tr>
              <th scope="col">{{ texts.problem }}</th>
              <th scope="col">{{ texts.happened }}</th>
              <th scope="col">{{ texts.rateBefore }}</th>
              <th scope="col">{{ texts.after }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="m in moved" :key="m.trouble">
              <th scope="row">{{ m.name }}</th>
              <td class="num">{{ m.events }}</td>
              <td class="num">× {{ m.before.toFixed(2) }}</td>
              <td class="num">
                <v-btn variant="text" :aria-label="texts.whyFor(m.after.toFixed(2), m.name)" @click="why(m)"
                  >× {{ m.after.toFixed(2) }}</v-btn
                >
              </td>
            </tr>
          </tbody>
        </v-table>
      </section>
      <section v-if="r.buy.length > 0">
        <h2>{{ texts.toBuy }}</h2>
        <p class="soft">{{ texts.tickWhatYouHaveBought }}</p>
        <v-checkbox v-for="b in r.buy" :key="b.kind" v-model="bought" :value="b.kind" :label="`${b.name} ×${b.buy}`" />
      </section>
      <p class="sticky">
        <v-btn class="press" @click="accept">{{
          changes.length > 0 ? texts.saveReview(counted(changes.length, 'change')) : texts.saveReview2
        }}</v-btn>
        <span v-if="changes.length > 0" class="soft">{{ changes.join('; ') }}</span>
      </p>
    </template>
    <section v-if="past.length > 0">
      <h2>{{ texts.reviewsOfThisBike }}</h2>
      <ul class="plain">
        <li v-for="x in past" :key="x.id">
          <span
            ><strong>{{ x.name }}</strong> <span class="soft num">{{ x.from }} – {{ x.to }}</span></span
          >
          <v-btn variant="text" :aria-label="texts.doTheReviewOfAgain(x.name)" @click="redo(x.id)">{{
            texts.doAgain
          }}</v-btn>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.review {
  max-width: 820px;
  font-size: 16px;
}
.big {
  font-size: clamp(24px, 3.4vw, 38px);
  font-family: var(--v-font-heading);
  font-weight: 600;
  line-height: 1.14;
  padding: 10px 0;
}
section {
  border-top: 1px solid var(--hair);
  padding: 12px 0;
}
.days,
.line {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  padding-bottom: 10px;
  align-items: end;
}
.line {
  grid-template-columns: minmax(0, 1fr) auto;
}
.plain {
  list-style: none;
  margin: 0;
  padding: 0;
}
.plain li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 4px 0;
}
th[scope='row'] {
  font-weight: 500;
  text-align: left;
}
td.num,
th[scope='col']:not(:first-child) {
  text-align: right;
}
.acts {
  display: flex;
  gap: 10px;
  padding-bottom: 12px;
}
.sticky {
  position: sticky;
  bottom: 0;
  background: var(--ground);
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  padding: 10px 0 14px;
  border-top: 1px solid var(--line);
}
.press {
  min-height: 64px;
  font-size: 20px;
  background: var(--ink);
  color: var(--sheet);
}
</style>
