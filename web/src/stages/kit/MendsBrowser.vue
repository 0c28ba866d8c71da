<script setup lang="ts">
/** Everything that is known to go wrong or fall due, by subject; searches for faults; and what the rider adds. */
import LineField from '../../ui/LineField.vue';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import { present, appliesTo, byTrouble, FAULT_TREES, SUBJECTS, troublesIn, type OwnMend } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { percent } from '../../ui/words';
import FaultSearch from './FaultSearch.vue';
import GradeMark from './GradeMark.vue';
import OwnMendForm from './OwnMendForm.vue';
import * as texts from '../../words/kit/mendsBrowser';
import * as edits from '../../words/edits';

const emit = defineEmits<{ mend: [troubleId: string] }>();
const answers = useAnswer();
const garage = useGarage();
const asked = ref('');
const all = computed(() => (garage.doc ? troublesIn(garage.doc) : []));
const sums = computed(() =>
  answers.answer && garage.bike ? byTrouble(answers.answer.kit, garage.bike.id) : new Map(),
);
const groups = computed(() =>
  SUBJECTS.map((subject) => ({
    subject,
    list: all.value.filter(
      (t) =>
        t.subject === subject &&
        garage.bike &&
        appliesTo(t, garage.bike) &&
        `${t.name} ${t.ways.map((w) => w.name).join(' ')}`.toLowerCase().includes(asked.value.trim().toLowerCase()),
    ),
  })).filter((g) => g.list.length > 0),
);
const odds = (id: string) => answers.answer?.exposures.find((e) => e.trouble.id === id)?.odds ?? null;
const route = useRoute();
const symptom = ref<string | null>(null);
watch(
  () => route.query['symptom'],
  (id) => {
    if (typeof id === 'string') symptom.value = id;
  },
  { immediate: true },
);
const own = computed(() => garage.doc?.mends ?? []);
const writing = shallowRef<OwnMend | 'new' | null>(null);
function keep(m: OwnMend) {
  garage.put(edits.write(m.name), 'mends', m);
  writing.value = null;
}
</script>

<template>
  <div>
    <div class="tools">
      <LineField :label="texts.findARepair" v-model="asked" kind="search" :placeholder="texts.flatClutchLeak" />
      <v-btn @click="writing = 'new'">{{ texts.writeYourOwn }}</v-btn>
    </div>
    <section class="faults">
      <h2>{{ texts.notSureWhatItIs }}</h2>
      <div class="symptoms">
        <v-btn
          variant="tonal"
          v-for="f in FAULT_TREES"
          :key="f.id"
          :aria-pressed="symptom === f.id"
          @click="symptom = symptom === f.id ? null : f.id"
        >
          {{ f.symptom }}
        </v-btn>
      </div>
      <FaultSearch
        v-if="symptom"
        :key="symptom"
        :tree="present(FAULT_TREES.find((f) => f.id === symptom))"
        @mend="emit('mend', $event)"
      />
    </section>
    <OwnMendForm
      v-if="writing"
      :mend="writing === 'new' ? null : writing"
      :troubles="all"
      @keep="keep"
      @close="writing = null"
    />
    <section v-if="own.length > 0">
      <h2>{{ texts.yourOwn }}</h2>
      <div v-for="m in own" :key="m.id" class="row mine">
        <span class="title"
          >{{ m.name
          }}<small>{{
            m.trouble ? texts.aWayFor(all.find((t) => t.id === m.trouble)?.name ?? m.trouble) : texts.aProblemOfYourOwn
          }}</small></span
        >
        <v-btn variant="plain" @click="writing = m">{{ texts.change }}</v-btn>
        <v-btn variant="plain" @click="garage.remove(edits.remove(m.name), { table: 'mends', id: m.id })">
          {{ texts.remove }}
        </v-btn>
      </div>
    </section>
    <section v-for="g in groups" :key="g.subject">
      <h2>{{ g.subject }}</h2>
      <v-btn variant="text" v-for="t in g.list" :key="t.id" class="row mend" @click="emit('mend', t.id)">
        <span class="title"
          >{{ t.name
          }}<small>{{
            t.ways
              .map((w) => w.name)
              .slice(0, 3)
              .join(' · ')
          }}</small></span
        >
        <span class="num soft">{{ odds(t.id) === null ? '–' : percent(present(odds(t.id)), 1) }}</span>
        <GradeMark :grade="sums.get(t.id)?.grade ?? null" />
      </v-btn>
    </section>
    <p v-if="groups.length === 0" class="empty">{{ texts.noRepairMatches }}</p>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: 14px;
  align-items: end;
  margin: 8px 0;
}
.tools .line-field {
  flex: 1;
}
section h2 {
  border-bottom: 1px solid var(--line);
  padding: 12px 0 4px;
}
.symptoms {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 8px 0;
}
.symptoms [aria-pressed='true'] {
  border: 2px solid var(--ink);
  font-weight: 600;
}
.row {
  width: 100%;
  padding: 5px 0;
}
.mend {
  grid-template-columns: minmax(0, 1fr) 62px 96px;
}
.mine {
  grid-template-columns: minmax(0, 1fr) auto auto;
}
.mend:hover {
  background: var(--picked);
}
.mend:focus-visible {
  outline: 2px solid var(--ink);
}
small {
  display: block;
  color: var(--soft);
  font-size: 13px;
  line-height: 1.25;
}
.num {
  text-align: right;
}
@media (max-width: 760px) {
  .mine .v-btn--variant-plain {
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
}
</style>
