<script setup lang="ts">
/** What is wrong, and what to do: large presses, one thing at a time, without a signal. */
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { FAULT_TREES, faultSearch, type FaultTree } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import LineField from '../../ui/LineField.vue';
import { matches } from '../../words/road';
import DrillRun from '../prove/DrillRun.vue';
import CardDialog from './CardDialog.vue';
import LogDialog from './LogDialog.vue';
import EveningSheet from './EveningSheet.vue';
import MendPanel from './MendPanel.vue';
import ReviewPanel from './ReviewPanel.vue';
import SeekPanel from './SeekPanel.vue';

const garage = useGarage();
const answers = useAnswer();
const proof = useProof();
const route = useRoute();
const router = useRouter();
/** What is looked for, and the trouble that it is, stand in the address: the way back of the browser goes back here. */
const text = (key: string) => (typeof route.query[key] === 'string' ? (route.query[key] as string) : null);
const tree = computed<FaultTree | null>(() => FAULT_TREES.find((t) => t.id === text('seek')) ?? null);
const trouble = computed(() => proof.made?.troubles.find((t) => t.id === text('mend')) ?? null);
const go = (query: Record<string, string>) => void router.push({ query });
const typed = ref('');
const card = ref(false);
const writing = ref(false);
const after = computed(() => text('after') !== null);
watch([tree, trouble], () => (typed.value = ''));
/** People first, then what is likeliest on this trip. */
const ordered = computed(() => {
  const c = proof.made;
  const weight = (t: FaultTree) => (c ? faultSearch(c, t).search.causes.reduce((s, k) => s + k.weight, 0) : 0);
  return [...FAULT_TREES]
    .map((t) => ({ t, w: t.inOrder ? Infinity : weight(t) }))
    .sort((a, b) => (a.w === b.w ? 0 : b.w - a.w))
    .map((x) => x.t);
});
const symptoms = computed(() => ordered.value.filter((t) => matches(typed.value, `${t.symptom} ${t.words}`)));
const problems = computed(() =>
  typed.value.trim() === ''
    ? []
    : (proof.made?.troubles ?? [])
        .filter(
          (t) => t.subject !== 'service' && matches(typed.value, `${t.name} ${t.ways.map((w) => w.name).join(' ')}`),
        )
        .slice(0, 12),
);
const open = computed(() => proof.unfinished.find((d) => d.real) ?? null);
</script>

<template>
  <div class="stage">
    <section class="picture road" :data-working="answers.busy ? 'yes' : 'no'">
      <div class="stage-head road-head">
        <h1>{{ trouble ? trouble.name : tree ? tree.symptom : after ? 'How did it go?' : 'What is wrong?' }}</h1>
        <span class="acts">
          <v-btn v-if="tree || trouble || after" variant="tonal" class="card-press" @click="go({})">{{
            after ? 'Back to the road' : 'Begin again'
          }}</v-btn>
          <v-btn v-if="proof.told && proof.made && !after" variant="tonal" class="card-press" @click="writing = true"
            >Write it down</v-btn
          >
          <v-btn class="card-press" @click="card = true">Where am I, whom to call</v-btn>
        </span>
      </div>
      <p v-if="!garage.bike" class="empty">Add a bike first.</p>
      <p v-else-if="!proof.made" class="empty">Working out the kit …</p>
      <template v-else>
        <p v-if="open && !proof.drill" class="going">
          <span
            >A repair is under way: <strong>{{ open.way }}</strong>, step {{ open.step + 1 }}.</span
          >
          <v-btn @click="proof.takeUp(open)">Go on</v-btn>
        </p>
        <MendPanel v-if="trouble" :key="trouble.id" :trouble="trouble" :of="proof.made" />
        <ReviewPanel v-else-if="after" :key="`${proof.made.bike.id} ${proof.made.trip?.id}`" :of="proof.made" />
        <SeekPanel
          v-else-if="tree"
          :key="tree.id"
          :tree="tree"
          :of="proof.made"
          @mend="go({ seek: tree.id, mend: $event })"
        />
        <template v-else>
          <LineField
            v-model="typed"
            class="find"
            label="Say it in a word or two"
            placeholder="flat, will not start, leaks"
            kind="search"
          />
          <div class="symptoms">
            <v-btn v-for="t in symptoms" :key="t.id" variant="tonal" class="symptom" @click="go({ seek: t.id })">{{
              t.symptom
            }}</v-btn>
            <v-btn
              v-for="t in problems"
              :key="t.id"
              variant="tonal"
              class="symptom problem"
              @click="go({ mend: t.id })"
              >{{ t.name }}</v-btn
            >
          </div>
          <p v-if="symptoms.length === 0 && problems.length === 0" class="empty">
            Nothing of that name. Try another word, or clear it and choose what comes nearest.
          </p>
          <p class="caution">
            First get out of danger, then think. Where anybody may be badly hurt, call the local emergency number. The
            maker’s manual and local law come first.
          </p>
        </template>
      </template>
    </section>
    <section class="sheet road-sheet" aria-label="The day">
      <EveningSheet v-if="proof.told && proof.made" :told="proof.told" :of="proof.made" />
    </section>
    <LogDialog
      v-if="writing && proof.told && proof.made"
      :told="proof.told"
      :of="proof.made"
      @close="writing = false"
    />
    <CardDialog v-if="card" @close="card = false" />
    <DrillRun v-if="proof.drill" />
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
.symptom {
  min-height: 76px;
  font-size: 21px;
  line-height: 1.1;
}
.problem {
  border-style: dashed;
}
.going {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  border: 1px solid var(--line);
  background: var(--sheet);
  padding: 8px 12px;
  margin-top: 10px;
  font-size: 16px;
}
@media (max-width: 760px) {
  .symptoms {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
