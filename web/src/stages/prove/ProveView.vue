<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import NextStage from '../../shell/NextStage.vue';
import { useTab } from '../../ui/useTab';
import { counted, percent } from '../../ui/words';
import { hoursText, minutesText, raises } from '../../words/prove';
import ChecksSheet from './ChecksSheet.vue';
import DrillRun from './DrillRun.vue';
import DrillSheet from './DrillSheet.vue';
import DrillStart from './DrillStart.vue';
import GamesSheet from './GamesSheet.vue';
import PaperSheet from './PaperSheet.vue';
import ProofPicture from './ProofPicture.vue';
import WatchSheet from './WatchSheet.vue';
import './prove.css';

/** Only where there is nothing to show yet. */
const EmptyStage = defineAsyncComponent(() => import('../../ui/EmptyStage.vue'));

const garage = useGarage();
const answers = useAnswer();
const proof = useProof();
const TABS = {
  drills: 'Drills',
  checks: 'Checks',
  watch: 'Watch list',
  games: 'Games',
  paper: 'Calendar and paper',
} as const;
const tab = useTab(Object.keys(TABS) as (keyof typeof TABS)[]);
const told = computed(() => proof.told);
const chosen = ref<string | null>(null);
const best = computed(() => (told.value ? raises(told.value) : null));
const bestId = computed(() => told.value?.offers.find((o) => o.name === best.value?.name)?.troubleId ?? null);
const open = computed(() => proof.unfinished[0] ?? null);
const openName = computed(
  () => proof.made?.exposures.find((e) => e.trouble.id === open.value?.trouble)?.trouble.name ?? open.value?.way ?? '',
);
const overdue = computed(
  () => told.value?.checks.filter((k) => k.standing === 'overdue' || k.standing === 'found') ?? [],
);
</script>

<template>
  <div class="stage">
    <section class="picture prove" :data-working="answers.busy ? 'yes' : 'no'">
      <div class="stage-head">
        <h1>What is proven, and what only planned</h1>
        <p v-if="!garage.trip">Plan a trip first: what may go wrong on it is what there is to practise.</p>
        <p v-else-if="told && told.ready.share !== null" role="status">
          <strong class="num ready">{{ percent(told.ready.share) }}</strong> of the
          <span class="num">{{ hoursText(told.ready.atStake) }}</span> at risk are saved by repairs that you have really
          done with this kit.
          <template v-if="best && bestId">
            The quickest way up:
            <v-btn variant="plain" @click="chosen = bestId">{{ best.name }}</v-btn>,
            <strong class="num good">+{{ percent(best.share) }}</strong> in {{ minutesText(best.minutes) }}.
          </template>
        </p>
        <p v-else-if="told">Add legs to the trip: what may go wrong on them is what there is to practise.</p>
        <NextStage />
      </div>
      <p v-if="open && !proof.drill" class="open-drill">
        <span
          >A drill is open: <strong>{{ openName }}</strong>, step {{ open.step + 1 }}.</span
        >
        <v-btn @click="proof.takeUp(open)">Go on</v-btn>
      </p>
      <p v-if="overdue.length > 0" class="open-drill">
        <span
          ><strong class="gap">{{ counted(overdue.length, 'check needs', 'checks need') }} you:</strong>{{ ' ' }}
          {{
            overdue
              .slice(0, 3)
              .map((k) => k.name)
              .join(', ')
          }}{{ overdue.length > 3 ? ' …' : '' }}.</span
        >
        <v-btn variant="tonal" @click="tab = 'checks'">Open checks</v-btn>
      </p>
      <template v-if="garage.trip && told && told.ready.troubles.length > 0">
        <ProofPicture :told="told" @rehearse="chosen = $event" />
        <p class="caution">
          Practise on level ground with the engine cold; nobody is under a lifted bike. The maker’s manual comes first,
          and after work on axle, brake or steering the torque wrench does.
        </p>
      </template>
      <EmptyStage v-else-if="!garage.trip" stage="prove" :act="{ label: 'Plan a trip', to: '/trip' }" />
      <p v-else-if="garage.trip && !told" class="empty">Working out the kit …</p>
    </section>
    <section class="sheet prove-sheet" aria-label="Practise and check">
      <v-tabs v-model="tab" class="tabs" show-arrows aria-label="What to look at">
        <v-tab v-for="(name, key) in TABS" :key="key" :value="key">{{ name }}</v-tab>
      </v-tabs>
      <template v-if="told">
        <DrillSheet v-if="tab === 'drills'" :told="told" @rehearse="chosen = $event" @play="tab = 'games'" />
        <ChecksSheet v-else-if="tab === 'checks'" :told="told" />
        <WatchSheet v-else-if="tab === 'watch'" />
        <GamesSheet v-else-if="tab === 'games'" />
        <PaperSheet v-else :told="told" />
      </template>
      <p v-else class="empty">Working out the kit …</p>
    </section>
    <DrillStart v-if="chosen && !proof.drill" :trouble-id="chosen" @close="chosen = null" @begun="chosen = null" />
    <DrillRun v-if="proof.drill" />
  </div>
</template>

<style scoped>
.stage-head .ready {
  font-size: 30px;
  font-weight: 600;
}
.open-drill {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  border: 1px solid var(--line);
  background: var(--sheet);
  padding: 8px 12px;
  margin-top: 10px;
  font-size: 15px;
}
.tabs {
  border-bottom: 1px solid var(--line);
}
.caution {
  margin-top: 12px;
}
</style>
