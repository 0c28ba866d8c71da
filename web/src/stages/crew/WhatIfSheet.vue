<script setup lang="ts">
/** What if somebody is not there, or the crew falls apart: which repairs are missing, for whom, and the lightest cure. */
import { at } from '@necessaire/core';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Absence, CrewAnswer, CrewCure, Gap, GroupTold, RiderAdds } from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useCrew } from '../../stores/crew';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { counted, massText, percent } from '../../ui/words';
import { gapsText, gapWhat, gapWhose, groupName } from '../../words/crew';
import LeanPicture from './LeanPicture.vue';
import * as texts from '../../words/crew/whatIfSheet';

const props = defineProps<{ answer: CrewAnswer }>();
const crew = useCrew();
const garage = useGarage();
const view = useView();
const notice = useNotice();
const absences = shallowRef<Absence[]>([]);
const gone = computed({ get: () => crew.gone, set: (i) => (crew.gone = i) });
const cure = shallowRef<CrewCure | null>(null);
const seeking = ref(false);
/** What the one who is taken out adds and takes off, once known. */
const adds = shallowRef<RiderAdds | null>(null);
const openGroup = ref<string | null>(null);

/** The sharing that the absences are of. */
let lookedAt: CrewAnswer | null = null;
const riders = computed(() => props.answer.names.flatMap((n, i) => (n.bike ? [i] : [])));
watch(
  () => [props.answer, crew.busy] as const,
  async () => {
    const of = props.answer;
    if (crew.busy || of === lookedAt) return;
    lookedAt = of;
    cure.value = null;
    absences.value = [];
    const list: Absence[] = [];
    if (riders.value.length > 1)
      for (const i of riders.value) {
        const a = await crew.ask((w) => w.absence(i));
        if (!a || props.answer !== of) return;
        list.push(a);
        absences.value = [...list];
      }
  },
  { immediate: true },
);
/** Each rider without whom something is missing, with the hours that the others lose. */
const rows = computed(() => absences.value.map((a) => ({ ...a, name: props.answer.names[a.gone]?.name ?? '' })));
/** What is missing in two words: repairs, or bolts where it is only those. */
function missing(gaps: readonly Gap[]): string {
  const repairs = gaps.filter((g) => g.kind === 'mend' || g.kind === 'stock').length;
  if (repairs > 0) return counted(repairs, 'repair');
  const bolts = new Set(gaps.flatMap((g) => g.fasteners)).size;
  return bolts > 0 ? counted(bolts, 'bolt') : texts.nothingMissing;
}
const gapsNow = computed(() => props.answer.judged.gaps);
const parts = computed(() => props.answer.groups.filter((g) => g.kind === 'part'));
const singles = computed(() => props.answer.groups.filter((g) => g.kind === 'alone'));
/** A part of a split: its people stay lit in the picture. */
function lookAt(g: GroupTold) {
  openGroup.value = openGroup.value === g.key ? null : g.key;
  crew.gone = null;
  crew.looked = openGroup.value === null ? null : g.members;
}
const splitName = (id: string | null) => crew.crew?.splits.find((s) => s.id === id)?.name ?? '';

async function seek(who: number | null) {
  seeking.value = true;
  cure.value = null;
  cure.value = await crew.ask((w) => w.cure(who));
  seeking.value = false;
}
function takeOut(i: number) {
  crew.looked = null;
  gone.value = gone.value === i ? null : i;
}
// A rider is taken out here, or by a press on their name in the picture.
watch(gone, async (i) => {
  cure.value = null;
  adds.value = null;
  if (i === null) return;
  if ((absences.value[i]?.gaps.length ?? 0) > 0) await seek(i);
  if (gone.value !== i) return;
  const known = await crew.ask((w) => w.adds(i));
  if (gone.value === i) adds.value = known;
});
/** From now on the others and the one who turns back must get home by themselves: a split of the crew. */
function planFor(who: number) {
  const of = crew.crew;
  const them = props.answer.names[who];
  if (!of || !them) return;
  const others = riders.value.filter((i) => i !== who).map((i) => at(props.answer.names, i).key);
  crew.set(texts.planForTurningBack(them.name), {
    splits: [
      ...of.splits,
      { id: crypto.randomUUID(), name: texts.turnsBack(them.name), groups: [others, [them.key]], legs: [] },
    ],
  });
  notice.done(texts.bothMustGetHomeNow(them.name));
}
const cureText = (c: CrewCure) =>
  c.additions
    .map((a) =>
      texts.takes(props.answer.names[a.by]?.name, `${a.name.toLowerCase()}${a.count > 1 ? ` ×${a.count}` : ''}`),
    )
    .join(', ');
