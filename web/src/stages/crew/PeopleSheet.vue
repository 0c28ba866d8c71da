<script setup lang="ts">
/** Who rides along: what they can do, what they may carry, which bike; added by one line or by a file of theirs. */
import { computed, ref, shallowRef } from 'vue';
import {
  companionFrom,
  ME,
  MOST_BYTES,
  readCompanion,
  readGarageFile,
  settleSize,
  SUBJECTS,
  unknownJobs,
  type Companion,
  type GarageDocument,
  type Person,
  type Skill,
  type Subject,
  type Theirs,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useCrew } from '../../stores/crew';
import { useGarage } from '../../stores/garage';
import { today } from '../../ui/day';
import FileButton from '../../ui/FileButton.vue';
import LineField from '../../ui/LineField.vue';
import NumberField from '../../ui/NumberField.vue';
import OptionalNumber from '../../ui/OptionalNumber.vue';
import SelectField from '../../ui/SelectField.vue';
import TextField from '../../ui/TextField.vue';
import { counted } from '../../ui/words';
import { HAND_ITEMS } from '../../words/crew';
import TheirTools from './TheirTools.vue';

const crew = useCrew();
const garage = useGarage();
const notice = useNotice();
const line = ref('');
const opened = ref<string | null>(null);
const preview = shallowRef<Theirs | null>(null);
const refused = ref<string | null>(null);

const companions = computed(() => garage.doc?.companions ?? []);
const members = computed(() => crew.crew?.members ?? []);
const away = computed(() => companions.value.filter((c) => !members.value.some((m) => m.who === c.id)));
const of = (who: string) => companions.value.find((c) => c.id === who) ?? null;
const personOf = (who: string): Person | null =>
  who === ME ? (garage.doc?.garage.rider ?? null) : (of(who)?.person ?? null);
const bikesOf = (who: string) => (who === ME ? (garage.doc?.bikes ?? []) : (of(who)?.bikes ?? []));
const nameOf = (who: string) => personOf(who)?.name || (who === ME ? 'You' : 'Companion');

/** What the line says so far, read anew with every key. */
const read = computed(() => (line.value.trim() === '' ? null : readCompanion(line.value, () => crypto.randomUUID())));
function add() {
  const made = read.value;
  if (!made || made.companion.person.name === '') return;
  const { unread } = made;
  if (!crew.join(made.companion, true)) return;
  line.value = '';
  notice.say(
    `${made.companion.person.name} rides along. ${unread.length > 0 ? `Not understood: ${unread.join(', ')}.` : 'The bike is a guess until you know more.'}`,
  );
}
/** A garage file as somebody's; null where it cannot be read, with what to do said. */
async function readTheirs([chosen]: File[]): Promise<GarageDocument | null> {
  refused.value = null;
  preview.value = null;
  if (!chosen) return null;
  if (chosen.size > MOST_BYTES) {
    refused.value = `${chosen.name} is over ${MOST_BYTES / 1024 / 1024} MB and cannot be a garage file.`;
    return null;
  }
  const got = readGarageFile(await chosen.text());
  if (!got.ok) {
    const [fault] = got.faults;
    refused.value = `${chosen.name} cannot be read. ${fault?.path}: ${fault?.message}`;
    return null;
  }
  if (got.document.bikes.length === 0) {
    refused.value = `${chosen.name} has no bike in it: ask for a garage with one.`;
    return null;
  }
  return got.document;
}
async function takeFile(files: File[]) {
  const doc = await readTheirs(files);
  if (doc) preview.value = companionFrom(doc, { nextId: () => crypto.randomUUID(), read: today() });
}
/** What was known of somebody is replaced whole by a file of theirs; they stay who they are on every ride. */
async function replaceBy(who: string, files: File[]) {
  const doc = await readTheirs(files);
  if (!doc) return;
  const { companion } = companionFrom(doc, { nextId: () => crypto.randomUUID(), read: today(), id: who });
  if (garage.put(`read ${companion.person.name}’s file`, 'companions', companion))
    notice.done(`${companion.person.name} is as in their file.`);
}
function setSkill(who: string, subject: Subject, to: number) {
  const person = personOf(who);
  if (!person) return;
  const { [subject]: _was, ...rest } = person.skills;
  write(who, { skills: to === 0 ? rest : { ...rest, [subject]: to as Skill } });
}
function takePreview() {
  if (!preview.value) return;
  if (crew.join(preview.value.companion, true)) notice.say(`${preview.value.companion.person.name} rides along.`);
  preview.value = null;
}
function write(who: string, fields: Partial<Person>) {
  const person = personOf(who);
  if (!person || !garage.doc) return;
  const next = { ...person, ...fields };
  if (who === ME) garage.edit('change the rider', [], { ...garage.doc.garage, rider: next });
  else garage.put(`change ${person.name}`, 'companions', { ...of(who)!, person: next });
}
const ride = (who: string, bikeId: string) =>
  crew.set('choose the bike', { members: members.value.map((m) => (m.who === who ? { ...m, bikeId } : m)) });
