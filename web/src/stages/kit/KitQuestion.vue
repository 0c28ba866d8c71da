<script setup lang="ts">
/** What is asked of the kit: the lightest that gives the grade, or the most under a limit; and a kept kit, where one is packed as it is. */
import { computed } from 'vue';
import { GRADES, type KitQuestion, type Trip } from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import NumberField from '../../ui/NumberField.vue';
import OptionalNumber from '../../ui/OptionalNumber.vue';

const props = defineProps<{ trip: Trip }>();
const garage = useGarage();
const q = computed(() => props.trip.kit);
function ask(fields: Partial<KitQuestion>) {
  garage.put('ask something else of the kit', 'trips', { ...props.trip, kit: { ...q.value, ...fields } });
}
const used = computed(() => garage.doc?.kits.find((k) => k.id === q.value.use) ?? null);
const GRADE_WORDS = {
  proper: 'as at home',
  'ride-out': 'reaches a workshop',
  limp: 'walking pace to the road',
} as const;
</script>

<template>
  <section class="question" aria-label="What is asked of the kit">
    <p v-if="used" class="used">
      Packed as it is: <strong>{{ used.name }}</strong>.
      <button class="tool-button quiet" @click="ask({ use: null })">Work a kit out again</button>
    </p>
    <template v-else>
      <div class="ways" role="radiogroup" aria-label="Ask for">
        <label :class="{ on: q.ask === 'lightest' }"
          ><input type="radio" name="ask" :checked="q.ask === 'lightest'" @change="ask({ ask: 'lightest' })" /> The
          lightest that mends each likely trouble</label
        >
        <label :class="{ on: q.ask === 'most' }"
          ><input type="radio" name="ask" :checked="q.ask === 'most'" @change="ask({ ask: 'most' })" /> The most under a
          limit</label
        >
      </div>
      <div v-if="q.ask === 'lightest'" class="fields">
        <label
          ><span>Mended at least</span
          ><select
            class="field"
            :value="q.grade"
            @change="ask({ grade: ($event.target as HTMLSelectElement).value as KitQuestion['grade'] })"
          >
            <option v-for="g in GRADES" :key="g" :value="g">{{ g }}: {{ GRADE_WORDS[g] }}</option>
          </select></label
        >
        <NumberField
          label="Likely from, % of trips"
          :model-value="Math.round(q.likely * 1000) / 10"
          :min="0"
          :max="100"
          @update:model-value="ask({ likely: $event / 100 })"
        />
        <NumberField
          label="All spares suffice, % of trips"
          :model-value="Math.round(trip.serviceLevel * 1000) / 10"
          :min="50"
          :max="99.9"
          @update:model-value="garage.put('change the service level', 'trips', { ...trip, serviceLevel: $event / 100 })"
        />
      </div>
      <div v-else class="fields">
        <NumberField
          label="Weight, at most g"
          :model-value="q.mass"
          :min="0"
          :max="40000"
          @update:model-value="ask({ mass: $event })"
        />
        <OptionalNumber
          label="Room, at most L"
          :model-value="q.bulk === null ? null : q.bulk / 1000"
          :min="0"
          :max="200"
          empty="no limit"
          @update:model-value="ask({ bulk: $event === null ? null : $event * 1000 })"
        />
        <OptionalNumber
          label="Price, at most €"
          :model-value="q.price"
          :min="0"
          :max="100000"
          empty="no limit"
          @update:model-value="ask({ price: $event })"
        />
        <label
          ><span>Save</span
          ><select
            class="field"
            :value="q.value"
            @change="ask({ value: ($event.target as HTMLSelectElement).value as KitQuestion['value'] })"
          >
            <option value="hours">hours</option>
            <option value="money">money</option>
          </select></label
        >
        <template v-if="q.value === 'money'">
          <NumberField
            label="An hour lost costs €"
            :model-value="q.hourEuros"
            :min="0"
            :max="10000"
            @update:model-value="ask({ hourEuros: $event })"
          />
          <NumberField
            label="Being fetched costs €"
            :model-value="q.fetchEuros"
            :min="0"
            :max="100000"
            @update:model-value="ask({ fetchEuros: $event })"
          />
        </template>
      </div>
    </template>
  </section>
</template>

<style scoped>
.question {
  border: 1px solid var(--line);
  padding: 8px 12px 10px;
  margin-top: 10px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
}
.ways label {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  min-height: 32px;
  font-size: 15px;
}
.ways .on {
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 12px;
  margin-top: 4px;
}
.fields span {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
.used {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
@media (max-width: 760px) {
  .ways label {
    min-height: 44px;
  }
}
</style>