const held = computed(() => (gone.value === null ? [] : (absences.value[gone.value]?.gaps ?? [])));
const byBike = computed(() => {
  const out = new Map<string, string[]>();
  for (const g of held.value) {
    const who = gapWhose(props.answer, g) || texts.everybody;
    const list = out.get(who) ?? [];
    const what = gapWhat(props.answer, g);
    if (!list.includes(what)) list.push(what);
    out.set(who, list);
  }
  return [...out];
});
const trip = computed(() => garage.trip);
/** Troubles that nothing carried mends and that a companion could fetch the means for sooner than help comes. */
const fetch = computed(() => {
  const list = gapsNow.value.filter((g) => g.kind === 'mend').map((g) => props.answer.asks[g.ask]);
  return list.flatMap((a) => (a && a.fetch < a.without ? [a] : []));
});
</script>

<template>
  <div class="what-if">
    <section v-if="gapsNow.length > 0">
      <h2>{{ texts.missingAsItIs }}</h2>
      <ul class="plain">
        <li v-for="g in answer.groups.filter((x) => x.gaps.length > 0)" :key="g.key">
          <strong>{{ groupName(g) }}:</strong> {{ gapsText(answer, g.gaps) }}
        </li>
      </ul>
      <p v-for="f in fetch" :key="f.name" class="soft">
        {{ texts.aCompanionFetchesWhatIs(f.name) }} <span class="num">{{ f.fetch.toFixed(1) }} h</span
        >{{ texts.against }} <span class="num">{{ f.without.toFixed(1) }} h</span>
        {{ texts.untilHelpHasCome }}
      </p>
      <v-btn variant="outlined" :loading="seeking && gone === null" @click="seek(null)">
        {{ texts.whatWouldCloseIt }}
      </v-btn>
      <p v-if="cure && gone === null" role="status">
        <template v-if="cure.additions.length > 0"
          >{{ texts.oneMoreOfEach(cureText(cure)) }}
          <span class="num">+{{ massText(view.units, cure.mass) }}</span></template
        ><template v-else>{{ texts.nothingLikeWhatAnybodyOwns }}</template>
        <span v-if="cure.left.length > 0" class="soft">
          {{ ' ' }}{{ texts.stillOpen(gapsText(answer, cure.left)) }}</span
        >
      </p>
    </section>

    <section v-if="parts.length > 0">
      <h2>{{ texts.whenTheCrewSplits }}</h2>
      <ul class="plain rows">
        <li v-for="g in parts" :key="g.key">
          <v-btn variant="text" class="wide" :aria-expanded="openGroup === g.key" @click="lookAt(g)">
            <span
              ><strong>{{ g.name }}</strong
              ><span class="soft beside">{{ splitName(g.splitId) }}</span></span
            >
            <span class="num" :class="g.gaps.length + g.never.length > 0 ? 'gap' : 'good'">{{
              g.gaps.length + g.never.length > 0
                ? counted(g.gaps.length + g.never.length, 'gap')
                : texts.home(percent(g.home))
            }}</span>
          </v-btn>
          <div v-if="openGroup === g.key" class="more">
            <p v-if="g.gaps.length > 0">{{ texts.notMended(gapsText(answer, g.gaps, 6)) }}</p>
            <p v-for="n in g.never" :key="n.ask">{{ answer.asks[n.ask]?.name }}: {{ view.inWords(n.why) }}.</p>
            <p>
              {{ texts.homeByOwnMeansOn }} <span class="num">{{ percent(g.home, 1) }}</span> {{ texts.ofTrips }}
              <span class="num">{{ g.left.toFixed(1) }} h</span> {{ texts.stayAtStake }}
            </p>
          </div>
        </li>
      </ul>
    </section>

    <section v-if="singles.length > 0">
      <h2>{{ texts.eachAloneForAnHour }}</h2>
      <ul class="plain">
        <li v-for="g in singles" :key="g.key" class="line">
          <strong>{{ g.name }}:</strong>{{ ' ' }}
          <span v-if="g.gaps.length + g.never.length === 0" class="good">{{ texts.hasAllThatWasAsked }}</span>
          <span v-else class="gap">
            {{
              [gapsText(answer, g.gaps), ...g.never.map((n) => `${answer.asks[n.ask]?.name}: ${view.inWords(n.why)}`)]
                .filter(Boolean)
                .join('; ')
            }}
          </span>
        </li>
      </ul>
    </section>

    <section v-if="riders.length > 1">
      <h2>{{ texts.somebodyTurnsBack }}</h2>
      <ul class="plain rows">
        <li v-for="r in rows" :key="r.gone">
          <v-btn variant="text" class="wide" :aria-pressed="gone === r.gone" @click="takeOut(r.gone)">
            <span
              >{{ texts.without }} <strong>{{ r.name }}</strong></span
            >
            <span class="num" :class="{ gap: r.hours >= 0.05 }"
              >{{ r.hours >= 0.05 ? `−${r.hours.toFixed(1)} h` : '0 h' }} · {{ missing(r.gaps) }}</span
            >
          </v-btn>
          <div v-if="gone === r.gone" class="more">
            <p v-for="[who, list] in byBike" :key="who">
              <strong>{{ who }}:</strong> {{ list.slice(0, 5).join(', ')
              }}{{ list.length > 5 ? texts.andMore(list.length - 5) : '' }}.
            </p>
            <p v-if="byBike.length === 0">{{ texts.theOthersCanDoAll }}</p>
            <p v-if="adds" class="soft">
              {{ texts.withTheCrewCarries(r.name) }}
              <span class="num">{{ massText(view.units, Math.abs(adds.mass)) }}</span>
              {{ texts.thanTheOthersWouldAlone(adds.mass >= 0 ? texts.more : texts.less) }}
              <span class="num">{{ Math.abs(adds.hours).toFixed(2) }} h</span>
              {{ adds.hours >= 0 ? texts.less : texts.more }}.
            </p>
            <p v-if="r.gaps.length > 0">
              <v-btn variant="outlined" @click="planFor(r.gone)">{{ texts.planForIt }}</v-btn>
            </p>
            <p v-if="seeking" class="soft">{{ texts.lookingForTheLightestCure }}</p>
            <template v-else-if="cure">
              <p role="status">
                {{ texts.lightestCure(cure.additions.length > 0 ? cureText(cure) : texts.nothingThatAnybodyOwns) }}
                <span v-if="cure.additions.length > 0" class="num">+{{ massText(view.units, cure.mass) }}</span>
                <span v-if="cure.left.length > 0" class="soft">
                  {{ ' ' }}{{ texts.notCured(gapsText(answer, cure.left)) }}</span
                >
              </p>
            </template>
          </div>
        </li>
      </ul>
      <p v-if="rows.length < riders.length" class="soft">{{ texts.workingItOut }}</p>
    </section>

    <section v-if="riders.length > 1">
      <h2>{{ texts.whoLeansOnWhom }}</h2>
      <p class="soft">
        {{ texts.hoursOfABikesRepairs(trip ? texts.theTrip : texts.aTrip) }}
      </p>
      <LeanPicture :answer="answer" :leaning="crew.leaning" />
    </section>
  </div>
</template>

<style scoped>
h2 {
  margin-bottom: 6px;
}
.rows li {
  border-bottom: 1px solid var(--hair);
}
.wide {
  width: 100%;
  padding: 0;
  min-height: 40px;
}
.wide :deep(.v-btn__content) {
  display: flex;
  justify-content: space-between;
  width: 100%;
  gap: 12px;
  text-align: left;
  white-space: normal;
}
.beside {
  margin-left: 6px;
}
.more {
  padding: 2px 0 10px;
}
.line {
  padding: 3px 0;
}
p {
  margin: 4px 0;
}
</style>
