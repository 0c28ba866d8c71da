<script setup lang="ts">
/** The evening: what was mended today, what to restock, what to look at tomorrow, and what falls due. */
import { computed, ref, shallowRef, watch } from 'vue';
import { passOf, type FromHere, type ProofTold, type ProveCase } from '@necessaire/core';
import { checkWords } from '@necessaire/words';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { clockOf, dayOf, today } from '../../ui/day';
import SelectField from '../../ui/SelectField.vue';
import { counted, percent } from '../../ui/words';
import { hoursText } from '../../words/prove';
import { HAPPENED_WORDS } from '../../words/road';
import * as texts from '../../words/road/eveningSheet';

const props = defineProps<{ told: ProofTold; of: ProveCase }>();
const garage = useGarage();
const answers = useAnswer();
const name = (id: string) => props.of.troubles.find((t) => t.id === id)?.name ?? id;
const rides = computed(() =>
  [...(garage.doc?.rides ?? [])]
    .filter((r) => r.bike === garage.bike?.id && r.mishaps.length > 0)
    .sort((a, b) => (a.date < b.date ? 1 : -1)),
);
const todays = computed(() => rides.value.find((r) => r.date === today()) ?? null);
/** What else was written down today, the latest first. */
const written = computed(() =>
  (garage.doc?.happened ?? [])
    .filter((h) => h.bikeId === garage.bike?.id && dayOf(h.on) === today())
    .sort((a, b) => (a.on < b.on ? 1 : -1))
    .slice(0, 12),
);
/** Spares of the kit that the rider no longer owns enough of. */
const restock = computed(() => props.of.kit.spares.filter((s) => s.buy > 0));
const tomorrow = computed(() => [
  ...passOf(props.told.checks, 'evening').filter((k) => k.standing !== 'done' && k.standing !== 'skipped'),
]);
/** What the trip looks like from a leg on, with what is left in the bag. */
const leg = ref(0);
const here = shallowRef<FromHere | null>(null);
const looking = ref(false);
const legs = computed(() => (garage.trip?.legs ?? []).map((l, i) => ({ title: l.name, value: i })));
async function look() {
  const { doc, bike, trip } = garage;
  const kit = answers.answer?.kit;
  if (!doc || !bike || !trip || !kit || looking.value) return;
  looking.value = true;
  try {
    const question = { bikeId: bike.id, tripId: trip.id, today: today() };
    here.value = await answers.ask((w) => w.fromHere(doc, question, kit, Math.min(leg.value, trip.legs.length - 1)));
  } finally {
    looking.value = false;
  }
}
watch([leg, () => garage.version, () => garage.trip?.id], () => (here.value = null));
const urgent = computed(() => props.told.checks.filter((k) => k.standing === 'overdue' || k.standing === 'found'));
</script>

<template>
  <div>
    <section>
      <h2>{{ texts.today }}</h2>
      <ul v-if="todays" class="plain">
        <li v-for="m in todays.mishaps" :key="m.trouble">
          <strong>{{ name(m.trouble) }}</strong>{{ m.count > 1 ? ` ×${m.count}` : '' }}
          <span class="soft">{{ m.used }}</span>
        </li>
      </ul>
      <ul v-if="written.length > 0" class="plain">
        <li v-for="h in written" :key="h.id">
          <strong>{{ h.name }}</strong>
          <span class="soft">{{ HAPPENED_WORDS[h.what] }}, {{ clockOf(h.on) }}{{ h.place ? `, ${h.place}` : '' }}</span>
        </li>
      </ul>
      <p v-if="!todays && written.length === 0" class="soft">{{ texts.nothingHappenedYet }}</p>
      <p>
        <router-link to="/trip?tab=record">{{ texts.rideLog }}</router-link>
      </p>
    </section>
    <section>
      <h2>{{ texts.inTheEvening }}</h2>
      <p v-if="urgent.length > 0" class="gap">
        {{
          urgent
            .map((k) => checkWords(k.about).name)
            .slice(0, 4)
            .join(', ')
        }}{{ urgent.length > 4 ? ' …' : '' }}
      </p>
      <p>
        {{ texts.roundTheBike(counted(tomorrow.length, 'look')) }}
        <router-link to="/prove?tab=checks">{{ texts.eveningRound }}</router-link> ·
        <router-link to="/prove?tab=watch">{{ texts.watchList }}</router-link>
      </p>
    </section>
    <section v-if="legs.length > 0">
      <h2>{{ texts.theTripFromHere }}</h2>
      <SelectField v-model="leg" :label="texts.nextLeg" :items="legs" />
      <p class="act">
        <v-btn variant="tonal" :loading="looking" @click="look">{{ texts.lookAhead }}</v-btn>
      </p>
      <template v-if="here">
        <p role="status">
          <strong class="num">{{ percent(here.home, 1) }}</strong> {{ texts.getHomeUnaidedWithWhat }}
          <span class="num">{{ hoursText(here.atStake) }}</span>
          {{ texts.atRiskAsPacked(percent(here.packed.home, 1), hoursText(here.packed.atStake)) }}
        </p>
        <p v-if="here.less.length > 0" class="soft">
          {{
            texts.lessThanWasPacked(
              here.less
                .slice(0, 6)
                .map((l) => texts.of2(l.name, l.left, l.packed))
                .join(', '),
              here.less.length > 6 ? ' …' : '',
            )
          }}
        </p>
      </template>
    </section>
    <section>
      <h2>{{ texts.afterTheTrip }}</h2>
      <p class="soft">{{ texts.whatWasUsedWhatWas }}</p>
      <p class="act">
        <v-btn variant="tonal" to="/road?after=1">{{ texts.reviewTheTrip }}</v-btn>
      </p>
    </section>
    <section>
      <h2>{{ texts.restock }}</h2>
      <ul v-if="restock.length > 0" class="plain">
        <li v-for="s in restock.slice(0, 12)" :key="s.kind">
          {{ s.name }} <strong class="num">{{ s.buy }}</strong>
        </li>
      </ul>
      <p v-if="restock.length > 12" class="soft">{{ texts.andMore(restock.length - 12) }}</p>
      <p v-if="restock.length === 0" class="soft">{{ texts.allThatTheKitCounts }}</p>
    </section>
  </div>
</template>

<style scoped>
section {
  padding: 12px 16px;
  border-bottom: 1px solid var(--hair);
}
.act {
  padding: 8px 0;
}
.plain {
  list-style: none;
  margin: 0;
  padding: 0;
}
.plain li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
