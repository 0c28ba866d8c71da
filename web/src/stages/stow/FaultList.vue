<script setup lang="ts">
/** Rules broken: the piece, the rule, why it matters, and the cheapest change that mends it, one press to do it. */
import { at, present } from '@necessaire/core';
import { faultTitle, whyRules } from '@necessaire/words';
import { computed } from 'vue';
import type { StowFault, Stowed } from '@necessaire/core';
import { useView } from '../../stores/view';
import { sentence } from '../../ui/words';
import * as texts from '../../words/stow/faultList';

const view = useView();
const props = defineProps<{
  faults: readonly StowFault[];
  stowed: readonly Stowed[];
  placeName: (id: string) => string;
  pinned: (key: string) => boolean;
}>();
const emit = defineEmits<{ mend: [fault: StowFault]; free: [key: string]; pick: [key: string] }>();
const does = (f: StowFault) =>
  present(f.mending).moves.length === 1
    ? texts.moveTo(at(present(f.mending).moves, 0).name, at(present(f.mending).moves, 0).placeName.toLowerCase())
    : texts.swapWith(at(present(f.mending).moves, 0).name, at(present(f.mending).moves, 1).name);
const price = (points: number) =>
  Math.abs(points) < 0.05
    ? texts.costsNothingElse
    : points > 0
      ? texts.pointsWorse(points.toFixed(1))
      : texts.pointsBetter((-points).toFixed(1));
const broken = computed(() => props.faults.filter((f) => f.rule !== 'loose').length);
const because = (s: Stowed | undefined) => s?.barred ?? [];
</script>

<template>
  <section class="faults" :aria-label="texts.rulesBroken">
    <div class="sheet-head">
      <h2 class="gap">{{ broken === 0 ? texts.fitsNowhere : texts.rulesBroken }}</h2>
      <span class="num soft">{{ broken === 0 ? stowed.filter((s) => s.placeId === null).length : broken }}</span>
    </div>
    <article v-for="f in faults" :key="f.id" class="fault" :aria-label="faultTitle(f)">
      <svg class="mark" viewBox="0 0 20 22" width="20" height="22" aria-hidden="true">
        <path d="M10 1l8.5 5v10L10 21 1.500 16V6z" />
        <path d="M10 6v6M10 15v1.500" />
      </svg>
      <div>
        <p>
          <v-btn variant="text" v-if="f.key" class="name" @click="emit('pick', f.key)">{{ faultTitle(f) }}</v-btn>
          <strong v-else>{{ faultTitle(f) }}</strong><template v-if="f.rule === 'loose'">
            {{ ' ' }}{{ texts.hasNoPlace }}</template
          >
          <template v-else
            ><template v-if="f.key && f.placeId"> {{ ' ' }}{{ texts.in2(placeName(f.placeId).toLowerCase()) }}</template
            >: {{ view.inWords(f.message) }}.</template
          >
        </p>
        <template v-if="f.rule === 'loose'">
          <v-expansion-panels v-if="because(stowed.find((s) => s.item.key === f.key)).length > 0"
            ><v-expansion-panel
              ><v-expansion-panel-title
                >{{ placeName(present(because(stowed.find((s) => s.item.key === f.key))[0]).placeId) }}:
                {{
                  present(because(stowed.find((s) => s.item.key === f.key))[0])
                    .rules.map((r) => view.inWords(r.message))
                    .join('; ')
                }}</v-expansion-panel-title
              ><v-expansion-panel-text
                ><ul>
                  <li v-for="b in because(stowed.find((s) => s.item.key === f.key)).slice(1)" :key="b.placeId">
                    {{ placeName(b.placeId) }}: {{ b.rules.map((r) => view.inWords(r.message)).join('; ') }}
                  </li>
                </ul></v-expansion-panel-text
              ></v-expansion-panel
            ></v-expansion-panels
          >
          <p v-if="f.leaveOut.length > 0">
            {{ texts.itGoesInIfOne(f.leaveOut.map((l) => l.name).join(', ')) }}
          </p>
        </template>
        <p class="why">{{ sentence(whyRules(f.breaks)) }}</p>
        <p class="acts">
          <v-btn v-if="f.mending" @click="emit('mend', f)">{{ does(f) }}</v-btn>
          <v-btn variant="tonal" v-if="f.key && pinned(f.key)" @click="emit('free', f.key)">
            {{ texts.placeAutomatically }}
          </v-btn>
          <span v-if="f.mending" class="soft">{{ price(f.mending.points) }}</span>
          <span v-else-if="f.rule !== 'loose'" class="soft">{{ texts.noSingleMoveOrSwap }}</span>
        </p>
      </div>
    </article>
  </section>
</template>

<style scoped>
.fault {
  display: grid;
  grid-template-columns: 22px minmax(0, 1fr);
  gap: 10px;
  padding: 10px 16px;
  border-bottom: 1px solid var(--hair);
  font-size: 14.5px;
}
.mark path {
  fill: none;
  stroke: var(--gap);
  stroke-width: 2;
}
.name {
  font-weight: 700;
  cursor: pointer;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.why,
summary,
ul {
  color: var(--soft);
  font-size: 13.5px;
}
ul {
  margin: 2px 0;
  padding-left: 18px;
}
summary {
  cursor: pointer;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding-top: 5px;
}
</style>
