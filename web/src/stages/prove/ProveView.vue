<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { checkWords } from '@necessaire/words';
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
import WaitingPart from '../../ui/WaitingPart.vue';
import * as texts from '../../words/prove/proveView';

/** Only where there is nothing to show yet. */
const EmptyStage = defineAsyncComponent(() => import('../../ui/EmptyStage.vue'));

const garage = useGarage();
const proof = useProof();
const TABS = {
  drills: texts.drills,
  checks: texts.checks,
  watch: texts.watchList,
  games: texts.games,
  paper: texts.calendarAndPaper,
} as const;
const tab = useTab(Object.keys(TABS) as (keyof typeof TABS)[]);
const told = computed(() => proof.told);
const chosen = ref<string | null>(null);
const best = computed(() => (told.value ? raises(told.value) : null));
const bestId = computed(() => best.value?.troubleId ?? null);
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
    <section class="picture prove" aria-labelledby="title">
      <div class="stage-head" role="group">
        <h1 id="title">{{ texts.whatIsProvenAndWhat }}</h1>
        <p v-if="!garage.trip">{{ texts.planATripFirstWhat }}</p>
        <p v-else-if="told && told.ready.share !== null" role="status">
          <strong class="num ready">{{ percent(told.ready.share) }}</strong> {{ texts.ofThe }}
          <span class="num">{{ hoursText(told.ready.atStake) }}</span> {{ texts.atRiskAreSavedBy }}
          <template v-if="best && bestId">
            {{ ' ' }}{{ texts.theQuickestWayUp }}
            <v-btn variant="plain" @click="chosen = bestId">{{ best.name }}</v-btn>,
            <strong class="num good">+{{ percent(best.share) }}</strong> {{ texts.in2(minutesText(best.minutes))
            }}{{ ' ' }}
          </template>
        </p>
        <p v-else-if="told">{{ texts.addLegsToTheTrip }}</p>
        <NextStage />
      </div>
      <p v-if="open && !proof.drill" class="open-drill" role="status">
        <span
          >{{ texts.aDrillIsOpen }} <strong>{{ openName }}</strong>{{ texts.step(open.step + 1) }}</span
        >
        <v-btn @click="proof.takeUp(open)">{{ texts.goOn }}</v-btn>
      </p>
      <p v-if="overdue.length > 0" class="open-drill" role="status">
        <span
          ><strong class="gap">{{ texts.you(counted(overdue.length, texts.checkNeeds, texts.checksNeed)) }}</strong
          >{{ ' ' }}
          {{
            overdue
              .slice(0, 3)
              .map((k) => checkWords(k.about).name)
              .join(', ')
          }}{{ overdue.length > 3 ? ' …' : '' }}.</span
        >
        <v-btn variant="tonal" @click="tab = 'checks'">{{ texts.openChecks }}</v-btn>
      </p>
      <template v-if="garage.trip && told && told.ready.troubles.length > 0">
        <ProofPicture :told="told" @rehearse="chosen = $event" />
        <p class="caution">
          {{ texts.practiseOnLevelGroundWith }}
        </p>
      </template>
      <EmptyStage v-else-if="!garage.trip" stage="prove" :act="{ label: texts.planATrip, to: '/trip' }" />
      <WaitingPart v-else-if="garage.trip && !told" of="bars" :says="texts.workingOutTheKit" />
    </section>
    <section class="sheet prove-sheet" :aria-label="texts.practiseAndCheck">
      <v-tabs v-model="tab" class="tabs" show-arrows :aria-label="texts.whatToLookAt">
        <v-tab v-for="(name, key) in TABS" :key="key" :value="key">{{ name }}</v-tab>
      </v-tabs>
      <template v-if="told">
        <DrillSheet v-if="tab === 'drills'" :told="told" @rehearse="chosen = $event" @play="tab = 'games'" />
        <ChecksSheet v-else-if="tab === 'checks'" :told="told" />
        <WatchSheet v-else-if="tab === 'watch'" />
        <GamesSheet v-else-if="tab === 'games'" />
        <PaperSheet v-else :told="told" />
      </template>
      <WaitingPart v-else-if="garage.trip" of="rows" />
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
