<script setup lang="ts">
/** A home-made or altered piece: what it is held by and what it turns, mode by mode, and what it then reaches on this bike. */
import SelectField from '../../ui/SelectField.vue';
import LineField from '../../ui/LineField.vue';
import { computed, ref, shallowRef, watch } from 'vue';
import {
  present,
  FUNCTIONS,
  GRIPS,
  HOLDS,
  mode,
  newPiece,
  parseShape,
  pieceSchema,
  printShape,
  TRAITS,
  typeShape,
  type Mode,
  type Piece,
  type PieceReach,
  type Shape,
} from '@necessaire/core';
import { useNotice } from '../../shell/notice';
import { useAnswer } from '../../stores/answer';
import { useGarage } from '../../stores/garage';
import NumberField from '../../ui/NumberField.vue';
import TextField from '../../ui/TextField.vue';
import { TRAIT_WORDS } from '../../ui/words';
import { useRules } from '../../ui/useRules';
import { fieldWords } from '../../words/fields';
import * as texts from '../../words/match/pieceEditor';
import * as edits from '../../words/edits';

const props = defineProps<{ piece: Piece | null }>();
const emit = defineEmits<{ close: [] }>();
const garage = useGarage();
const answers = useAnswer();
const notice = useNotice();

const fresh = (): Mode =>
  mode({
    offer: { by: 'hand', hold: 'spanner', arm: 150, takesPipe: false },
    turns: { form: 'hex', size: '13' },
    bears: 60,
    length: 20,
    width: 22,
  });
const draft = ref<Piece>(
  props.piece
    ? (JSON.parse(JSON.stringify(props.piece)) as Piece)
    : newPiece(
        {
          name: texts.homeMadeTool,
          kind: 'home-made',
          modes: [fresh()],
          functions: [],
          traits: ['hard', 'conductive'],
          mass: 80,
          size: { length: 120, width: 25, height: 20 },
          price: 0,
        },
        { id: crypto.randomUUID(), source: 'user' },
      ),
);
const wrong = ref<Record<string, string>>({});
const DRIVES: Record<string, Shape> = {
  'drive 1/4': { form: 'drive', size: '1/4in' },
  'drive 3/8': { form: 'drive', size: '3/8in' },
  'drive 1/2': { form: 'drive', size: '1/2in' },
  bar: { form: 'bar', size: '' },
};
/** A shape as it is typed here: sizes as in the entry line, and `drive 3/8` for squares. */
const said = (shape: Shape) =>
  shape.form === 'drive' ? `drive ${shape.size.replace('in', '')}` : shape.form === 'bar' ? 'bar' : typeShape(shape);
