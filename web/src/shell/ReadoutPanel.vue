<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { useAnswer } from '../stores/answer';
import type { Cell } from './readout/cell';
import { useCrewCells } from './readout/crewCells';
import { useRiderCells } from './readout/riderCells';
import { WORKING_ON } from '../words/phases';
import * as texts from '../words/shell/readoutPanel';

const answers = useAnswer();
const route = useRoute();
const opened = ref(false);
const rider = useRiderCells();
const crew = useCrewCells();
/** On the crew's stage the figures are the crew's, once somebody rides along. */
const cells = computed<Cell[]>(() => (route.path === '/crew' && crew.value ? crew.value : rider.value));

const folded = computed(() =>
  opened.value ? cells.value : cells.value.filter((c) => ['gaps', 'mass'].includes(c.key)),
);
</script>

<template>
  <footer
    class="readout panel"
    :class="{ old: answers.old || answers.slow }"
    :aria-label="texts.readout"
    :aria-busy="answers.busy"
  >
    <div class="cells wide">
      <v-btn variant="text" v-for="c in cells" :key="c.key" class="cell" @click="c.explain">
        <span class="name">{{ c.label }}</span>
        <span class="value num"
          ><span class="big" :class="{ bad: c.bad }">{{ c.value }}</span
          ><span class="unit">{{ c.unit }}</span>
          <span v-if="c.diff" class="diff" :class="c.good ? 'up' : 'down'">{{ c.diff }}</span><small
            v-if="c.wants"
            class="wants"
            >{{ c.wants }}</small
          ></span
        >
      </v-btn>
    </div>
    <div class="cells narrow">
      <v-btn variant="text" v-for="c in folded" :key="c.key" class="cell" @click="c.explain">
        <span class="name">{{ c.label }}</span>
        <span class="value num"
          ><span class="big" :class="{ bad: c.bad }">{{ c.value }}</span
          ><span class="unit">{{ c.unit }}</span>
          <span v-if="c.diff" class="diff" :class="c.good ? 'up' : 'down'">{{ c.diff }}</span><small
            v-if="c.wants"
            class="wants"
            >{{ c.wants }}</small
          ></span
        >
      </v-btn>
      <v-btn variant="text" class="fold" :aria-expanded="opened" @click="opened = !opened">
        {{ opened ? texts.fewer : texts.all }}
      </v-btn>
    </div>
    <p v-if="answers.draftShown" class="state">{{ texts.asTypedNotAddedYet }}</p>
    <p v-else-if="answers.slow" class="state" role="status">
      {{ answers.phase ? WORKING_ON[answers.phase] : texts.working }}
    </p>
    <p v-else-if="answers.old && !answers.failed" class="state" role="status">{{ texts.fromYourLastVisitChecking }}</p>
  </footer>
</template>

<style scoped>
.readout {
  background: var(--panel);
  color: var(--panel-ink);
  position: relative;
  min-width: 0;
}
.cells {
  display: grid;
  height: 100%;
}
.wide {
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, auto);
  justify-content: stretch;
}
.narrow {
  display: none;
}
.cell {
  padding: 9px 10px 0 20px;
  border-right: 1px solid var(--panel-line);
  min-width: 0;
}
.cell:last-child {
  border-right: 0;
}
.name {
  display: block;
  font-family: var(--v-font-heading);
  font-size: 13px;
  letter-spacing: 0.05em;
  text-transform: uppercase;
  color: var(--panel-soft);
  white-space: nowrap;
}
.value {
  white-space: nowrap;
  display: block;
  line-height: 1.2;
}
.big {
  font-size: 24px;
}
.big.bad {
  color: var(--panel-bad);
}
.unit {
  font-size: 14px;
  color: var(--panel-soft);
  margin-left: 4px;
}
.diff {
  font-size: 14px;
  margin-left: 8px;
}
.diff.up {
  color: var(--panel-good);
}
.diff.down {
  color: var(--panel-bad);
}
/* From before, until the new answer is there. */
.old .big {
  color: var(--panel-soft);
}
.wants {
  word-spacing: normal;
  font-family: var(--v-font-body);
  font-size: 12px;
  color: var(--panel-soft);
  margin-left: 6px;
}
.state {
  position: absolute;
  right: 12px;
  top: -24px;
  background: var(--panel);
  padding: 2px 10px;
  font-size: 13px;
}
@media (max-width: 1180px) {
  .cell {
    padding-left: 10px;
  }
  .big {
    font-size: 20px;
  }
  .name {
    font-size: 12px;
    letter-spacing: 0.02em;
  }
}
@media (max-width: 760px) {
  .wide {
    display: none;
  }
  .narrow {
    display: grid;
    grid-template-columns: 1fr 1fr auto;
  }
  .cell {
    padding: 5px 6px 6px 14px;
    border-bottom: 1px solid var(--panel-line);
  }
  .fold {
    padding: 0 16px;
    min-height: 44px;
    display: grid;
    place-items: center;
    font-family: var(--v-font-heading);
    text-decoration: underline;
  }
  .big {
    font-size: 20px;
  }
}
</style>
