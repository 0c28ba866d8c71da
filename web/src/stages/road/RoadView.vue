<script setup lang="ts">
/** What is wrong, and what to do: large presses, one thing at a time, without a signal. */
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useGarage } from '../../stores/garage';
import LineField from '../../ui/LineField.vue';
import { matches } from '../../words/road';
import { symptomsInOrder } from './symptomOrder';
import * as texts from '../../words/road/roadView';

/** The presses stand first, before anything is worked out; what they lead to is loaded behind them. */
const CardDialog = defineAsyncComponent(() => import('./CardDialog.vue'));
const DaySheet = defineAsyncComponent(() => import('./DaySheet.vue'));
const ProblemPresses = defineAsyncComponent(() => import('./ProblemPresses.vue'));
const RoadWork = defineAsyncComponent(() => import('./RoadWork.vue'));
const UnderWay = defineAsyncComponent(() => import('./UnderWay.vue'));

const garage = useGarage();
const route = useRoute();
const router = useRouter();
const ordered = symptomsInOrder();
/** What is looked for, and the trouble that it is, stand in the address: the way back of the browser goes back here. */
const text = (key: string) => (typeof route.query[key] === 'string' ? (route.query[key] as string) : null);
const tree = computed(() => ordered.find((t) => t.id === text('seek')) ?? null);
const mend = computed(() => text('mend'));
const after = computed(() => text('after') !== null);
const chosen = computed(() => mend.value !== null || tree.value !== null || after.value);
const go = (query: Record<string, string>) => void router.push({ query });
const typed = ref('');
const card = ref(false);
const writing = ref(false);
const title = ref('');
watch([tree, mend], () => (typed.value = ''));
const symptoms = computed(() => ordered.filter((t) => matches(typed.value, `${t.symptom} ${t.words}`)));
</script>

<template>
  <div class="stage">
    <section class="picture road" aria-labelledby="title">
      <div class="stage-head road-head" role="group">
        <h1 id="title">{{ chosen ? title : texts.whatIsWrong }}</h1>
        <span class="acts">
          <v-btn v-if="chosen" variant="tonal" class="card-press" @click="go({})">{{
            after ? texts.backToTheRoad : texts.beginAgain
          }}</v-btn>
          <v-btn v-if="!chosen" variant="tonal" class="card-press" @click="writing = true">{{
            texts.writeItDown
          }}</v-btn>
          <v-btn class="card-press" @click="card = true">{{ texts.whereAmIWhomTo }}</v-btn>
        </span>
      </div>
      <p v-if="!garage.bike" class="empty">{{ texts.addABikeFirst }}</p>
      <template v-else>
        <UnderWay />
        <RoadWork
          v-if="chosen"
          v-model:title="title"
          :tree="tree"
          :mend="mend"
          @mend="(id) => go(tree ? { seek: tree.id, mend: id } : { mend: id })"
        />
        <template v-else>
          <LineField
            v-model="typed"
            class="find"
            :label="texts.sayItInAWord"
            :placeholder="texts.flatWillNotStartLeaks"
            kind="search"
          />
          <div class="symptoms" role="group" :aria-label="texts.whatYouSee">
            <v-btn v-for="t in symptoms" :key="t.id" variant="tonal" class="symptom" @click="go({ seek: t.id })">{{
              t.symptom
            }}</v-btn>
            <ProblemPresses
              v-if="typed.trim()"
              :typed="typed"
              :alone="symptoms.length === 0"
              @choose="go({ mend: $event })"
            />
          </div>
          <p class="caution">
            {{ texts.firstGetOutOfDanger }}
          </p>
        </template>
      </template>
    </section>
    <section class="sheet road-sheet" :aria-label="texts.theDay">
      <DaySheet v-model:writing="writing" />
    </section>
    <CardDialog v-if="card" @close="card = false" />
  </div>
</template>

<style scoped>
.road-head {
  justify-content: space-between;
  align-items: center;
}
.road-head h1 {
  font-size: 30px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.card-press {
  min-height: 48px;
}
.find {
  max-width: 560px;
  margin: 10px 0;
}
.symptoms {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px;
  margin: 10px 0 16px;
}
.symptoms :deep(.symptom) {
  min-height: 76px;
  font-size: 21px;
  line-height: 1.1;
}
/* With gloves on, at arm's length. */
@media (pointer: coarse), (max-width: 760px) {
  .road :deep(.v-btn) {
    min-height: 64px;
  }
}
@media (max-width: 760px) {
  .symptoms {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
