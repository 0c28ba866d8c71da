<script setup lang="ts">
/** What must be looked at for this bike, kit and trip: due when, why, how, and what came of it. */
import { computed, ref } from 'vue';
import { present, passOf, tripSchema, withUnit, type CheckDue } from '@necessaire/core';
import { checkWords } from '@necessaire/words';
import { useGarage } from '../../stores/garage';
import { useProof } from '../../stores/proof';
import type { ProofTold } from '@necessaire/core';
import { useView } from '../../stores/view';
import LineField from '../../ui/LineField.vue';
import { counted } from '../../ui/words';
import { hoursText, STANDING_WORDS, whenText } from '../../words/prove';
import CheckAnswer from './CheckAnswer.vue';
import CheckPass from './CheckPass.vue';
import ReminderForm from './ReminderForm.vue';
import * as texts from '../../words/prove/checksSheet';
import * as edits from '../../words/edits';

const props = defineProps<{ told: ProofTold }>();
const garage = useGarage();
const proof = useProof();
const view = useView();
const passing = ref<'evening' | 'before' | null>(null);
const km = (v: number) => withUnit(view.units, 'distance', v);
const GROUPS = [
  { key: 'before leaving', name: texts.beforeLeaving },
  { key: 'each evening', name: texts.eachEvening },
  { key: 'after some km', name: texts.byDistance },
  { key: 'on a date', name: texts.onADate },
] as const;
const groups = computed(() =>
  GROUPS.map((g) => ({ ...g, list: props.told.checks.filter((k) => k.when === g.key) })).filter(
    (g) => g.list.length > 0,
  ),
);
const open = (k: CheckDue) => k.standing !== 'done' && k.standing !== 'skipped';
const before = computed(() => passOf(props.told.checks, 'before'));
const evening = computed(() => passOf(props.told.checks, 'evening').filter(open));
const unfolded = ref<string | null>(null);
function leave(day: string) {
  const trip = garage.trip;
  if (!trip) return;
  const checked = tripSchema.safeParse({ ...trip, leaves: day === '' ? null : day });
  if (checked.success) garage.put(texts.theDayOfLeaving, 'trips', checked.data);
}
const why = (k: CheckDue) => (k.guards * 60 >= 1 ? texts.guards(hoursText(k.guards)) : '');
</script>

<template>
  <div>
    <section v-if="garage.trip">
      <LineField
        :label="texts.youLeaveOn"
        kind="date"
        :model-value="garage.trip.leaves ?? ''"
        @change="leave(($event.target as HTMLInputElement).value)"
      />
      <p v-if="!garage.trip.leaves" class="soft small">
        {{ texts.withTheDayEachCheck }}
      </p>
      <p class="acts">
        <v-btn :disabled="before.length === 0" @click="passing = 'before'">{{
          texts.walkRoundBeforeLeaving(before.length)
        }}</v-btn>
        <v-btn variant="tonal" :disabled="evening.length === 0" @click="passing = 'evening'">{{
          texts.eveningRound(evening.length)
        }}</v-btn>
      </p>
    </section>
    <section v-for="g in groups" :key="g.key">
      <h2>
        {{ g.name }} <span class="num soft">{{ g.list.filter(open).length }}/{{ g.list.length }}</span>
      </h2>
      <ul class="plain">
        <li v-for="k in g.list" :key="k.key" class="check" :class="k.standing.replace(' ', '-')">
          <v-btn
            variant="text"
            class="line"
            :aria-expanded="unfolded === k.key"
            @click="unfolded = unfolded === k.key ? null : k.key"
          >
            <span class="mark" aria-hidden="true" />
            <span class="what"
              >{{ checkWords(k.about).name
              }}<small>{{ [why(k), k.last?.note].filter(Boolean).join(' · ') }}</small></span
            >
            <span class="when num">{{ open(k) || k.standing === 'found' ? whenText(k, km) : '' }}</span>
            <span class="standing">{{ STANDING_WORDS[k.standing] }}</span>
          </v-btn>
          <div v-if="unfolded === k.key" class="detail">
            <p>{{ view.inWords(checkWords(k.about).how) }}</p>
            <p class="soft">{{ checkWords(k.about).why }}</p>
            <p v-if="checkWords(k.about).caution" class="caution">{{ checkWords(k.about).caution }}</p>
            <p v-if="k.last" class="soft">
              {{ texts.last(k.last.on.slice(0, 10), k.last.result, k.last.note ? `: ${k.last.note}` : '') }}
              <template v-if="proof.people.length > 1">{{
                texts.by(proof.people.find((p) => p.value === present(k.last).who)?.title ?? texts.somebody)
              }}</template>
            </p>
            <CheckAnswer :check="k" />
            <p v-if="k.own">
              <v-btn
                variant="plain"
                @click="garage.remove(edits.remove(checkWords(k.about).name), { table: 'reminders', id: k.key })"
                >{{ texts.deleteThisCheck }}</v-btn
              >
            </p>
          </div>
        </li>
      </ul>
    </section>
    <ReminderForm />
    <p class="soft foot">
      {{ texts.madeFromYourBikeKit(counted(told.checks.length, 'check')) }}
    </p>
    <CheckPass v-if="passing" :what="passing" :told="told" @close="passing = null" />
  </div>
</template>

<style scoped>
.small {
  font-size: 13px;
  padding-top: 4px;
}
.line {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 44px;
  padding: 4px 0;
  text-align: left;
  font-size: 15px;
  line-height: 1.2;
  border-bottom: 1px solid var(--hair);
}
.line small {
  display: block;
  color: var(--soft);
  font-size: 12.5px;
}
.when {
  font-size: 13px;
  color: var(--soft);
}
.standing {
  font-size: 13px;
  min-width: 58px;
  text-align: right;
  color: var(--soft);
}
.mark {
  width: 12px;
  height: 12px;
  border: 2px solid var(--soft);
}
.done .mark {
  background: var(--proven);
  border-color: var(--proven);
}
.done .standing {
  color: var(--proven);
}
.skipped .mark {
  border-style: dashed;
}
.overdue .mark,
.found .mark {
  border-color: var(--gap);
  background: linear-gradient(45deg, transparent 42%, var(--gap) 42% 58%, transparent 58%);
}
.overdue .standing,
.found .standing {
  color: var(--gap);
}
.due .mark {
  border-color: var(--assumed);
  background: linear-gradient(0deg, var(--assumed) 50%, transparent 50%);
}
.due .standing {
  color: var(--assumed);
}
.detail {
  padding: 8px 0 12px 24px;
  display: grid;
  gap: 6px;
  font-size: 14.5px;
}
.foot {
  padding: 10px 16px;
  font-size: 13px;
}
</style>
