<script setup lang="ts">
import { useExplain } from '../stores/explain';
import { useView } from '../stores/view';
import * as texts from '../words/shell/explainPanel';
const explain = useExplain();
const view = useView();
</script>

<template>
  <v-dialog
    :aria-label="explain.shown?.title ?? texts.explanation"
    :model-value="explain.shown !== null"
    max-width="520"
    @update:model-value="explain.hide()"
  >
    <v-card v-if="explain.shown" class="explain">
      <h2>{{ explain.shown.title }}</h2>
      <p class="num value">{{ explain.shown.value }}</p>
      <h3>{{ explain.shown.source ? texts.howThisIsCalculated : texts.whatIsMissing }}</h3>
      <p>{{ view.inWords(explain.shown.formula) }}</p>
      <template v-if="explain.shown.inputs.length > 0">
        <h3>{{ texts.from }}</h3>
        <dl>
          <div v-for="i in explain.shown.inputs" :key="i.name">
            <dt>{{ i.name }}</dt>
            <dd class="num">{{ view.inWords(i.value) }}</dd>
          </div>
        </dl>
      </template>
      <template v-if="explain.shown.source">
        <h3>{{ texts.source }}</h3>
        <p>{{ explain.shown.source }}</p>
      </template>
      <p class="acts">
        <router-link v-if="explain.shown.to" :to="explain.shown.to.path" @click="explain.hide()">{{
          explain.shown.to.label
        }}</router-link>
        <v-btn @click="explain.hide()">{{ texts.close }}</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.explain {
  padding: 18px 22px;
}
.value {
  font-size: 30px;
  line-height: 1.3;
}
h3 {
  font-size: 15px;
  color: var(--soft);
  margin-top: 10px;
}
dl {
  margin: 0;
}
dl div {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  border-bottom: 1px solid var(--hair);
  padding: 2px 0;
}
dd {
  margin: 0;
  text-align: right;
}
.acts {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  margin-top: 16px;
}
</style>
