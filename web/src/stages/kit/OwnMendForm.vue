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
    ? unknown.value.map((k) => `no spare is called “${k}”: choose one of the list, or add it under Part specs`)
    : parsed.value.error.issues
        .slice(0, 5)
        .map(
          (i) =>
            `${i.path[0] === 'out' || i.path[0] === 'back' ? `${i.path[0] === 'out' ? 'out' : 'back in'}, line ${Number(i.path[1] ?? 0) + 1}` : i.path.join(' ')}: ${i.message}`,
        ),
);
function keep() {
  tried.value = true;
  if (parsed.value.success && unknown.value.length === 0) emit('keep', parsed.value.data);
}
</script>

<template>
  <form class="own" aria-label="A repair of your own" @submit.prevent="keep">
    <div class="fields">
      <SelectField
        label="For"
        :items="[
          { title: 'a problem of your own', value: '' },
          ...troubles.filter((x) => !x.own).map((t) => ({ title: t.name, value: t.id })),
        ]"
        :model-value="draft.trouble ?? ''"
        @update:model-value="draft.trouble = $event || null"
      />
      <LineField
        :label="draft.trouble ? 'Name of the method' : 'Name of the problem'"
        v-model="draft.name"
        maxlength="120"
      />
      <SelectField label="Grade" :items="GRADES" v-model="draft.grade" />
      <SelectField
        label="Skill"
        :items="SKILLS.map((s) => ({ title: String(SKILL_WORDS[s]), value: s }))"
        v-model="draft.skill"
      />
      <NumberField v-model="draft.minutes" label="Minutes" :min="0" :max="2000" />
      <template v-if="draft.trouble === null">
        <SelectField label="Listed under" :items="SUBJECTS" v-model="draft.subject" />
        <NumberField
          v-model="draft.rate.paved"
          label="How often, paved"
          quantity="rate"
          :digits="3"
          :min="0"
          :max="100"
        />
        <NumberField
          v-model="draft.rate.gravel"
          label="How often, gravel"
          quantity="rate"
          :digits="3"
          :min="0"
          :max="100"
        />
        <NumberField
          v-model="draft.rate.track"
          label="How often, track"
          quantity="rate"
          :digits="3"
          :min="0"
          :max="100"
        />
        <v-checkbox class="tick" v-model="draft.stops" label="It ends the ride" />
        <NumberField
          v-if="!draft.stops"
          v-model="draft.nuisance"
          label="Hours lost without a repair"
          :min="0"
          :max="200"
        />
      </template>
    </div>
    <v-textarea
      v-model="out"
      label="Steps out, one a line"
      rows="4"
      placeholder="Break the axle loose before raising {rear axle}"
      persistent-placeholder
    />
    <v-textarea
      v-model="back"
      label="Steps back in, one a line"
      rows="3"
      placeholder="Patch it <patch ×2>, pump up [inflate]"
      persistent-placeholder
    />
    <LineField label="Caution" v-model="draft.caution" maxlength="300" />
    <v-expansion-panels
      ><v-expansion-panel
        ><v-expansion-panel-title>What a step can contain</v-expansion-panel-title
        ><v-expansion-panel-text
          ><p>
            <strong>{head}</strong> by its job on the bike, with ? where not every bike has it: {{ ROLES.join(', ') }}
          </p>
          <p><strong>[function]</strong> of a tool, ×2 for two: {{ FUNCTIONS.join(', ') }}</p>
          <p>
            <strong>&lt;supply ×2&gt;</strong> used up: {{ garage.book.all.map((s) => s.kind).join(', ') }}
          </p></v-expansion-panel-text
        ></v-expansion-panel
      ></v-expansion-panels
    >
    <ul v-if="tried && faults.length > 0" class="gap" role="alert">
      <li v-for="f in faults" :key="f">{{ f }}</li>
    </ul>
    <p class="actions">
      <v-btn type="submit">Save</v-btn>
      <v-btn variant="tonal" @click="emit('close')">Cancel</v-btn>
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
