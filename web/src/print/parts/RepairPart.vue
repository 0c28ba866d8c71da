<script setup lang="ts">
/** One repair as a sheet: cautions first, what it takes and where that lies, the steps for this bike. */
import { printShape, type Rehearsal } from '@necessaire/core';
import { useView } from '../../stores/view';
import { minutesText } from '../../words/prove';
import * as texts from '../../words/print/parts/repairPart';

defineProps<{ of: Rehearsal }>();
const view = useView();
const PARTS = { 'get out': '', out: '', back: texts.backIn } as const;
</script>

<template>
  <article class="repair">
    <h2>
      {{ of.trouble.name }}: {{ of.way.name }} <span>{{ minutesText(of.planned) }}</span>
    </h2>
    <p v-for="c in of.cautions" :key="c" class="care">{{ c }}</p>
    <p v-if="of.lasts">{{ view.inWords(of.lasts) }}</p>
    <ol>
      <li v-for="(s, i) in of.steps" :key="i">
        <span>
          {{ PARTS[s.part] }}{{ s.text }}
          <span v-for="(n, k) in s.needs" :key="k" class="need">
            <template v-if="s.part === 'get out'">{{
              n.lies.map((l) => `${l.name} (${l.place}${l.slot ? texts.slot(l.slot) : ''})`).join(', ')
            }}</template>
            <template v-else-if="n.heads.length > 0">{{
              n.heads
                .map(
                  (h) =>
                    `${h.fastener.name} ${printShape(h.fastener.head)}${h.fastener.torque ? `, ${view.inWords([{ quantity: 'torque', value: h.fastener.torque.value }])}${h.fastener.torque.source === 'manual' ? '' : ' *'}` : ''}: ${h.chains.map((c) => c.join(' → ')).join(' + ') || texts.nothingTurnsIt}`,
                )
                .join('; ')
            }}</template>
            <template v-else>{{ n.by || texts.notInThisKit(n.ask) }}</template>
          </span>
        </span>
      </li>
    </ol>
  </article>
</template>

<style scoped>
.repair {
  break-inside: avoid;
  padding-bottom: 10px;
}
h2 {
  color: #000;
  font-size: 15px;
  border-bottom: 1px solid #000;
}
h2 span {
  float: right;
  font-weight: 500;
  font-size: 12px;
}
.care {
  border-left: 3px solid #000;
  padding-left: 8px;
  margin: 3px 0;
  font-weight: 600;
}
ol {
  margin: 4px 0;
  padding-left: 20px;
}
ol li {
  display: list-item;
}
.need {
  display: block;
  font-size: 11.5px;
}
</style>
