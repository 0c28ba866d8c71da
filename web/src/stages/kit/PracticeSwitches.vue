<script setup lang="ts">
/** Schools of practice that decide which chains count, which pieces come along, and for whom. */
import SelectField from '../../ui/SelectField.vue';
import { positionWords } from '../../words/practice';
import { computed } from 'vue';
import { practiceSchema, type Practice, type SwitchCost } from '@necessaire/core';
import { useExplain } from '../../stores/explain';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import { useSwitchCosts } from '../../stores/weighs';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import { massText, percent } from '../../ui/words';
import WorkBar from '../../ui/WorkBar.vue';

const garage = useGarage();
const view = useView();
const explain = useExplain();
const costs = useSwitchCosts();
const practice = computed(() => garage.doc!.garage.practice);
type Switch = Exclude<keyof Practice, 'worth'>;
const QUESTIONS: { key: Switch; ask: string }[] = [
  { key: 'from', ask: 'Tools come from' },
  { key: 'least', ask: 'Minimise tools by (lightest kit only)' },
  { key: 'doubles', ask: 'Duplicates, from two days on (lightest kit only)' },
  { key: 'drive', ask: 'Square drives' },
  { key: 'adjustable', ask: 'Adjustable spanner turns' },
  { key: 'ratchet', ask: 'Breaking loose with a ratchet' },
  { key: 'standing', ask: 'Standing on a tool' },
  { key: 'quality', ask: 'Quality of what is bought' },
  { key: 'air', ask: 'What makes the air' },
  { key: 'tubes', ask: 'Spare tubes' },
  { key: 'levers', ask: 'Tyre levers' },
  { key: 'plugs', ask: 'Plugs for tubeless tyres' },
  { key: 'reamer', ask: 'Opening the hole' },
  { key: 'pressures', ask: 'Pressures' },
  { key: 'others', ask: 'Others’ bikes' },
  { key: 'lives', ask: 'Where the kit lives' },
  { key: 'skill', ask: 'Methods that count' },
  { key: 'hand', ask: 'Most skilled person in the group' },
  { key: 'rescue', ask: 'A bike that cannot go on' },
  { key: 'sparkPlug', ask: 'Spare spark plug' },
];
const options = (key: Switch): readonly string[] => practiceSchema.shape[key].options as readonly string[];
function set(fields: Partial<Record<keyof Practice, unknown>>) {
  const next = practiceSchema.parse({ ...practice.value, ...fields });
  garage.edit('change a practice', [], { ...garage.doc!.garage, practice: next });
}
const others = computed(() => garage.doc!.bikes.filter((b) => b.id !== garage.bike?.id));
function rides(id: string, along: boolean) {
  const trip = garage.trip;
  if (!trip) return;
  const list = along ? [...trip.along, id] : trip.along.filter((x) => x !== id);
  garage.put(along ? 'ride along' : 'ride apart', 'trips', { ...trip, along: list });
}

const costsOf = (key: Switch) => (costs.result ?? []).filter((c) => c.key === key);
const signed = (v: number, text: string) => `${v > 0 ? '+' : '−'}${text}`;
function words(c: SwitchCost): string {
  const grams = Math.abs(c.grams) < 0.05 ? 'same weight' : signed(c.grams, massText(view.units, Math.abs(c.grams)));
  const minutes = Math.round(c.hours * 60);
  return [
    grams,
    minutes === 0 ? '' : `${signed(minutes, `${Math.abs(minutes)} min`)} saved`,
    c.loose === 0 ? '' : `${signed(c.loose, String(Math.abs(c.loose)))} not packed`,
    c.reached === 0 ? '' : `${signed(c.reached, String(Math.abs(c.reached)))} fasteners`,
  ]
    .filter(Boolean)
    .join(', ');
}
function why(c: SwitchCost) {
  explain.show({
    title: positionWords(c.position),
    value: words(c),
    formula: 'the kit with this position less the kit with yours, both solved whole',
    inputs: [
      { name: 'grams', value: c.grams.toFixed(0) },
      { name: 'hours saved on the trip', value: `${signed(c.hours, Math.abs(c.hours).toFixed(2))} h` },
      { name: 'gets home unaided', value: signed(c.home, percent(Math.abs(c.home), 2)) },
      { name: 'fasteners reached', value: String(c.reached) },
      { name: 'things that no place takes', value: String(c.loose) },
      { name: 'both proven', value: c.proven ? 'yes' : 'not both' },
    ],
    source: 'difference of two kits; masses, rates and hours are typical values until you change them',
  });
}
</script>

<template>
  <section class="practice">
    <h2>Your preferences</h2>
    <div class="questions">
      <div v-for="q in QUESTIONS" :key="q.key">
        <SelectField
          :label="q.ask"
          :items="options(q.key).map((o) => ({ title: positionWords(o), value: o }))"
          :model-value="practice[q.key]"
          @update:model-value="set({ [q.key]: $event })"
        />
        <v-btn variant="text" v-for="c in costsOf(q.key)" :key="c.position" class="cost" @click="why(c)">
          {{ positionWords(c.position) }} <strong class="num">{{ words(c) }}</strong>
        </v-btn>
      </div>
      <OptionalNumber
        label="Worth in the bag, at most"
        money
        :model-value="practice.worth"
        :min="0"
        :max="100000"
        empty="no limit"
        @update:model-value="set({ worth: $event })"
      />
    </div>
    <fieldset v-if="garage.trip && others.length > 0 && practice.others !== 'own bike only'">
      <legend>Rides along on {{ garage.trip.name }}</legend>
      <v-checkbox
        v-for="b in others"
        :key="b.id"
        class="along"
        :model-value="garage.trip.along.includes(b.id)"
        @update:model-value="rides(b.id, $event === true)"
        :label="b.name"
      />
    </fieldset>
    <p v-if="costs.progress === null && !costs.result">
      <v-btn variant="tonal" @click="costs.start()">Compare the other settings</v-btn>
    </p>
    <WorkBar
      v-else-if="costs.progress !== null"
      says="Calculating each kit …"
      :share="costs.progress"
      @stop="costs.stop()"
    />
    <p v-if="costs.failed" class="gap">{{ costs.failed }}</p>
    <p class="caution">Never stand on a bar while the bike is on a prop; break axles loose before you lift it.</p>
  </section>
</template>

<style scoped>
.practice {
  margin-top: 18px;
  display: grid;
  gap: 8px;
}
.questions {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 10px 14px;
}
.cost {
  display: block;
  font-size: 13px;
  padding: 3px 0;
  text-align: left;
}
.cost:focus-visible {
  outline: 2px solid var(--ink);
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
legend {
  font-size: 13px;
  color: var(--soft);
  padding: 0;
}
@media (max-width: 760px) {
  .cost {
    min-height: 44px;
  }
}
</style>
