<script setup lang="ts">
/** Three games with a point: find a thing, size a head, find a fault. */
import { useProof } from '../../stores/proof';
import { useTab } from '../../ui/useTab';
import SelectField from '../../ui/SelectField.vue';
import FaultGame from './FaultGame.vue';
import FindGame from './FindGame.vue';
import SizeGame from './SizeGame.vue';
import * as texts from '../../words/prove/gamesSheet';

const proof = useProof();
const GAMES = { find: texts.findIt, size: texts.sizeIt, fault: texts.findTheFault } as const;
const game = useTab(Object.keys(GAMES) as (keyof typeof GAMES)[], 'game');
</script>

<template>
  <div>
    <section>
      <v-btn-toggle v-model="game" mandatory class="games" :aria-label="texts.whichGame">
        <v-btn v-for="(name, key) in GAMES" :key="key" :value="key">{{ name }}</v-btn>
      </v-btn-toggle>
      <SelectField v-if="proof.people.length > 1" v-model="proof.who" :label="texts.whoPlays" :items="proof.people" />
    </section>
    <template v-if="proof.made">
      <FindGame v-if="game === 'find'" :of="proof.made" />
      <SizeGame v-else-if="game === 'size'" :of="proof.made" />
      <FaultGame v-else :of="proof.made" />
    </template>
  </div>
</template>

<style scoped>
.games {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  height: auto;
  margin-bottom: 8px;
}
</style>
