<script setup lang="ts">
/** What the kit must allow whatever it weighs: a repair at a grade, or fasteners that it must turn. */
import { computed } from 'vue';
import { GRADES, ROLES, troublesIn, type Grade, type KitQuestion, type Must } from '@necessaire/core';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import LackWords from '../../ui/LackWords.vue';
import * as texts from '../../words/kit/mustHaves';

const props = defineProps<{ question: KitQuestion }>();
const emit = defineEmits<{ change: [musts: Must[]] }>();
const answers = useAnswer();
const garage = useGarage();

const WHEELS = texts.bothWheels;
const troubles = computed(() => (garage.doc ? troublesIn(garage.doc) : []));
const nameOf = (must: Must) =>
  must.by === 'turn'
    ? texts.turnThe(must.role)
    : texts.repairOf((troubles.value.find((t) => t.id === must.trouble)?.name ?? must.trouble).toLowerCase());
const keyOf = (must: Must) => (must.by === 'turn' ? `turn ${must.role}` : `repair ${must.trouble}`);
/** What may be demanded: what riders name first, the repairs, then each job that this bike has a fastener for. */
const choices = computed(() => {
  const roles = ROLES.filter((r) => garage.fasteners.some((f) => f.role === r && f.leftOut === null));
  const all = [
    {
      value: WHEELS,
      title: texts.takeBothWheelsOut,
      musts: (['front axle', 'rear axle'] as const).map((role): Must => ({ by: 'turn', role })),
    },
    ...troubles.value.map((t) => {
      const must: Must = { by: 'repair', trouble: t.id, grade: 'ride-out' };
      return { value: keyOf(must), title: nameOf(must), musts: [must] };
    }),
    ...roles.map((role) => {
      const must: Must = { by: 'turn', role };
      return { value: keyOf(must), title: nameOf(must), musts: [must] };
    }),
  ];
  const has = new Set(props.question.musts.map(keyOf));
  return all.filter((c) => c.musts.some((m) => !has.has(keyOf(m))));
});
function add(value: string | null) {
  const choice = choices.value.find((c) => c.value === value);
  if (!choice) return;
  const has = new Set(props.question.musts.map(keyOf));
  emit('change', [...props.question.musts, ...choice.musts.filter((m) => !has.has(keyOf(m)))]);
}
const drop = (must: Must) =>
  emit(
    'change',
    props.question.musts.filter((m) => keyOf(m) !== keyOf(must)),
  );
const setGrade = (must: Must, grade: Grade) =>
  emit(
    'change',
    props.question.musts.map((m) => (m.by === 'repair' && keyOf(m) === keyOf(must) ? { ...m, grade } : m)),
  );
const unmet = computed(() => (props.question.musts.length > 0 ? (answers.answer?.kit.unmet ?? []) : []));
</script>

<template>
  <div class="musts">
    <!-- A new one after each choice: nothing chosen stays behind in its text. -->
    <v-autocomplete
      :key="question.musts.map(keyOf).join()"
      :label="texts.iMustBeAbleTo"
      :placeholder="texts.takeBothWheelsOut"
      :no-data-text="texts.noMatchSearchForA"
      :items="choices"
      :model-value="null"
      density="compact"
      variant="outlined"
      hide-details
      auto-select-first
      @update:model-value="add($event)"
    />
    <ul v-if="question.musts.length > 0">
      <li v-for="m in question.musts" :key="keyOf(m)">
        <v-chip label closable variant="outlined" :close-label="texts.remove(nameOf(m))" @click:close="drop(m)">{{
          nameOf(m)
        }}</v-chip>
        <v-select
          v-if="m.by === 'repair'"
          class="grade"
          :aria-label="texts.qualityOf(nameOf(m))"
          :items="[...GRADES]"
          :model-value="m.grade"
          density="compact"
          variant="plain"
          hide-details
          @update:model-value="setGrade(m, $event)"
        />
      </li>
    </ul>
    <p v-if="unmet.length > 0" class="gap" role="status">
      {{ texts.notPossibleWithYourTools }} <LackWords :lacks="unmet" />.
    </p>
  </div>
</template>

<style scoped>
.musts {
  margin-top: 10px;
  display: grid;
  gap: 6px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
}
li {
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
.grade {
  min-width: 104px;
}
</style>