function settle(c: Companion, role: string, size: string) {
  garage.put(`${c.person.name}: ${role} is ${size}`, 'companions', {
    ...c,
    fasteners: settleSize(c.fasteners, role as never, size),
  });
}
const AXLES = ['17', '19', '22', '24', '27', '30', '32', '36'];
function leave(who: string) {
  const name = nameOf(who);
  if (opened.value === who) opened.value = null;
  if (crew.leave(who)) notice.done(`${name} does not ride along. What you know of them stays.`);
}
function forget(c: Companion) {
  garage.remove(`forget ${c.person.name}`, { table: 'companions', id: c.id });
  notice.done(`${c.person.name} is deleted.`);
}
</script>

<template>
  <div class="people">
    <section>
      <h2>Add somebody</h2>
      <form @submit.prevent="add">
        <LineField
          v-model="line"
          label="Name, bike, what you know"
          placeholder="Ada, enduro 250, tubes, handy"
          maxlength="200"
          :said="
            read
              ? read.parts.map((p) => `${p.text}: ${p.as}`).join(' · ') +
                (read.unread.length > 0 ? ` · not understood: ${read.unread.join(', ')}` : '')
              : null
          "
        />
        <p class="acts">
          <v-btn type="submit" variant="flat" :disabled="!read">Add to the ride</v-btn>
          <FileButton label="Read their garage file …" accept=".json,application/json" quiet @files="takeFile" />
        </p>
      </form>
      <p class="soft">
        Separate by commas: kind of bike (enduro, trail, dual-sport, adventure, touring, cruiser, street, scooter),
        tubes or tubeless, chain, shaft or belt, what they can do (anybody, handy, has done it before), first aid, 90
        kg, carries 4 kg.
      </p>
      <p v-if="refused" class="gap" role="alert">{{ refused }}</p>
      <div v-if="preview" class="preview" role="group" aria-label="What the file holds">
        <p>
          <strong>{{ preview.companion.person.name }}</strong>:
          {{ preview.companion.bikes.map((b) => b.name).join(', ') }};
          {{ counted(preview.companion.fasteners.length, 'fastener') }},
          {{ counted(preview.companion.pieces.length, 'tool') }},
          {{ counted(preview.companion.supplies.length, 'kind of spare', 'kinds of spare') }}. It stays theirs: nothing
          goes into your toolbox.
        </p>
        <p v-if="Object.keys(preview.left).length > 0" class="gap">
          Too many to keep:
          {{
            Object.entries(preview.left)
              .map(([k, n]) => `${n} ${k}`)
              .join(', ')
          }}
          left away.
        </p>
        <p class="acts">
          <v-btn variant="flat" @click="takePreview">Add to the ride</v-btn>
          <v-btn variant="text" @click="preview = null">Cancel</v-btn>
        </p>
      </div>
      <p v-if="away.length > 0" class="acts">
        <v-btn v-for="c in away" :key="c.id" variant="tonal" @click="crew.join(c, false)"
          >Add {{ c.person.name }}</v-btn
        >
      </p>
    </section>
    <section v-for="m in members" :key="m.who" class="person">
      <v-btn
        variant="text"
        class="wide"
        :aria-expanded="opened === m.who"
        @click="opened = opened === m.who ? null : m.who"
      >
        <strong>{{ nameOf(m.who) }}</strong>
        <span class="soft">{{ bikesOf(m.who).find((b) => b.id === m.bikeId)?.name }}</span>
      </v-btn>
      <template v-if="opened === m.who && personOf(m.who)">
        <div class="grid">
          <TextField
            label="Name"
            :value="personOf(m.who)!.name"
            :most="120"
            @take="write(m.who, { name: $event.trim() })"
          />
          <SelectField
            label="Rides"
            :items="bikesOf(m.who).map((b) => ({ title: b.name, value: b.id }))"
            :model-value="m.bikeId"
            @update:model-value="ride(m.who, $event as string)"
          />
          <SelectField
            label="What they can do"
            :items="[...HAND_ITEMS]"
            :model-value="personOf(m.who)!.hand"
            @update:model-value="write(m.who, { hand: $event as Person['hand'] })"
          />
          <NumberField
            label="Weight in riding gear"
            quantity="weight"
            :min="30000"
            :max="300000"
            :model-value="personOf(m.who)!.mass"
            @update:model-value="write(m.who, { mass: $event })"
          />
          <OptionalNumber
            label="May carry on the bike"
            quantity="weight"
            :min="0"
            :max="200000"
            empty="what its places bear"
            :model-value="personOf(m.who)!.mayCarry"
            @update:model-value="write(m.who, { mayCarry: $event })"
          />
          <NumberField
            label="May carry on the body"
            quantity="weight"
            :min="0"
            :max="30000"
            :model-value="personOf(m.who)!.onBody"
            @update:model-value="write(m.who, { onBody: $event })"
          />
          <NumberField
            v-if="personOf(m.who)!.onBody > 0"
            label="Room on the body (L)"
            :min="0"
            :max="60"
            :model-value="personOf(m.who)!.bodyLitres"
            @update:model-value="write(m.who, { bodyLitres: $event })"
          />
          <v-checkbox
            label="Trained in first aid"
            hide-details
            density="compact"
            :model-value="personOf(m.who)!.firstAid"
            @update:model-value="
              write(m.who, {
                firstAid: !!$event,
                skills: $event ? { ...personOf(m.who)!.skills, people: 3 } : personOf(m.who)!.skills,
              })
            "
          />
        </div>
        <v-expansion-panels variant="accordion" class="more">
          <v-expansion-panel title="Skill by subject">
            <template #text>
              <div class="grid">
                <SelectField
                  v-for="s in SUBJECTS"
                  :key="s"
                  :label="s"
                  :items="[{ title: 'as in general', value: 0 }, ...HAND_ITEMS]"
                  :model-value="personOf(m.who)!.skills[s] ?? 0"
                  @update:model-value="setSkill(m.who, s, $event as number)"
                />
              </div>
            </template>
          </v-expansion-panel>
        </v-expansion-panels>
        <TheirTools v-if="of(m.who)" :of="of(m.who)!" />
        <template v-if="of(m.who)">
          <p v-for="u in unknownJobs(of(m.who)!.fasteners)" :key="u.role" class="unknown">
            <SelectField
              :label="`${u.role}: not known, counted as ${u.rows.map((f) => f.head.size).join(', ')} mm`"
              :items="[{ title: 'not known', value: '' }, ...AXLES.map((s) => ({ title: `${s} mm`, value: s }))]"
              model-value=""
              @update:model-value="$event && settle(of(m.who)!, u.role, $event as string)"
            />
          </p>
          <p class="soft">
            {{ counted(of(m.who)!.fasteners.length, 'fastener') }},
            {{ counted(of(m.who)!.pieces.length, 'tool') }} known,
            {{
              of(m.who)!.from.by === 'line' ? 'from one line: typical values until you know more.' : `from their file.`
            }}
          </p>
        </template>
        <p class="acts">
          <FileButton
            v-if="of(m.who)"
            label="Replace by their file …"
            accept=".json,application/json"
            quiet
            @files="replaceBy(m.who, $event)"
          />
          <v-btn v-if="m.who !== ME" variant="outlined" @click="leave(m.who)">Not on this ride</v-btn>
          <v-btn v-if="of(m.who)" variant="text" @click="(leave(m.who), forget(of(m.who)!))">Delete them</v-btn>
        </p>
      </template>
    </section>
  </div>
</template>

<style scoped>
.people .person {
  padding: 2px 16px;
}
.wide {
  width: 100%;
  padding: 0;
  min-height: 44px;
}
.wide :deep(.v-btn__content) {
  display: flex;
  justify-content: space-between;
  width: 100%;
  gap: 12px;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  padding: 6px 0;
}
.preview {
  border-left: 3px solid var(--measured);
  padding-left: 10px;
  margin: 8px 0;
}
.unknown {
  margin: 6px 0;
}
</style>
