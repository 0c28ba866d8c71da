<script setup lang="ts">
/** The name of a garage, asked for; and why something was not done. */
import LineField from '../ui/LineField.vue';
import * as texts from '../words/garages/garageDialogs';

defineProps<{ naming: 'new' | 'rename' | null; refused: string | null }>();
const emit = defineEmits<{ keep: []; close: []; understood: [] }>();
const name = defineModel<string>({ required: true });
</script>

<template>
  <v-dialog
    :aria-label="naming === 'new' ? texts.newGarage : texts.renameTheGarage"
    :model-value="naming !== null"
    max-width="420"
    @update:model-value="emit('close')"
  >
    <v-card class="ask">
      <form @submit.prevent="emit('keep')">
        <h1>{{ naming === 'new' ? texts.newGarage : texts.renameTheGarage }}</h1>
        <LineField :label="texts.name" v-model="name" maxlength="120" autofocus />
        <p v-if="refused" class="gap" role="alert">{{ refused }}</p>
        <p class="acts">
          <v-btn type="submit">{{ naming === 'new' ? texts.create : texts.rename }}</v-btn>
        </p>
      </form>
    </v-card>
  </v-dialog>
  <v-dialog
    :aria-label="texts.notDone"
    :model-value="refused !== null && naming === null"
    max-width="480"
    @update:model-value="emit('understood')"
  >
    <v-card class="ask" role="alertdialog">
      <h1>{{ texts.thatDidNotWorkNothing }}</h1>
      <p class="gap">{{ refused }}</p>
      <p class="acts">
        <v-btn @click="emit('understood')">{{ texts.close }}</v-btn>
      </p>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.ask {
  padding: 18px 22px;
}
.acts {
  margin-top: 14px;
}
</style>
