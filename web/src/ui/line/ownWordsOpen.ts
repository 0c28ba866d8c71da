import { ref } from 'vue';

/** Whether the list of own words is open: the garage menu and the search open it. */
export const ownWordsOpen = ref(false);
