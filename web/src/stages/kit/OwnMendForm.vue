<script setup lang="ts">
/** A way of the rider's own for a known trouble, or a trouble of the rider's own. Steps are lines with their needs marked in them. */
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
      <label
        ><span>For</span
        ><select
          class="field"
          :value="draft.trouble ?? ''"
          @change="draft.trouble = ($event.target as HTMLSelectElement).value || null"
        >
          <option value="">a trouble of your own</option>
          <option v-for="t in troubles.filter((x) => !x.own)" :key="t.id" :value="t.id">{{ t.name }}</option>
        </select></label
      >
      <label
        ><span>{{ draft.trouble ? 'What the way is called' : 'What the trouble is called' }}</span
        ><input v-model="draft.name" class="field" maxlength="120"
      /></label>
      <label
        ><span>Grade</span
        ><select v-model="draft.grade" class="field">
          <option v-for="g in GRADES" :key="g">{{ g }}</option>
        </select></label
      >
      <label
        ><span>Skill</span
        ><select v-model.number="draft.skill" class="field">
          <option v-for="s in SKILLS" :key="s" :value="s">{{ SKILL_WORDS[s] }}</option>
        </select></label
      >
      <NumberField v-model="draft.minutes" label="Minutes" :min="0" :max="2000" />
      <template v-if="draft.trouble === null">
        <label
          ><span>Listed under</span
          ><select v-model="draft.subject" class="field">
            <option v-for="s in SUBJECTS" :key="s">{{ s }}</option>
          </select></label
        >
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
        <label class="tick"><input v-model="draft.stops" type="checkbox" /> It ends the ride</label>
        <NumberField
          v-if="!draft.stops"
          v-model="draft.nuisance"
          label="Hours lost without a repair"
          :min="0"
          :max="200"
        />
      </template>
    </div>
    <label
      ><span>Steps out, one a line</span
      ><textarea
        v-model="out"
        class="field"
        rows="4"
        placeholder="Break the axle loose before raising {rear axle}"
      ></textarea>
    </label>
    <label
      ><span>Steps back in, one a line</span
      ><textarea v-model="back" class="field" rows="3" placeholder="Patch it <patch ×2>, pump up [inflate]"></textarea>
    </label>
    <label><span>Caution</span><input v-model="draft.caution" class="field" maxlength="300" /></label>
    <details>
      <summary>What can stand in a step</summary>
      <p><strong>{head}</strong> by its job on the bike, with ? where not every bike has it: {{ ROLES.join(', ') }}</p>
      <p><strong>[function]</strong> of a piece, ×2 for two: {{ FUNCTIONS.join(', ') }}</p>
      <p><strong>&lt;supply ×2&gt;</strong> used up: {{ garage.book.all.map((s) => s.kind).join(', ') }}</p>
    </details>
    <ul v-if="tried && faults.length > 0" class="gap" role="alert">
      <li v-for="f in faults" :key="f">{{ f }}</li>
    </ul>
    <p class="actions">
      <button type="submit" class="tool-button">Save</button>
      <button type="button" class="tool-button quiet" @click="emit('close')">Cancel</button>
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
.own span {
  display: block;
  font-size: 13px;
  color: var(--soft);
}
.tick {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  min-height: 34px;
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