function shapeFrom(text: string): Shape | string {
  const drive =
    DRIVES[
      text
        .trim()
        .toLowerCase()
        .replace(/ ?in$|"$/, '')
    ];
  if (drive) return drive;
  const read = parseShape(text);
  return 'head' in read ? read.head : texts.orDrive38(read.reason);
}
function setMode(i: number, fields: Partial<Mode>) {
  draft.value = { ...draft.value, modes: draft.value.modes.map((m, j) => (j === i ? { ...m, ...fields } : m)) };
}
function setShape(i: number, what: 'turns' | 'offer', text: string) {
  const key = `${what} ${i}`;
  const shape = shapeFrom(text);
  const { [key]: _gone, ...rest } = wrong.value;
  wrong.value = rest;
  if (typeof shape === 'string') wrong.value = { ...wrong.value, [key]: shape };
  else setMode(i, what === 'turns' ? { turns: shape } : { offer: { by: 'shape', shape } });
}
const { value: ready, faults } = useRules(pieceSchema, () => draft.value);
const valid = computed(() => ready.value !== null && Object.keys(wrong.value).length === 0);

const reach = shallowRef<PieceReach | null>(null);
watch(
  draft,
  async (piece) => {
    const { doc, bike } = garage;
    if (!doc || !bike || !valid.value) return;
    const plain = JSON.parse(JSON.stringify(piece)) as Piece;
    const made = await answers.ask((w) => w.pieceReach(doc, bike.id, plain));
    if (made && draft.value === piece) reach.value = made;
  },
  { immediate: true },
);
const names = (ids: string[]) => {
  const list = ids.map((id) => garage.fasteners.find((f) => f.id === id)?.name ?? '');
  return `${list.slice(0, 6).join(', ')}${list.length > 6 ? texts.andMore(list.length - 6) : ''}`;
};

function keep() {
  if (!valid.value) return;
  const plain = JSON.parse(JSON.stringify({ ...draft.value, name: draft.value.name.trim() })) as Piece;
  garage.put(props.piece ? edits.change(plain.name) : edits.make(plain.name), 'pieces', plain);
  notice.say(texts.isInTheToolboxAs(plain.name));
  emit('close');
}
const tick = <T extends string>(list: readonly T[], all: readonly T[], item: T, on: boolean): T[] =>
  all.filter((x) => (x === item ? on : list.includes(x)));
</script>

<template>
  <v-dialog
    :aria-label="piece ? texts.alter(piece.name) : texts.makeATool"
    :model-value="true"
    max-width="860"
    @update:model-value="emit('close')"
  >
    <v-card class="dialog">
      <form @submit.prevent="keep">
        <h1>{{ piece ? texts.alter(piece.name) : texts.makeATool }}</h1>
        <p class="soft">
          {{ texts.bentCutDownDrilledWelded }}
        </p>
        <div class="basics">
          <LineField class="wide" :label="texts.name" v-model="draft.name" maxlength="120" />
          <NumberField
            :label="texts.mass"
            quantity="mass"
            :model-value="draft.mass"
            @update:model-value="draft = { ...draft, mass: $event, source: 'user', weighed: false }"
          />
          <NumberField
            :label="texts.long"
            quantity="length"
            :model-value="draft.size.length"
            @update:model-value="draft = { ...draft, size: { ...draft.size, length: $event } }"
          />
          <NumberField
            :label="texts.wide"
            quantity="length"
            :model-value="draft.size.width"
            @update:model-value="draft = { ...draft, size: { ...draft.size, width: $event } }"
          />
          <NumberField
            :label="texts.high"
            quantity="length"
            :model-value="draft.size.height"
            @update:model-value="draft = { ...draft, size: { ...draft.size, height: $event } }"
          />
        </div>
        <fieldset v-for="(m, i) in draft.modes" :key="i" class="mode">
          <legend>{{ texts.way(i + 1) }}</legend>
          <SelectField
            :label="texts.heldBy"
            :items="[
              ...HOLDS.map((h) => ({ title: texts.hand(h), value: h })),
              { title: texts.anotherTool, value: 'shape' },
            ]"
            :model-value="m.offer.by === 'hand' ? m.offer.hold : 'shape'"
            @update:model-value="
              setMode(i, {
                offer:
                  $event === 'shape'
                    ? { by: 'shape', shape: { form: 'hex', size: '13' } }
                    : {
                        by: 'hand',
                        hold: HOLDS.find((h) => h === $event) ?? 'spanner',
                        arm: m.offer.by === 'hand' ? m.offer.arm : 150,
                        takesPipe: false,
                      },
              })
            "
          />
          <NumberField
            v-if="m.offer.by === 'hand'"
            :label="texts.arm"
            quantity="length"
            :model-value="m.offer.arm"
            @update:model-value="m.offer.by === 'hand' && setMode(i, { offer: { ...m.offer, arm: $event } })"
          />
          <TextField
            v-else
            :label="texts.whichTurnsIts(m.offer.shape.form === 'drive' ? texts.square : printShape(m.offer.shape))"
            figures
            :value="said(m.offer.shape)"
            :fault="wrong[`offer ${i}`]"
            @take="setShape(i, 'offer', $event)"
          />
          <TextField
            :label="texts.turns"
            figures
            :value="said(m.turns)"
            :fault="wrong[`turns ${i}`]"
            @take="setShape(i, 'turns', $event)"
          />
          <SelectField
            :label="texts.grip"
            :items="[
              { title: texts.sixFlats, value: 'six' },
              { title: texts.twelvePoints, value: 'twelve' },
              { title: texts.openTwoFlats, value: 'open' },
              ...(m.grip === 'adjustable' ? [{ title: texts.adjustable, value: 'adjustable' }] : []),
            ]"
            :model-value="m.grip"
            @update:model-value="setMode(i, { grip: GRIPS.find((g) => g === $event) ?? 'six' })"
          />
          <NumberField
            :label="texts.bears"
            quantity="torque"
            :max="1000"
            :model-value="m.bears"
            @update:model-value="setMode(i, { bears: $event })"
          />
          <NumberField
            :label="texts.reachesIn"
            quantity="length"
            :model-value="m.length"
            @update:model-value="setMode(i, { length: $event })"
          />
          <NumberField
            :label="texts.outerWidth"
            quantity="length"
            :model-value="m.width"
            @update:model-value="setMode(i, { width: $event })"
          />
          <NumberField
            :label="texts.jawThickness"
            quantity="length"
            :model-value="m.thickness"
            @update:model-value="setMode(i, { thickness: $event })"
          />
          <NumberField
            :label="texts.hollow"
            quantity="length"
            :model-value="m.hollow"
            @update:model-value="setMode(i, { hollow: $event })"
          />
          <NumberField
            :label="texts.swing"
            :max="360"
            :model-value="m.step"
            @update:model-value="setMode(i, { step: $event })"
          />
          <v-checkbox
            class="tick"
            :model-value="m.swivels"
            @update:model-value="setMode(i, { swivels: $event === true })"
            :label="texts.swivels"
          />
          <v-btn
            variant="plain"
            v-if="draft.modes.length > 1"
            class="gap"
            @click="draft = { ...draft, modes: draft.modes.filter((_, j) => j !== i) }"
          >
            {{ texts.removeThisUse }}
          </v-btn>
        </fieldset>
        <p class="acts">
          <v-btn
            variant="tonal"
            v-if="draft.modes.length < 24"
            @click="draft = { ...draft, modes: [...draft.modes, fresh()] }"
          >
            {{ texts.anotherWayOfUsingIt }}
          </v-btn>
        </p>
        <fieldset class="ticks">
          <legend>{{ texts.whatElseItDoes }}</legend>
          <v-checkbox
            v-for="f in FUNCTIONS"
            :key="f"
            class="tick"
            :model-value="draft.functions.includes(f)"
            @update:model-value="
              draft = {
                ...draft,
                functions: tick(draft.functions, FUNCTIONS, f, $event === true),
              }
            "
            :label="f"
          />
        </fieldset>
        <fieldset class="ticks">
          <legend>{{ texts.whatMattersWhenItIs }}</legend>
          <v-checkbox
            v-for="t in TRAITS"
            :key="t"
            class="tick"
            :model-value="draft.traits.includes(t)"
            @update:model-value="draft = { ...draft, traits: tick(draft.traits, TRAITS, t, $event === true) }"
            :label="TRAIT_WORDS[t] ?? t"
          />
        </fieldset>
        <fieldset class="ticks mode">
          <legend>{{ texts.roomInsideItForWhat }}</legend>
          <v-checkbox
            class="tick"
            :model-value="draft.hollow !== null"
            @update:model-value="
              draft = {
                ...draft,
                hollow: $event === true ? { length: 50, width: 20, height: 20 } : null,
              }
            "
            :label="texts.itIsHollow"
          />
          <template v-if="draft.hollow">
            <NumberField
              v-for="side in ['length', 'width', 'height'] as const"
              :key="side"
              :label="texts.inside(side)"
              quantity="length"
              :max="5000"
              :model-value="draft.hollow[side]"
              @update:model-value="draft = { ...draft, hollow: { ...present(draft.hollow), [side]: $event } }"
            />
          </template>
        </fieldset>
        <div class="reach" role="status">
          <template v-if="Object.keys(faults).length > 0"
            ><p v-for="[path, says] in Object.entries(faults).slice(0, 3)" :key="path" class="gap">
              {{ fieldWords(path) }}: {{ says }}
            </p></template
          >
          <template v-else-if="reach">
            <p>
              {{ texts.onThisBikeItTurns }} <strong class="num">{{ reach.onHead.length }}</strong>
              {{ reach.onHead.length === 1 ? texts.fastener : texts.fasteners
              }}<template v-if="reach.onHead.length > 0">: {{ names(reach.onHead) }}</template
              >.
            </p>
            <p v-if="reach.gained.length > 0" class="good">{{ texts.newWithinReach(names(reach.gained)) }}</p>
            <p v-if="reach.lost.length > 0" class="gap">{{ texts.noLongerWithinReach(names(reach.lost)) }}</p>
          </template>
          <p v-else class="soft">{{ texts.workingOutWhatItReaches }}</p>
        </div>
        <p class="caution">
          {{ texts.aBentCutOrWelded }}
        </p>
        <p class="acts">
          <v-btn type="submit" :disabled="!valid">{{ texts.save }}</v-btn>
          <v-btn variant="tonal" @click="emit('close')">{{ texts.cancel }}</v-btn>
        </p>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.dialog {
  padding: 18px 22px;
}
.basics,
.mode {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  gap: 6px 12px;
  align-items: end;
}
.basics {
  margin: 10px 0;
}
.wide {
  grid-column: span 2;
}
fieldset {
  border: 0;
  border-top: 1px solid var(--line);
  margin: 8px 0 0;
  padding: 4px 0 0;
}
legend {
  font-size: 13px;
  color: var(--soft);
}
legend {
  font-family: var(--v-font-heading);
  font-weight: 600;
  font-size: 15px;
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
}
.ticks legend {
  float: left;
  width: 100%;
}
.reach {
  border-top: 2px solid var(--ink);
  margin-top: 10px;
  padding: 8px 0;
  font-size: 15px;
}
.acts {
  display: flex;
  gap: 12px;
  margin-top: 10px;
}
</style>
