<script setup lang="ts">
import { mdiMagnify } from '@mdi/js';
import { computed, defineAsyncComponent, ref } from 'vue';
import { at, strandedHours, type Bike } from '@necessaire/core';
import GarageMenu from '../garages/GarageMenu.vue';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import DropMenu from '../ui/DropMenu.vue';
import * as texts from '../words/shell/briefLine';
import { counted } from '../words/counted';

/** What is not on the first view is loaded when it is asked for. */
const BikeItems = defineAsyncComponent(() => import('./BikeItems.vue'));
const TripItems = defineAsyncComponent(() => import('./TripItems.vue'));
const BikeDialog = defineAsyncComponent(() => import('../garages/BikeDialog.vue'));
const garage = useGarage();
const view = useView();
const editing = ref<Bike | 'new' | null>(null);

const worst = computed(() => {
  const trip = garage.trip;
  if (!trip || trip.legs.length === 0) return null;
  return Math.max(...trip.legs.map((leg) => strandedHours(leg, trip).total));
});
const company = computed(() => {
  const n = garage.trip?.companions ?? 0;
  return n === 0 ? texts.alone : texts.withCompany(counted(n, 'companion'));
});
const lower = (text: string) => (/^[A-Z][a-z]/.test(text) ? at(text, 0).toLowerCase() + text.slice(1) : text);
const keptWords = { kept: texts.saved, keeping: texts.saving, 'not kept': texts.onThisDeviceNotSent } as const;
</script>

<template>
  <header class="brief">
    <div class="mark" aria-hidden="true">
      <svg viewBox="0 0 40 20" width="38" height="19">
        <rect x="1" y="1" width="38" height="18" fill="none" stroke="currentColor" stroke-width="2" />
        <path
          d="M1 7h38M9 7v12M17 7v12M25 7v12M32 7v12"
          fill="none"
          stroke="currentColor"
          stroke-width="1.3"
          stroke-dasharray="2 1.6"
        />
      </svg>
    </div>
    <p class="sentence">
      <DropMenu v-if="garage.bike" :label="garage.bike.name" :hint="texts.chooseTheBike">
        <BikeItems @edit="editing = $event" />
      </DropMenu>
      <span v-else>{{ texts.noBikeYet }}</span>
      <template v-if="garage.trip">
        {{ ' ' }}{{ texts.for2 }}
        <DropMenu :label="lower(garage.trip.name)" :hint="texts.chooseTheTrip">
          <TripItems />
        </DropMenu>
        <span class="more"
          >&nbsp;{{ company }}{{ worst === null ? '' : ', ' }}
          <template v-if="worst !== null"
            ><router-link class="worst" to="/trip"
              ><span class="num">{{ texts.upToH(worst.toFixed(0)) }}</span></router-link
            >
            {{ texts.stranded }}</template
          >
        </span>
      </template>
    </p>
    <div class="right">
      <span class="hint"><kbd class="key">/</kbd> {{ texts.enter }}</span>
      <v-btn variant="text" class="search" :aria-label="texts.search" @click="view.commandOpen = true">
        <v-icon :icon="mdiMagnify" size="20" /> <span>{{ texts.search }}</span>
        <kbd class="key hint">{{ texts.ctrlK }}</kbd>
      </v-btn>
      <GarageMenu />
      <span class="kept" :class="{ gap: garage.keeping === 'not kept' }" role="status" :title="garage.trouble ?? ''">{{
        keptWords[garage.keeping]
      }}</span>
    </div>
    <BikeDialog v-if="editing" :bike="editing === 'new' ? null : editing" @close="editing = null" />
  </header>
</template>

<style scoped>
.brief {
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--line);
  position: relative;
  min-width: 0;
}
.mark {
  flex: 0 0 var(--rail);
  align-self: stretch;
  display: grid;
  place-items: center;
  border-right: 1px solid var(--line);
}
.sentence {
  flex: 1 1 auto;
  min-width: 0;
  padding-left: 22px;
  font-family: var(--v-font-heading);
  font-weight: 500;
  font-size: 18px;
  color: var(--soft);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.worst {
  color: var(--ink);
  font-weight: 600;
  text-underline-offset: 4px;
}
.worst .num {
  font-size: 16px;
}
.right {
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 0 16px 0 8px;
  font-family: var(--v-font-heading);
  font-size: 14px;
  flex: 0 0 auto;
}
.hint {
  color: var(--soft);
}
.search {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 34px;
  padding: 0 10px;
  border: 1px solid var(--line);
}
.kept {
  min-width: 64px;
  color: var(--soft);
}
.kept.gap {
  color: var(--gap);
  font-weight: 600;
}
@media (max-width: 1100px) {
  .hint {
    display: none;
  }
}
@media (max-width: 760px) {
  .brief {
    flex-wrap: wrap;
    padding: 4px 0;
  }
  .mark {
    display: none;
  }
  .sentence {
    padding: 0 14px;
    flex: 1 1 100%;
    font-size: 17px;
  }
  .more {
    display: none;
  }
  .right {
    padding: 0 14px;
    flex: 1 1 100%;
    justify-content: space-between;
  }
  .search {
    min-height: 44px;
  }
}
</style>
