<script setup lang="ts">
/** Hours at stake as one measure: proven, only planned, and lost anyway; below it trouble by trouble. Pressing one rehearses it. */
import { computed, ref } from 'vue';
import { scaleLinear } from 'd3-scale';
import type { Proof, ProofTold } from '@necessaire/core';
import { counted, percent } from '../../ui/words';
import { hoursText, NO_PROOF_WORDS } from '../../words/prove';
import * as texts from '../../words/prove/proofPicture';

const props = defineProps<{ told: ProofTold }>();
const emit = defineEmits<{ rehearse: [troubleId: string] }>();
const SHOWN = 14;
const all = ref(false);
const ready = computed(() => props.told.ready);
const parts = computed(() => {
  const { atStake, saved, proven } = ready.value;
  const x = scaleLinear([0, Math.max(atStake, 1e-9)], [0, 100]);
  return [
    { key: 'proven', name: 'proven', hours: proven, from: 0, wide: x(proven) },
    { key: 'planned', name: texts.onlyPlanned, hours: saved - proven, from: x(proven), wide: x(saved - proven) },
    { key: 'lost', name: texts.lostAnyway, hours: atStake - saved, from: x(saved), wide: x(atStake - saved) },
  ];
});
const most = computed(() => Math.max(...ready.value.troubles.map((p) => p.atStake), 1e-9));
const rows = computed(() => (all.value ? ready.value.troubles : ready.value.troubles.slice(0, SHOWN)));
const rest = computed(() => ready.value.troubles.slice(SHOWN));
const x = computed(() => scaleLinear([0, most.value], [0, 100]));
/** What is said of a trouble: how far its repair is shown to work. */
function says(p: Proof): string {
  if (p.by !== null) return p.proven < p.saved - 1e-6 ? texts.provenInPart(p.by) : texts.provenBy(p.by);
  if (p.lapsed !== null) return NO_PROOF_WORDS[p.lapsed];
  return p.way === null ? texts.thisKitHasNoMethod : p.way;
}
</script>

<template>
  <div>
    <svg class="strip" role="img" :aria-label="parts.map((p) => `${p.name}: ${hoursText(p.hours)}`).join(', ')">
      <defs>
        <pattern id="planned" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" class="hatch" />
        </pattern>
      </defs>
      <rect
        v-for="p in parts"
        :key="p.key"
        :class="p.key"
        :x="`${p.from}%`"
        y="1"
        :width="`${Math.max(0, p.wide)}%`"
        height="32"
      />
    </svg>
    <p class="legend">
      <span v-for="p in parts" :key="p.key"
        ><svg width="14" height="12" aria-hidden="true"><rect :class="p.key" x="1" y="1" width="12" height="10" /></svg>
        {{ p.name }} <span class="num">{{ hoursText(p.hours) }}</span></span
      >
    </p>
    <ul class="rows" :aria-label="texts.problemsByTheHoursAt">
      <li v-for="p in rows" :key="p.troubleId">
        <v-btn
          variant="text"
          class="one"
          :class="{ shown: p.by !== null, none: p.way === null }"
          @click="emit('rehearse', p.troubleId)"
        >
          <span class="name"
            >{{ p.name }}<small :class="{ good: p.by !== null }">{{ says(p) }}</small></span
          >
          <svg class="bar" aria-hidden="true">
            <rect class="proven" x="0" y="3" :width="`${x(p.proven)}%`" height="14" />
            <rect
              class="planned"
              :x="`${x(p.proven)}%`"
              y="3"
              :width="`${x(Math.max(0, p.saved - p.proven))}%`"
              height="14"
            />
            <rect
              class="lost"
              :x="`${x(p.saved)}%`"
              y="3"
              :width="`${x(Math.max(0, p.atStake - p.saved))}%`"
              height="14"
            />
          </svg>
          <span class="num hours">{{ hoursText(p.atStake) }}</span>
        </v-btn>
      </li>
    </ul>
    <p v-if="rest.length > 0" class="soft more">
      <v-btn variant="plain" :aria-expanded="all" @click="all = !all">{{
        all ? texts.showFewer : texts.show(counted(rest.length, 'more'))
      }}</v-btn>
      <template v-if="!all">
        {{
          texts.togetherOfTheHoursAt(percent(rest.reduce((s, p) => s + p.atStake, 0) / Math.max(ready.atStake, 1e-9)))
        }}</template
      >
    </p>
  </div>
</template>

<style scoped>
.strip {
  display: block;
  width: 100%;
  height: 34px;
  margin-top: 12px;
}
.hatch {
  stroke: var(--ink);
  stroke-width: 2;
}
rect.proven {
  fill: var(--proven);
}
rect.planned {
  fill: url(#planned);
  stroke: var(--ink);
}
rect.lost {
  fill: none;
  stroke: var(--gap);
  stroke-dasharray: 3 3;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  font-size: 14px;
  padding: 4px 0 10px;
}
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
}
.one {
  display: grid;
  grid-template-columns: minmax(150px, 2fr) minmax(80px, 3fr) 62px;
  gap: 12px;
  align-items: center;
  width: 100%;
  min-height: 44px;
  padding: 3px 4px;
  border-bottom: 1px solid var(--hair);
  text-align: left;
}
.name {
  font-size: 15px;
  line-height: 1.2;
}
.name small {
  display: block;
  color: var(--soft);
  font-size: 12.5px;
}
.name small.good {
  color: var(--proven);
}
.bar {
  width: 100%;
  height: 20px;
}
.hours {
  text-align: right;
}
.more {
  padding: 8px 4px;
}
@media (max-width: 760px) {
  .one {
    grid-template-columns: minmax(0, 1fr) 62px;
  }
  .bar {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
