<script setup lang="ts">
/** A drill before it begins: the way, what it takes and where that lies, cautions first. */
import { computed, onMounted, ref } from 'vue';
import {
  present,
  isEither,
  noProof,
  pacesOf,
  practiseOn,
  rehearsal,
  wayKey,
  WHEELS,
  wheelsLeft,
  type Rehearsal,
  type Wheel,
} from '@necessaire/core';
import { DRY_WORDS } from '@necessaire/words';
import { useProof } from '../../stores/proof';
import { timesOf } from '../../stores/proveEdits';
import SelectField from '../../ui/SelectField.vue';
import { minutesText } from '../../words/prove';
import LiesList from './LiesList.vue';
import * as texts from '../../words/prove/drillStart';

const props = defineProps<{ troubleId: string }>();
const emit = defineEmits<{ close: []; begun: [] }>();
const proof = useProof();
/** Which wheel, where the way is for either: the one that was not shown yet. */
const wheel = ref<Wheel>('front');
const either = computed(() => r.value !== null && isEither(r.value.way));
onMounted(() => {
  const [c, now] = [proof.made, r.value];
  if (!c || !now) return;
  const shown = c.drills.filter(
    (d) => d.bikeId === c.bike.id && d.trouble === props.troubleId && d.way === now.wayName && noProof(d, c) === null,
  );
  wheel.value = wheelsLeft(now.way, shown)[0] ?? 'front';
});
/** Ways that the kit has for it, as it goes them. */
const ways = computed(() => {
  const c = proof.made;
  if (!c) return [];
  const mends = c.kit.mends.filter((m) => m.troubleId === props.troubleId && m.bikeId === c.bike.id);
  const best = mends.find((m) => m.way !== null)?.wayName;
  const names = [...new Set([...(best ? [best] : []), ...mends.flatMap((m) => m.ways.map((w) => w.name))])];
  return names.flatMap((n) => rehearsal(c, props.troubleId, n, wheel.value) ?? []);
});
const picked = ref(0);
const r = computed<Rehearsal | null>(() => ways.value[picked.value] ?? ways.value[0] ?? null);
const name = computed(
  () => proof.made?.exposures.find((e) => e.trouble.id === props.troubleId)?.trouble.name ?? texts.drill2,
);
const dry = ref(false);
const dark = ref(false);
const times = computed(() =>
  r.value && proof.made
    ? timesOf(proof.made.drills, { trouble: r.value.trouble.id, way: r.value.wayName, who: proof.who })
    : [],
);
const pace = computed(() =>
  r.value && proof.made ? pacesOf(proof.made.drills, proof.who).get(wayKey(r.value.trouble.id, r.value.wayName)) : null,
);
const onScrap = computed(() => (r.value ? practiseOn(r.value.way) : ''));
function begin() {
  if (r.value && proof.start(r.value, { dry: dry.value, dark: dark.value, who: proof.who })) emit('begun');
}
</script>

<template>
  <v-dialog
    :model-value="true"
    max-width="640"
    scrollable
    :aria-label="texts.drill(name)"
    @update:model-value="emit('close')"
  >
    <div class="dialog-card">
      <div class="head">
        <h1>{{ name }}</h1>
        <v-btn variant="tonal" @click="emit('close')">{{ texts.close }}</v-btn>
      </div>
      <template v-if="r">
        <p v-for="c in r.cautions" :key="c" class="caution">{{ c }}</p>
        <p v-if="r.dry" class="caution">{{ DRY_WORDS[r.dry] }}</p>
        <SelectField
          v-if="ways.length > 1"
          v-model="picked"
          :label="texts.method"
          :items="ways.map((w, i) => ({ title: w.way.name, value: i }))"
        />
        <p v-else>
          <strong>{{ r.way.name }}</strong>
        </p>
        <SelectField
          v-if="either"
          v-model="wheel"
          :label="texts.whichWheel"
          :items="WHEELS.map((w) => ({ title: w, value: w }))"
        />
        <p class="times">
          {{ texts.planned }} <strong class="num">{{ minutesText(r.planned) }}</strong>.
          <template v-if="times.length > 0 && pace">
            {{ ' ' }}{{ texts.youTook }}
            <strong class="num">{{ times.map((t) => minutesText(t)).join(', ') }}</strong>{{ texts.nextTimeAbout }}
            <strong class="num">{{ minutesText(r.planned * pace.factor) }}</strong>{{
              texts.fourTimesInFiveBetween(minutesText(r.planned * pace.low), minutesText(r.planned * pace.high))
            }}{{ ' ' }}
          </template>
          <template v-else>{{ texts.aTypicalValueUntilYou }}</template>
        </p>
        <p v-if="onScrap" class="times">{{ texts.practiseOnNotOnThe(onScrap) }}</p>
        <template v-if="r.steps[0]?.part === 'get out'">
          <h2>{{ texts.whatItTakesInThe }}</h2>
          <LiesList :lies="present(r.steps[0].needs[0]).lies" />
        </template>
        <div class="switches">
          <v-switch v-if="!r.dry" v-model="dry" :label="texts.dryRunTurnNothingUse" />
          <v-switch v-model="dark" :label="texts.inTheDark" />
          <SelectField
            v-if="proof.people.length > 1"
            v-model="proof.who"
            :label="texts.whoDoesIt"
            :items="proof.people"
          />
        </div>
        <p v-if="dry || r.dry" class="soft">{{ texts.aDryRunFindsWhat }}</p>
        <p v-else class="soft">
          {{ texts.leaveTheGoodToolsIn }}
        </p>
        <p class="acts">
          <v-btn size="large" @click="begin">{{ texts.beginSteps(r.steps.length) }}</v-btn>
          <v-btn variant="tonal" :to="{ path: '/print/repairs', query: { trouble: r.trouble.id } }">{{
            texts.printItsSheet
          }}</v-btn>
        </p>
      </template>
      <p v-else class="empty">
        {{ texts.thisKitHasNoMethod }} <router-link to="/kit?tab=mends">{{ texts.repairs }}</router-link>
        {{ texts.saysWhatEachWayTakes }}
      </p>
    </div>
  </v-dialog>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
  margin-bottom: 6px;
}
.caution {
  margin: 6px 0;
}
.times {
  font-size: 15px;
  padding: 6px 0;
}
.switches {
  display: grid;
  gap: 4px;
  padding: 8px 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  position: sticky;
  bottom: -18px;
  margin-top: 12px;
  padding: 10px 0 18px;
  background: var(--sheet);
}
</style>
