<script setup lang="ts">
/** A way of the rider's own for a known trouble, or a trouble of the rider's own. Steps are lines with their needs marked in them. */
import LineField from '../../ui/LineField.vue';
import SelectField from '../../ui/SelectField.vue';
import { computed, ref } from 'vue';
import {
  FUNCTIONS,
  GRADES,
  ownMendSchema,
  ROLES,
  SKILLS,
  SKILL_WORDS,
  SUBJECTS,
  unknownKinds,
  type OwnMend,
  type Trouble,
} from '@necessaire/core';
import { useGarage } from '../../stores/garage';
import NumberField from '../../ui/NumberField.vue';
import * as texts from '../../words/kit/ownMendForm';

const props = defineProps<{ mend: OwnMend | null; troubles: readonly Trouble[] }>();
const emit = defineEmits<{ keep: [mend: OwnMend]; close: [] }>();
const draft = ref<OwnMend>(
  JSON.parse(
    JSON.stringify(
      props.mend ?? {
        id: crypto.randomUUID(),
        trouble: 'puncture-tube',
        name: '',
        subject: 'wheels',
        rate: { paved: 0.01, gravel: 0.02, track: 0.05 },
        stops: true,
        nuisance: 1,
        grade: 'ride-out',
        minutes: 30,
        skill: 1,
        out: [],
        back: [],
        caution: '',
        note: '',
      },
    ),
  ) as OwnMend,
);
const out = ref(draft.value.out.join('\n'));
const back = ref(draft.value.back.join('\n'));
const lines = (text: string) =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean);
const parsed = computed(() =>
  ownMendSchema.safeParse({
    ...draft.value,
    name: draft.value.name.trim(),
    out: lines(out.value),
    back: lines(back.value),
  }),
);
const garage = useGarage();
const unknown = computed(() =>
  parsed.value.success ? unknownKinds([...parsed.value.data.out, ...parsed.value.data.back], garage.book) : [],
);
const tried = ref(false);
const faults = computed(() =>
  parsed.value.success
    ? unknown.value.map((k) => texts.noSpareIsCalledChoose(k))
    : parsed.value.error.issues
        .slice(0, 5)
        .map(
          (i) =>
            `${i.path[0] === 'out' || i.path[0] === 'back' ? `${i.path[0] === 'out' ? 'out' : texts.backIn}, line ${Number(i.path[1] ?? 0) + 1}` : i.path.join(' ')}: ${i.message}`,
        ),
);
function keep() {
  tried.value = true;
  if (parsed.value.success && unknown.value.length === 0) emit('keep', parsed.value.data);
}
</script>

<template>
  <form class="own" :aria-label="texts.aRepairOfYourOwn" @submit.prevent="keep">
    <div class="fields">
      <SelectField
        :label="texts.for2"
        :items="[
          { title: texts.aProblemOfYourOwn, value: '' },
          ...troubles.filter((x) => !x.own).map((t) => ({ title: t.name, value: t.id })),
        ]"
        :model-value="draft.trouble ?? ''"
        @update:model-value="draft.trouble = $event || null"
      />
      <LineField
        :label="draft.trouble ? texts.nameOfTheMethod : texts.nameOfTheProblem"
        v-model="draft.name"
        maxlength="120"
      />
      <SelectField :label="texts.grade" :items="GRADES" v-model="draft.grade" />
      <SelectField
        :label="texts.skill"
        :items="SKILLS.map((s) => ({ title: String(SKILL_WORDS[s]), value: s }))"
        v-model="draft.skill"
      />
      <NumberField v-model="draft.minutes" :label="texts.minutes" :min="0" :max="2000" />
      <template v-if="draft.trouble === null">
        <SelectField :label="texts.listedUnder" :items="SUBJECTS" v-model="draft.subject" />
        <NumberField
          v-model="draft.rate.paved"
          :label="texts.howOftenPaved"
          quantity="rate"
          :digits="3"
          :min="0"
          :max="100"
        />
        <NumberField
          v-model="draft.rate.gravel"
          :label="texts.howOftenGravel"
          quantity="rate"
          :digits="3"
          :min="0"
          :max="100"
        />
        <NumberField
          v-model="draft.rate.track"
          :label="texts.howOftenTrack"
          quantity="rate"
          :digits="3"
          :min="0"
          :max="100"
        />
        <v-checkbox class="tick" v-model="draft.stops" :label="texts.itEndsTheRide" />
        <NumberField
          v-if="!draft.stops"
          v-model="draft.nuisance"
          :label="texts.hoursLostWithoutARepair"
          :min="0"
          :max="200"
        />
      </template>
    </div>
    <v-textarea
      v-model="out"
      :label="texts.stepsOutOneALine"
      rows="4"
      :placeholder="texts.breakTheAxleLooseBefore"
      persistent-placeholder
    />
    <v-textarea
      v-model="back"
      :label="texts.stepsBackInOneA"
      rows="3"
      :placeholder="texts.patchItPatch2Pump"
      persistent-placeholder
    />
    <LineField :label="texts.caution" v-model="draft.caution" maxlength="300" />
    <v-expansion-panels
      ><v-expansion-panel
        ><v-expansion-panel-title>{{ texts.whatAStepCanContain }}</v-expansion-panel-title
        ><v-expansion-panel-text
          ><p>
            <strong>{{ texts.head }}</strong> {{ texts.byItsJobOnThe(ROLES.join(', ')) }}
          </p>
          <p>
            <strong>{{ texts.function2 }}</strong> {{ texts.ofATool2For(FUNCTIONS.join(', ')) }}
          </p>
          <p>
            <strong>{{ texts.supply2 }}</strong> {{ texts.usedUp(garage.book.all.map((s) => s.kind).join(', ')) }}
          </p></v-expansion-panel-text
        ></v-expansion-panel
      ></v-expansion-panels
    >
    <ul v-if="tried && faults.length > 0" class="gap" role="alert">
      <li v-for="f in faults" :key="f">{{ f }}</li>
    </ul>
    <p class="actions">
      <v-btn type="submit">{{ texts.save }}</v-btn>
      <v-btn variant="tonal" @click="emit('close')">{{ texts.cancel }}</v-btn>
    </p>
  </form>
</template>

<style scoped>
.own {
  border: 2px solid var(--ink);
  padding: 12px 14px;
  margin: 12px 0;
  display: grid;
  gap: 10px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 8px 12px;
  align-items: end;
}
textarea {
  resize: vertical;
}
details {
  font-size: 13.5px;
}
summary {
  cursor: pointer;
}
.actions {
  display: flex;
  gap: 12px;
}
</style>
