import { at } from '@necessaire/core';
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';

/**
 * The tab of a stage, kept in the page's address, so that a search, a link and the way back lead to it.
 * @param keys the tabs there are, the first shown where the address names none @param name its word in the address
 */
export function useTab<K extends string>(keys: readonly K[], name = 'tab') {
  const route = useRoute();
  const router = useRouter();
  const path = route.path;
  return computed<K>({
    get: () => keys.find((k) => k === route.query[name]) ?? at(keys, 0),
    set: (key) => {
      if (route.path !== path) return;
      const { [name]: _was, ...rest } = route.query;
      void router.replace({ query: key === keys[0] ? rest : { ...rest, [name]: key } });
    },
  });
}
