<script setup lang="ts">
/** What is asked of the kit: the best for its weight, the lightest that gives the grade, or the best under a limit; and a kept kit, where one is packed as it is. */
import SelectField from '../../ui/SelectField.vue';
import { computed } from 'vue';
import { GRADES, KNEE_MINUTES, withUnit, type KitQuestion, type Trip } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import { useView } from '../../stores/view';
import TermQuestion from '../../ui/TermQuestion.vue';
import NumberField from '../../ui/NumberField.vue';
import { percent, weightStep } from '../../ui/words';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import MustHaves from './MustHaves.vue';
import SaveWhat from './SaveWhat.vue';
import * as texts from '../../words/kit/kitQuestion';

const props = defineProps<{ trip: Trip }>();
const garage = useGarage();
const view = useView();
const answers = useAnswer();
const q = computed(() => props.trip.kit);
function ask(fields: Partial<KitQuestion>) {
  garage.put(texts.askSomethingElseOfThe, 'trips', { ...props.trip, kit: { ...q.value, ...fields } });
}
/** What the chance from which a problem counts leaves out: how many, and the odds that at least one of them comes up. */
const rarer = computed(() => {
  const out = (answers.answer?.exposures ?? []).filter((e) => e.odds > 0 && e.odds < q.value.likely);
  return { count: out.length, odds: 1 - out.reduce((none, e) => none * (1 - e.odds), 1) };
});
const used = computed(() => garage.doc?.kits.find((k) => k.id === q.value.use) ?? null);
const ASKS: Record<KitQuestion['ask'], string> = {
  worth: texts.bestKitForItsWeight,
  lightest: texts.lightestKitThatFixesEvery,
  most: texts.bestKitUnderAWeight,
};
const GRADE_WORDS = {
  proper: texts.asAtHome,
  'ride-out': texts.reachesAWorkshop,
  limp: texts.walkingPaceToTheRoad,
} as const;
</script>

<template>
  <section class="question" :aria-label="texts.whatIsAskedOfThe">
    <p v-if="used" class="used">
      {{ texts.packedAsItIs }} <strong>{{ used.name }}</strong>.
      <v-btn variant="tonal" @click="ask({ use: null })">{{ texts.backToTheCalculatedKit }}</v-btn>
    </p>
    <template v-else>
      <v-radio-group
        class="ways"
        :aria-label="texts.askFor"
        inline
        hide-details
        density="compact"
        :model-value="q.ask"
        @update:model-value="$event && ask({ ask: $event as KitQuestion['ask'] })"
      >
        <v-radio v-for="(name, key) in ASKS" :key="key" :value="key" :label="name" />
      </v-radio-group>
      <div v-if="q.ask === 'worth'" class="fields">
        <NumberField
          :label="texts.mustSave(weightStep(view.units))"
          quantity="worth"
          :digits="2"
          :model-value="q.knee"
          :min="0.01"
          :max="600"
          @update:model-value="ask({ knee: $event })"
        />
        <SaveWhat :question="q" @change="ask" />
        <p class="soft aside">
          {{ texts.weightIsAddedWhileEvery(weightStep(view.units), withUnit(view.units, 'worth', KNEE_MINUTES)) }}
        </p>
      </div>
      <div v-else-if="q.ask === 'lightest'" class="fields">
        <SelectField
          :label="texts.minimumRepairQuality"
          :items="GRADES.map((g) => ({ title: `${g}: ${GRADE_WORDS[g]}`, value: g }))"
          :model-value="q.grade"
          @update:model-value="ask({ grade: $event as KitQuestion['grade'] })"
        />
        <NumberField
          :label="texts.ignoreProblemsRarerThanOf"
          :model-value="Math.round(q.likely * 1000) / 10"
          :min="0"
          :max="100"
          @update:model-value="ask({ likely: $event / 100 })"
        />
        <NumberField
          :label="texts.allSparesSufficeOfTrips"
          :model-value="Math.round(trip.serviceLevel * 1000) / 10"
          :min="50"
          :max="99.9"
          @update:model-value="
            garage.put(texts.changeTheServiceLevel, 'trips', { ...trip, serviceLevel: $event / 100 })
          "
        />
        <TermQuestion class="aside" term="spares" :label="texts.enoughSpares" />
        <p v-if="rarer.count > 0" class="soft aside">
          {{
            texts.rarerIgnoredAtLeastOne(
              rarer.count,
              rarer.count === 1 ? texts.problemIs : texts.problemsAre,
              percent(rarer.odds, 1),
            )
          }}
        </p>
      </div>
      <div v-else class="fields">
        <NumberField
          :label="texts.weightAtMost"
          quantity="mass"
          :model-value="q.mass"
          :min="0"
          :max="40000"
          @update:model-value="ask({ mass: $event })"
        />
        <OptionalNumber
          :label="texts.roomAtMost"
          quantity="volume"
          :model-value="q.bulk"
          :min="0"
          :max="200000"
          :empty="texts.noLimit"
          @update:model-value="ask({ bulk: $event })"
        />
        <OptionalNumber
          :label="texts.priceAtMost"
          money
          :model-value="q.price"
          :min="0"
          :max="100000"
          :empty="texts.noLimit"
          @update:model-value="ask({ price: $event })"
        />
        <SaveWhat :question="q" @change="ask" />
      </div>
      <MustHaves :question="q" @change="ask({ musts: $event })" />
    </template>
  </section>
</template>

<style scoped>
.question {
  border: 1px solid var(--line);
  padding: 8px 12px 10px;
  margin-top: 10px;
}
.aside {
  grid-column: span 2;
  align-self: end;
  font-size: 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 12px;
  margin-top: 4px;
  align-items: end;
}
.used {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
</style>
