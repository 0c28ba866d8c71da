<script setup lang="ts">
/** Size it: a head of this bike drawn to scale, worn or painted, and what a calliper said of it; one tool settles it. */
import { computed, ref } from 'vue';
import { present, FORM_WORDS, printSize, sizeQuestion, withUnit, type ProveCase } from '@necessaire/core';
import { useView } from '../../stores/view';
import JawDrawing from '../../ui/JawDrawing.vue';
import { percent } from '../../ui/words';
import * as texts from '../../words/prove/sizeGame';

const props = defineProps<{ of: ProveCase }>();
const view = useView();
const seed = ref(Math.floor(Math.random() * 1e6));
const picked = ref<number | null>(null);
const score = ref({ right: 0, asked: 0 });
const q = computed(() => sizeQuestion(props.of.fasteners, seed.value));
/** Pixels for one millimetre: the head fills the drawing. */
const PX = 7;
const points = computed(() => {
  if (!q.value) return '';
  const r = ((q.value.measure / Math.sqrt(3)) * PX) / 1;
  return Array.from({ length: 6 }, (_, i) => {
    const a = (Math.PI / 3) * i;
    return `${(r * Math.cos(a)).toFixed(1)},${(r * Math.sin(a)).toFixed(1)}`;
  }).join(' ');
});
/** What the calliper shows, with all its digits. */
const reading = computed(() => withUnit(view.units, 'length', q.value?.measure ?? 0, view.units === 'metric' ? 2 : 3));
/** A size as one says it. */
const sized = (size: string) => `${printSize(size)}${size.endsWith('in') ? '' : ' mm'}`;
const half = computed(() => ((q.value?.measure ?? 10) * PX) / 2);
const box = computed(() => Math.max(130, half.value * 2 + 70));
function choose(i: number) {
  if (picked.value !== null || !q.value) return;
  picked.value = i;
  score.value = { right: score.value.right + (i === q.value.right ? 1 : 0), asked: score.value.asked + 1 };
}
function next() {
  picked.value = null;
  seed.value++;
}
</script>

<template>
  <section v-if="q" class="game" :aria-label="texts.sizeIt">
    <svg
      class="head"
      :viewBox="`${-box / 2} ${-box / 2} ${box} ${box}`"
      role="img"
      :aria-label="texts.headAcrossFlats(FORM_WORDS[q.head.form], withUnit(view.units, 'length', q.measure))"
    >
      <circle v-if="q.head.form === 'key'" :r="half * 1.75" class="round" />
      <polygon :points="points" :class="[q.surface, q.head.form]" />
      <g class="measure">
        <line :x1="-half * 1.16 - 16" :x2="half * 1.16 + 16" :y1="-half" :y2="-half" />
        <line :x1="-half * 1.16 - 16" :x2="half * 1.16 + 16" :y1="half" :y2="half" />
        <line :x1="-half * 1.16 - 10" :x2="-half * 1.16 - 10" :y1="-half" :y2="half" />
      </g>
    </svg>
    <p class="ask">
      {{
        texts.theCalliperReads(
          FORM_WORDS[q.head.form].charAt(0).toUpperCase() + FORM_WORDS[q.head.form].slice(1),
          q.surface === 'worn' ? texts.wornOrPainted : texts.clean,
        )
      }}
      <strong class="num">{{ reading }}</strong>.
      <strong>{{ q.ask === 'next' ? texts.whichToolDoYouTry : texts.whichToolTurnsIt }}</strong>
    </p>
    <div class="choices" role="group" :aria-label="q.ask === 'next' ? texts.whichToolDoYouTry : texts.whichToolTurnsIt">
      <v-btn
        v-for="(c, i) in q.choices"
        :key="c.size"
        variant="tonal"
        :class="{ right: picked !== null && i === q.right, wrong: picked === i && i !== q.right }"
        :aria-label="picked !== null && i === q.right ? texts.rightOne(sized(c.size)) : undefined"
        @click="choose(i)"
        >{{ sized(c.size) }}</v-btn
      >
    </div>
    <template v-if="picked !== null">
      <p class="result" role="status">
        <strong :class="picked === q.right ? 'good' : 'gap'">{{ picked === q.right ? texts.right : texts.no }}</strong>
        {{
          texts.byThisReading(
            q.odds
              .slice(0, 3)
              .map((o) => `${sized(o.head.size)} ${percent(o.odds)}`)
              .join(', '),
            q.ask === 'next' ? texts.thatTryTellsTheMost : '',
          )
        }}
        <v-btn @click="next">{{ texts.next }}</v-btn>
      </p>
      <JawDrawing
        v-if="q.choices[picked]"
        :head="q.odds[0]?.head ?? q.head"
        :tool="present(q.choices[picked])"
        :measure="q.measure"
      />
    </template>
    <p class="soft">
      {{ texts.ofRightThisRoundAnswers(score.right, score.asked) }}
    </p>
  </section>
  <p v-else class="empty">{{ texts.measureSomeHexagonsInWalk }}</p>
</template>

<style scoped>
.head {
  display: block;
  width: 100%;
  max-height: 230px;
}
.round {
  fill: none;
  stroke: var(--line);
  stroke-width: 2;
}
polygon {
  fill: var(--picked);
  stroke: var(--ink);
  stroke-width: 2;
}
polygon.key {
  fill: var(--ink);
}
polygon.worn {
  stroke-linejoin: round;
  stroke-width: 9;
  stroke: var(--soft);
}
.measure line {
  stroke: var(--measured);
}
.ask {
  font-size: 16px;
  padding: 8px 0;
}
.choices {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.choices .v-btn {
  min-height: 54px;
  font-size: 19px;
}
.choices .right {
  border: 2px solid var(--proven);
}
.choices .wrong {
  border: 2px dashed var(--gap);
}
.result {
  padding: 10px 0;
}
</style>
