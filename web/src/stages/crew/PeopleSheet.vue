<script setup lang="ts">
/** Who rides along: what they can do, what they may carry, which bike; added by one line or by a file of theirs. */
import { computed, ref, shallowRef } from 'vue';
import {
  present,
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
import * as texts from '../../words/crew/peopleSheet';
import * as edits from '../../words/edits';

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
const nameOf = (who: string) => personOf(who)?.name || (who === ME ? texts.you : texts.companion);

/** What the line says so far, read anew with every key. */
const read = computed(() => (line.value.trim() === '' ? null : readCompanion(line.value, () => crypto.randomUUID())));
function add() {
  const made = read.value;
  if (!made || made.companion.person.name === '') return;
  const { unread } = made;
  if (!crew.join(made.companion, true)) return;
  line.value = '';
  notice.say(
    texts.ridesAlong(
      made.companion.person.name,
      unread.length > 0 ? texts.notUnderstood2(unread.join(', ')) : texts.theBikeIsAGuess,
    ),
  );
}
/** A garage file as somebody's; null where it cannot be read, with what to do said. */
async function readTheirs([chosen]: File[]): Promise<GarageDocument | null> {
  refused.value = null;
  preview.value = null;
  if (!chosen) return null;
  if (chosen.size > MOST_BYTES) {
    refused.value = texts.isOverMbAndCannot(chosen.name, MOST_BYTES / 1024 / 1024);
    return null;
  }
  const got = readGarageFile(await chosen.text());
  if (!got.ok) {
    const [fault] = got.faults;
    refused.value = texts.cannotBeRead(chosen.name, fault?.path, fault?.message);
    return null;
  }
  if (got.document.bikes.length === 0) {
    refused.value = texts.hasNoBikeInIt(chosen.name);
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
  if (garage.put(texts.readSFile(companion.person.name), 'companions', companion))
    notice.done(texts.isAsInTheirFile(companion.person.name));
}
function setSkill(who: string, subject: Subject, to: number) {
  const person = personOf(who);
  if (!person) return;
  const { [subject]: _was, ...rest } = person.skills;
  write(who, { skills: to === 0 ? rest : { ...rest, [subject]: to as Skill } });
}
function takePreview() {
  if (!preview.value) return;
  if (crew.join(preview.value.companion, true)) notice.say(texts.ridesAlong2(preview.value.companion.person.name));
  preview.value = null;
}
function write(who: string, fields: Partial<Person>) {
  const person = personOf(who);
  if (!person || !garage.doc) return;
  const next = { ...person, ...fields };
  if (who === ME) garage.edit(texts.changeTheRider, [], { ...garage.doc.garage, rider: next });
  else garage.put(edits.change(person.name), 'companions', { ...present(of(who)), person: next });
}
const ride = (who: string, bikeId: string) =>
  crew.set(texts.chooseTheBike, { members: members.value.map((m) => (m.who === who ? { ...m, bikeId } : m)) });
function settle(c: Companion, role: string, size: string) {
  garage.put(edits.fieldOf(c.person.name, edits.isNow(role, size)), 'companions', {
    ...c,
    fasteners: settleSize(c.fasteners, role as never, size),
  });
}
const AXLES = ['17', '19', '22', '24', '27', '30', '32', '36'];
function leave(who: string) {
  const name = nameOf(who);
  if (opened.value === who) opened.value = null;
  if (crew.leave(who)) notice.done(texts.doesNotRideAlongWhat(name));
}
function forget(c: Companion) {
  garage.remove(edits.remove(c.person.name), { table: 'companions', id: c.id });
  notice.done(texts.isDeleted(c.person.name));
}
</script>

<template>
  <div class="people">
    <section>
      <h2>{{ texts.addSomebody }}</h2>
      <form @submit.prevent="add">
        <LineField
          v-model="line"
          :label="texts.nameBikeWhatYouKnow"
          :placeholder="texts.adaEnduro250TubesHandy"
          maxlength="200"
          :said="
            read
              ? read.parts.map((p) => `${p.text}: ${p.as}`).join(' · ') +
                (read.unread.length > 0 ? texts.notUnderstood(read.unread.join(', ')) : '')
              : null
          "
        />
        <p class="acts">
          <v-btn type="submit" variant="flat" :disabled="!read">{{ texts.addToTheRide }}</v-btn>
          <FileButton :label="texts.readTheirGarageFile" accept=".json,application/json" quiet @files="takeFile" />
        </p>
      </form>
      <p class="soft">
        {{ texts.separateByCommasKindOf }}
      </p>
      <p v-if="refused" class="gap" role="alert">{{ refused }}</p>
      <div v-if="preview" class="preview" role="group" :aria-label="texts.whatTheFileHolds">
        <p>
          <strong>{{ preview.companion.person.name }}</strong>{{
            texts.itStaysTheirsNothingGoes(
              preview.companion.bikes.map((b) => b.name).join(', '),
              counted(preview.companion.fasteners.length, 'fastener'),
              counted(preview.companion.pieces.length, 'tool'),
              counted(preview.companion.supplies.length, texts.kindOfSpare, texts.kindsOfSpare),
            )
          }}
        </p>
        <p v-if="Object.keys(preview.left).length > 0" class="gap">
          {{
            texts.tooManyToKeepLeft(
              Object.entries(preview.left)
                .map(([k, n]) => `${n} ${k}`)
                .join(', '),
            )
          }}
        </p>
        <p class="acts">
          <v-btn variant="flat" @click="takePreview">{{ texts.addToTheRide }}</v-btn>
          <v-btn variant="text" @click="preview = null">{{ texts.cancel }}</v-btn>
        </p>
      </div>
      <p v-if="away.length > 0" class="acts">
        <v-btn v-for="c in away" :key="c.id" variant="tonal" @click="crew.join(c, false)">{{
          texts.add(c.person.name)
        }}</v-btn>
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
            :label="texts.name"
            :value="present(personOf(m.who)).name"
            :most="120"
            @take="write(m.who, { name: $event.trim() })"
          />
          <SelectField
            :label="texts.rides"
            :items="bikesOf(m.who).map((b) => ({ title: b.name, value: b.id }))"
            :model-value="m.bikeId"
            @update:model-value="ride(m.who, $event as string)"
          />
          <SelectField
            :label="texts.whatTheyCanDo"
            :items="[...HAND_ITEMS]"
            :model-value="present(personOf(m.who)).hand"
            @update:model-value="write(m.who, { hand: $event as Person['hand'] })"
          />
          <NumberField
            :label="texts.weightInRidingGear"
            quantity="weight"
            :min="30000"
            :max="300000"
            :model-value="present(personOf(m.who)).mass"
            @update:model-value="write(m.who, { mass: $event })"
          />
          <OptionalNumber
            :label="texts.mayCarryOnTheBike"
            quantity="weight"
            :min="0"
            :max="200000"
            :empty="texts.whatItsPlacesBear"
            :model-value="present(personOf(m.who)).mayCarry"
            @update:model-value="write(m.who, { mayCarry: $event })"
          />
          <NumberField
            :label="texts.mayCarryOnTheBody"
            quantity="weight"
            :min="0"
            :max="30000"
            :model-value="present(personOf(m.who)).onBody"
            @update:model-value="write(m.who, { onBody: $event })"
          />
          <NumberField
            v-if="present(personOf(m.who)).onBody > 0"
            :label="texts.roomOnTheBodyL"
            :min="0"
            :max="60"
            :model-value="present(personOf(m.who)).bodyLitres"
            @update:model-value="write(m.who, { bodyLitres: $event })"
          />
          <v-checkbox
            :label="texts.trainedInFirstAid"
            hide-details
            density="compact"
            :model-value="present(personOf(m.who)).firstAid"
            @update:model-value="
              write(m.who, {
                firstAid: !!$event,
                skills: $event ? { ...present(personOf(m.who)).skills, people: 3 } : present(personOf(m.who)).skills,
              })
            "
          />
        </div>
        <v-expansion-panels variant="accordion" class="more">
          <v-expansion-panel :title="texts.skillBySubject">
            <template #text>
              <div class="grid">
                <SelectField
                  v-for="s in SUBJECTS"
                  :key="s"
                  :label="s"
                  :items="[{ title: texts.asInGeneral, value: 0 }, ...HAND_ITEMS]"
                  :model-value="present(personOf(m.who)).skills[s] ?? 0"
                  @update:model-value="setSkill(m.who, s, $event as number)"
                />
              </div>
            </template>
          </v-expansion-panel>
        </v-expansion-panels>
        <TheirTools v-if="of(m.who)" :of="present(of(m.who))" />
        <template v-if="of(m.who)">
          <p v-for="u in unknownJobs(present(of(m.who)).fasteners)" :key="u.role" class="unknown">
            <SelectField
              :label="texts.notKnownCountedAsMm(u.role, u.rows.map((f) => f.head.size).join(', '))"
              :items="[{ title: texts.notKnown, value: '' }, ...AXLES.map((s) => ({ title: texts.mm(s), value: s }))]"
              model-value=""
              @update:model-value="$event && settle(present(of(m.who)), u.role, $event as string)"
            />
          </p>
          <p class="soft">
            {{
              texts.known(
                counted(present(of(m.who)).fasteners.length, 'fastener'),
                counted(present(of(m.who)).pieces.length, 'tool'),
                present(of(m.who)).from.by === 'line' ? texts.fromOneLine : texts.fromTheirFile,
              )
            }}
          </p>
        </template>
        <p class="acts">
          <FileButton
            v-if="of(m.who)"
            :label="texts.replaceByTheirFile"
            accept=".json,application/json"
            quiet
            @files="replaceBy(m.who, $event)"
          />
          <v-btn v-if="m.who !== ME" variant="outlined" @click="leave(m.who)">{{ texts.notOnThisRide }}</v-btn>
          <v-btn v-if="of(m.who)" variant="text" @click="(leave(m.who), forget(present(of(m.who))))">{{
            texts.deleteThem
          }}</v-btn>
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
